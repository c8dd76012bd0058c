import { describe, expect, it } from 'vitest'
import {
  byLabel,
  choose,
  mountForm,
  overtaken,
  refusal,
  saidOf,
  submit,
  tap,
  typeInto,
  type Answers,
} from '@/testing/mountForm'
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

const form = (recipe: typeof OLD | null, answers: Answers, units?: typeof US) =>
  mountForm(
    RecipeForm,
    { recipe },
    { '/methods': METHODS, '/supplies': { containers: [], hormones: [] }, ...answers },
    units,
  )

describe('a recipe', () => {
  it('offers what goes with its method, and gives up what does not', async () => {
    const { shown, sent } = await form(OLD, { '/recipes/7': { ...OLD, version: 6 } })
    await choose(shown, 'Method', 'POT_STOOL')
    const wounds = [...byLabel(shown, 'Wound').querySelectorAll('option')].map((one) => one.value)
    expect(wounds).toEqual(['RING_UNSCRAPED'])
    await submit(shown)
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
    await typeInto(shown, 'Container', '2')
    await typeInto(shown, 'Hormone', '0.3 %')
    await submit(shown)
    expect(sent[0]!.body.recipe).toMatchObject({ containerG: '2 oz', hormonePpm: '0.3 %' })
  })

  it('shows a refusal at the field that it is about and keeps what was typed', async () => {
    const { shown } = await form(null, { '/recipes': () => refusal('name', 'must be there') })
    await typeInto(shown, 'Hormone', '8000')
    await submit(shown)
    expect(saidOf(shown, 'Name')).toContain('must be there')
    expect((byLabel(shown, 'Hormone') as HTMLInputElement).value).toBe('8000')
    expect(shown.emitted('saved')).toBeUndefined()
  })

  it('shows both sides where somebody else saved it meanwhile, and goes on top of theirs', async () => {
    const theirs = { ...OLD, name: 'Moss, foil and patience', number: 4, version: 9 }
    const { shown, sent } = await form(OLD, {
      '/recipes/7': (body: Record<string, unknown>) =>
        body.version === 9 ? Response.json({ ...OLD, version: 10 }) : overtaken(theirs),
    })
    await submit(shown)
    expect(shown.text()).toContain('Moss, foil and patience, version 4')
    await tap(shown, 'Save mine')
    expect(sent.map((one) => one.body.version)).toEqual([5, 9])
    expect(shown.emitted('saved')).toHaveLength(1)
  })
})
