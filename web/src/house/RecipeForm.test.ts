import { flushPromises } from '@vue/test-utils'
import { afterEach, describe, expect, it, vi } from 'vitest'
import { byLabel, mountForm, type Answers } from '@/testing/mountForm'
import { US } from '@/testing/readers'
import RecipeForm from './RecipeForm.vue'

const ring = (wound: string, scraped: boolean) => ({ wound, ring: true, scraped })
const METHODS = [
  {
    method: 'AIR',
    staysOnMother: true,
    buriesTheBase: false,
    wrapped: true,
    wounds: [ring('RING_SCRAPED', true), ring('RING_UNSCRAPED', false)],
    wraps: ['SEALED_FILM', 'TIED_FILM'],
  },
  {
    method: 'POT_STOOL',
    staysOnMother: true,
    buriesTheBase: true,
    wrapped: false,
    wounds: [ring('RING_UNSCRAPED', false)],
    wraps: ['SPLIT_POT'],
  },
]
const OLD = {
  id: 7,
  name: 'Moss and foil',
  school: 'IN_LEAF',
  number: 3,
  version: 5,
  recipe: {
    method: 'AIR',
    wound: 'RING_SCRAPED',
    hormonePpm: 3000,
    medium: 'MOSS',
    wrap: 'TIED_FILM',
    cover: 'FOIL',
    containerG: 0,
    containerMl: 0,
  },
}

async function choose(list: HTMLElement, code: string): Promise<void> {
  ;(list as HTMLSelectElement).value = code
  list.dispatchEvent(new Event('change'))
  await flushPromises()
}

const form = (recipe: typeof OLD | null, answers: Answers, units?: typeof US) =>
  mountForm(
    RecipeForm,
    { recipe },
    { '/methods': METHODS, '/supplies': { containers: [], hormones: [] }, ...answers },
    units,
  )

afterEach(() => {
  vi.unstubAllGlobals()
  document.body.innerHTML = ''
})

describe('a recipe', () => {
  it('offers what goes with its method, and gives up what does not', async () => {
    const { shown, sent } = await form(OLD, { '/recipes/7': { ...OLD, version: 6 } })
    await choose(byLabel(shown, 'Method'), 'POT_STOOL')
    const wounds = [...byLabel(shown, 'Wound').querySelectorAll('option')].map((one) => one.value)
    expect(wounds).toEqual(['RING_UNSCRAPED'])
    await shown.get('form').trigger('submit')
    await flushPromises()
    expect(sent[0]).toMatchObject({
      method: 'PUT',
      path: '/recipes/7',
      body: {
        version: 5,
        number: 3,
        recipe: { method: 'POT_STOOL', wound: 'RING_UNSCRAPED', wrap: 'SPLIT_POT', hormonePpm: '3000 ppm' },
      },
    })
    expect(shown.emitted('saved')).toHaveLength(1)
  })

  it('sends what was typed in the units that stand beside it', async () => {
    const { shown, sent } = await form(OLD, { '/recipes/7': OLD }, US)
    const container = byLabel(shown, 'Container') as HTMLInputElement
    container.value = '2'
    container.dispatchEvent(new Event('input'))
    const hormone = byLabel(shown, 'Hormone') as HTMLInputElement
    hormone.value = '0.3 %'
    hormone.dispatchEvent(new Event('input'))
    await shown.get('form').trigger('submit')
    await flushPromises()
    expect(sent[0]!.body.recipe).toMatchObject({ containerG: '2 oz', hormonePpm: '0.3 %' })
  })

  it('shows a refusal at the field that it is about and keeps what was typed', async () => {
    const refused = () =>
      Response.json(
        {
          title: 'Bad input',
          detail: 'Look at the field.',
          status: 400,
          violations: [{ field: 'name', message: 'must be there' }],
        },
        { status: 400, headers: { 'Content-Type': 'application/problem+json' } },
      )
    const { shown } = await form(null, { '/recipes': refused })
    const hormone = byLabel(shown, 'Hormone') as HTMLInputElement
    hormone.value = '8000'
    hormone.dispatchEvent(new Event('input'))
    await shown.get('form').trigger('submit')
    await flushPromises()
    const name = byLabel(shown, 'Name')
    expect(document.getElementById(name.getAttribute('aria-describedby')!)?.textContent).toContain(
      'must be there',
    )
    expect(hormone.value).toBe('8000')
    expect(shown.emitted('saved')).toBeUndefined()
  })

  it('shows both sides where somebody else saved it meanwhile, and goes on top of theirs', async () => {
    const theirs = { ...OLD, name: 'Moss, foil and patience', number: 4, version: 9 }
    const { shown, sent } = await form(OLD, {
      '/recipes/7': (body: Record<string, unknown>) =>
        body.version === 9
          ? Response.json({ ...OLD, version: 10 })
          : Response.json(
              { title: 'Changed', detail: 'changed meanwhile', status: 409, current: theirs },
              { status: 409, headers: { 'Content-Type': 'application/problem+json' } },
            ),
    })
    await shown.get('form').trigger('submit')
    await flushPromises()
    expect(shown.text()).toContain('Moss, foil and patience, version 4')
    await shown
      .findAll('button')
      .find((one) => /mine/i.test(one.text()))!
      .trigger('click')
    await flushPromises()
    expect(sent.map((one) => one.body.version)).toEqual([5, 9])
    expect(shown.emitted('saved')).toHaveLength(1)
  })
})
