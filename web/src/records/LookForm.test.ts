import { afterEach, describe, expect, it, vi } from 'vitest'
import { mountForm } from '@/testing/mountForm'
import LookForm from './LookForm.vue'

const LAYER = {
  code: 'AAA-22',
  stage: 'CALLUS',
  sectors: [0, 0, 0, 0, 0, 0, 0, 0],
  fillPercent: 0,
  conditions: [] as string[],
  odds: [] as { stage: string; p: number }[],
  lookedOn: '2026-06-20' as string | null,
  asOf: '2026-07-10',
  recipe: {
    method: 'AIR',
    way: { staysOnMother: true, hangs: true, goesOnAsAir: false, standsInWater: true },
  },
  drawing: { ringMm: 22, ball: { mediumMl: 300 }, wrapped: true },
}

async function form(layer: Partial<typeof LAYER> = {}, more: Record<string, unknown> = {}) {
  const { shown } = await mountForm(LookForm, { layer: { ...LAYER, ...layer }, saving: false, ...more })
  const kept = () => shown.emitted('keep')?.at(-1)?.[0] as { kind: string; details: Record<string, unknown> }
  const tap = (text: string) =>
    shown
      .findAll('button')
      .find((one) => one.text() === text || one.attributes('aria-label') === text)!
      .trigger('click')
  return { shown, kept, tap }
}

afterEach(() => {
  vi.unstubAllGlobals()
  document.body.innerHTML = ''
})

describe('a look', () => {
  it('is kept in one tap when it is as last time, and says so', async () => {
    const { shown, kept } = await form()
    expect(shown.get('[data-testid=keep-look]').text()).toMatch(/as last time/i)
    await shown.get('form').trigger('submit')
    expect(kept()).toMatchObject({
      kind: 'LOOKED',
      details: { stage: 'CALLUS', sectors: LAYER.sectors, fillPercent: 0, conditions: [] },
    })
  })

  it('never offers as last time what was never seen', async () => {
    const { shown } = await form({ lookedOn: null, stage: 'NONE' })
    expect(shown.get('[data-testid=keep-look]').text()).not.toMatch(/as last time/i)
  })

  it('begins with what is likeliest now where the stage of last time hardly is', async () => {
    const { shown, kept } = await form({
      odds: [
        { stage: 'CALLUS', p: 0.05 },
        { stage: 'INITIALS', p: 0.2 },
        { stage: 'ROOTED', p: 0.75 },
      ],
    })
    expect(shown.get('[data-testid=keep-look]').text()).toContain('Rooted')
    await shown.get('form').trigger('submit')
    expect(kept().details.stage).toBe('ROOTED')
  })

  it('keeps the stage, the roots all round and what is wrong, as they were tapped', async () => {
    const { shown, kept, tap } = await form()
    await tap('Rooted')
    await tap('2 all round')
    await tap('Dry')
    await tap('Rot')
    await tap('Dry')
    await shown.get('input[type=range]').setValue(35)
    await shown.get('form').trigger('submit')
    expect(kept().details).toEqual({
      stage: 'ROOTED',
      sectors: [2, 2, 2, 2, 2, 2, 2, 2],
      fillPercent: 35,
      conditions: ['ROT'],
      openedBy: null,
      bareSide: null,
    })
  })

  it('says nothing of roots and fill that nobody looked at', async () => {
    const { shown, kept, tap } = await form({ sectors: [1, 1, 0, 0, 0, 0, 0, 0], fillPercent: 20 })
    await tap('First tips')
    expect(shown.get('[data-testid=fill-said]').text()).toBe('not said')
    await shown.get('form').trigger('submit')
    expect(kept().details).toMatchObject({ stage: 'INITIALS', sectors: null, fillPercent: null })
  })

  it('is as last time only where somebody says so', async () => {
    const { shown, kept } = await form({ sectors: [1, 1, 0, 0, 0, 0, 0, 0], fillPercent: 20 })
    expect(shown.get('[data-testid=keep-look]').text()).toBe('Same as last time')
    await shown.get('form').trigger('submit')
    expect(kept().details).toMatchObject({ sectors: [1, 1, 0, 0, 0, 0, 0, 0], fillPercent: 20 })
  })

  it('takes a look at the wrap alone, and what opened it', async () => {
    const { shown, kept, tap } = await form({ conditions: ['ROT'] })
    await tap('The wrap alone')
    expect(shown.text()).not.toContain('Healing over')
    expect(shown.find('input[type=range]').exists()).toBe(false)
    await tap('Wrap open')
    await tap('Squirrels')
    await shown.get('form').trigger('submit')
    expect(kept()).toMatchObject({
      kind: 'WRAP_SEEN',
      details: { conditions: ['WRAP_OPEN'], openedBy: 'SQUIRRELS' },
    })
  })

  it('asks which side is bare where roots stand on others', async () => {
    const { shown, kept, tap } = await form()
    await tap('Rooted')
    await shown.get('[data-sector="0"]').trigger('click')
    await tap('North')
    await shown.get('form').trigger('submit')
    expect(kept().details).toMatchObject({ sectors: [1, 0, 0, 0, 0, 0, 0, 0], bareSide: 'NORTH' })
  })

  it('shows what is rarely wrong at once where it was seen last time', async () => {
    const plain = await form()
    expect(plain.shown.text()).not.toContain('Broken off')
    await plain.tap('More…')
    expect(plain.shown.text()).toContain('Broken off')
    const pests = await form({ conditions: ['PESTS'] })
    expect(pests.shown.text()).toContain('Broken off')
  })

  it('is not lost when the layer is read anew meanwhile', async () => {
    const { shown, kept, tap } = await form()
    await tap('First tips')
    await shown.setProps({ layer: { ...LAYER, asOf: '2026-07-11' } })
    await shown.get('form').trigger('submit')
    expect(kept().details.stage).toBe('INITIALS')
  })

  it('offers no ring to what has none, and a fresh cut to what is cut off', async () => {
    const { shown } = await form({ drawing: { ...LAYER.drawing, ringMm: 0 } })
    expect(shown.text()).not.toContain('Ring again')
    const cut = await form({
      recipe: {
        method: 'CUTTING',
        way: { staysOnMother: false, hangs: false, goesOnAsAir: false, standsInWater: false },
      },
    })
    expect(cut.shown.text()).toContain('Fresh cut')
  })
})
