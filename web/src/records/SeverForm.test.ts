import { flushPromises } from '@vue/test-utils'
import { afterEach, describe, expect, it, vi } from 'vitest'
import { byLabel, choose, mountForm, tap, typeInto, type Answers } from '@/testing/mountForm'
import SeverForm from './SeverForm.vue'

const LAYER = {
  code: 'AAA-22',
  revision: 4,
  asOf: '2026-07-10',
  mother: { place: 'Low tunnel' },
  recipe: { method: 'AIR' },
  drawing: { leavesBeyond: 9 },
}

const day = (on: string, weekday: string, open: number, tent: number) => ({
  on,
  weekday,
  willDo: true,
  maxC: 24,
  vpdKpa: 0.9,
  said: [],
  shelters: [
    {
      shelter: 'OPEN_SUN',
      carries: open,
      remove: 12 - open,
      halve: null,
      sentence: `${12 - open} off in the sun.`,
    },
    {
      shelter: 'MIST_TENT',
      carries: tent,
      remove: 12 - tent,
      halve: 12 - tent,
      sentence: `${12 - tent} off.`,
    },
  ],
})

const BALANCE = {
  supplyCm2PerMl: 6,
  mediumMl: 300,
  fillPercent: 90,
  stage: 'FILLED',
  supplyCm2: 1500,
  leaves: 12,
  leafCm2: 60,
  fillMeasured: true,
  leavesCounted: true,
  bestOn: '2026-07-11',
  days: [day('2026-07-10', 'Friday', 2, 8), day('2026-07-11', 'Saturday', 4, 11)],
  first: [] as string[],
  cut: 'Cut 10 mm to 20 mm below the ball.',
  cautions: ['Cut away from the hand.'],
}

async function form(balance?: Partial<typeof BALANCE>) {
  const answers: Answers = { '/places': [{ id: 3, name: 'Mist tent', row: 1 }] }
  if (balance) answers['/layers/AAA-22/leaf-balance'] = { ...BALANCE, ...balance }
  const { shown } = await mountForm(SeverForm, { layer: LAYER, saving: false, problem: null }, answers)
  await flushPromises()
  const kept = () => shown.emitted('keep')?.at(-1)?.[0] as { kind: string; details: Record<string, unknown> }
  return { shown, kept }
}

afterEach(() => {
  vi.unstubAllGlobals()
  document.body.innerHTML = ''
})

describe('a severing', () => {
  it('begins with what the roots carry, and records the leaves that come off', async () => {
    const { shown, kept } = await form({})
    expect(shown.get('[data-testid=top-over-bottom]').text()).toBe('8 on 8')
    expect(shown.get('[data-testid=how-to-cut]').text()).toBe(BALANCE.cut)
    await tap(shown, 'Take them off')
    expect(shown.get('[data-testid=leaves-said]').text()).toContain('8 of 12')
    await shown.get('form').trigger('submit')
    expect(kept()).toMatchObject({
      kind: 'SEVERED',
      details: { leavesBefore: 12, leavesLeft: 8, leavesHalved: 0, shelter: 'MIST_TENT', placeId: null },
    })
  })

  it('records nothing of leaves, pieces or fruit that nobody said', async () => {
    const { shown, kept } = await form({})
    expect(shown.get('[data-testid=leaves-said]').text()).toContain('not recorded')
    await shown.get('form').trigger('submit')
    expect(kept().details).toMatchObject({
      leavesBefore: null,
      leavesLeft: null,
      leafCm2: null,
      fruitLeft: null,
      aboveLimb: null,
      plants: null,
    })
  })

  it('counts what a forked piece becomes, and the limb that stays', async () => {
    const { shown, kept } = await form({})
    await choose(shown, 'Where it was cut', 'YES')
    await typeInto(shown, 'Plants that it becomes', '3')
    await shown.get('form').trigger('submit')
    expect(kept().details).toMatchObject({ aboveLimb: true, plants: 3 })
  })

  it('halves where that is enough, and says when too many stay', async () => {
    const { shown, kept } = await form({})
    await tap(shown, 'Halve instead')
    expect(shown.get('[data-testid=top-over-bottom]').text()).toBe('10 on 8')
    await tap(shown, 'Leave all on')
    expect(shown.get('[data-testid=balance-verdict]').text()).toBe('Leaf for 4 too many: it will wilt.')
    await shown.get('form').trigger('submit')
    expect(kept().details).toMatchObject({ leavesLeft: 12, leavesHalved: 0 })
  })

  it('on another day of the week plans the cut and severs nothing', async () => {
    const { shown, kept } = await form({})
    await tap(shown, 'Saturday')
    expect(shown.get('[data-testid=keep-other]').text()).toContain('Saturday 11 July')
    await shown.get('form').trigger('submit')
    expect(kept()).toMatchObject({ kind: 'CUT_PLANNED', details: { cutOn: '2026-07-11' } })
  })

  it('is not kept while others stand nearer the tip', async () => {
    const { shown } = await form({ first: ['BBB-33'] })
    expect(shown.get('[data-testid=tip-first]').text()).toContain('BBB-33')
    expect(shown.get('[data-testid=keep-other]').attributes('disabled')).toBeDefined()
  })

  it('is recorded as it was done where the server can not be asked', async () => {
    const { shown, kept } = await form()
    await vi.waitFor(() => byLabel(shown, 'Leaves on it'), 10_000)
    await typeInto(shown, 'Leaves on it', '14')
    await shown.get('form').trigger('submit')
    expect(kept()).toMatchObject({
      kind: 'SEVERED',
      details: { leavesBefore: 14, leavesLeft: null, shelter: 'MIST_TENT' },
    })
  })
})
