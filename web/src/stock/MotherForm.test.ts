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
import MotherForm from './MotherForm.vue'

const OLD = {
  id: 7,
  code: 'QU-01',
  speciesCode: 'CYDOBL',
  variety: 'Amber Lantern',
  placeId: 2,
  rootRun: 'POT',
  vigour: 'WEAK',
  plantedYear: 2011,
  sick: true,
  toBeCutDown: false,
  rights: 'PERMITTED',
  permission: 'letter of 3 May 2021',
  leafyShoots: 42,
  note: 'by the gate',
  retiredOn: null,
  mergedInto: null,
  version: 5,
}
const SPECIES = [
  { profile: { code: 'CYDOBL', common: 'quince', botanical: 'Cydonia oblonga' } },
  { profile: { code: 'MALDOM', common: 'apple', botanical: 'Malus domestica' } },
]
const RULES = {
  rules: [
    { code: 'mother.parts-growing', value: 3 },
    { code: 'mother.parts-cut-down', value: 2 },
  ],
}

const form = (mother: typeof OLD | null, answers: Answers = {}) =>
  mountForm(
    MotherForm,
    {
      mother,
      places: [
        { id: 1, name: 'North field' },
        { id: 2, name: 'Low tunnel' },
      ],
      species: SPECIES,
    },
    { '/house-rules': RULES, ...answers },
  )

describe('a mother', () => {
  it('that nobody touched is sent as it was read', async () => {
    const { shown, sent } = await form(OLD, { '/mothers/7': OLD })
    await submit(shown)
    const { retiredOn, mergedInto, ...edited } = OLD
    expect([retiredOn, mergedInto]).toEqual([null, null])
    expect(sent).toEqual([{ method: 'PUT', path: '/mothers/7', body: edited }])
    expect(shown.emitted('saved')).toHaveLength(1)
  })

  it('keeps what it is called: that is changed by relabelling it', async () => {
    const { shown } = await form(OLD)
    expect(() => byLabel(shown, 'Variety')).toThrow()
    expect(() => byLabel(shown, 'Species')).toThrow()
  })

  it('that is new is sent with all that was typed and chosen', async () => {
    const { shown, sent } = await form(null, { '/mothers': OLD })
    await typeInto(shown, 'Code', ' MD-09 ')
    await choose(shown, 'Species', 'MALDOM')
    await typeInto(shown, 'Variety', 'Ember Plume')
    await choose(shown, 'Place', '2')
    await typeInto(shown, 'Leafy shoots', '17')
    await typeInto(shown, 'Planted in', '1998')
    await tap(shown, 'Pot')
    await tap(shown, 'Strong')
    await submit(shown)
    expect(sent[0]).toMatchObject({
      method: 'POST',
      path: '/mothers',
      body: {
        id: null,
        code: 'MD-09',
        speciesCode: 'MALDOM',
        variety: 'Ember Plume',
        placeId: 2,
        leafyShoots: 17,
        plantedYear: 1998,
        rootRun: 'POT',
        vigour: 'STRONG',
        sick: false,
        rights: 'FREE',
        version: 0,
      },
    })
  })

  it('asks for the permission only where there are rights', async () => {
    const { shown } = await form({ ...OLD, rights: 'FREE', permission: '' })
    expect(() => byLabel(shown, 'Permission')).toThrow()
    await choose(shown, 'Breeders', 'PERMITTED')
    expect(byLabel(shown, 'Permission')).toBeDefined()
  })

  it('says by the house rules how much of it may stand under rings', async () => {
    const { shown } = await form(OLD)
    const growing = saidOf(shown, 'Leafy shoots')
    expect(growing).toContain('3')
    const answers = shown.findAll('[role=radiogroup]')
    const cutDown = answers.find((one) =>
      document.getElementById(one.attributes('aria-labelledby')!)?.textContent?.includes('cut down'),
    )!
    await cutDown.findAll('[role=radio]')[1]!.trigger('click')
    expect(saidOf(shown, 'Leafy shoots')).toContain('2')
    expect(saidOf(shown, 'Leafy shoots')).not.toBe(growing)
  })

  it('sends a year that is no number as it was typed, and shows the refusal beside it', async () => {
    const { shown, sent } = await form(OLD, {
      '/mothers/7': () => refusal('plantedYear', 'must be a year'),
    })
    await typeInto(shown, 'Planted in', 'long ago')
    await submit(shown)
    expect(sent[0]!.body.plantedYear).toBe('long ago')
    expect(saidOf(shown, 'Planted in')).toContain('must be a year')
    expect((byLabel(shown, 'Planted in') as HTMLInputElement).value).toBe('long ago')
    expect(shown.emitted('saved')).toBeUndefined()
  })

  it('goes on top of what somebody else saved meanwhile, once both were seen', async () => {
    const theirs = { ...OLD, leafyShoots: 12, note: 'moved', version: 9 }
    const { shown, sent } = await form(OLD, {
      '/mothers/7': (body: Record<string, unknown>) =>
        body.version === 9 ? Response.json({ ...OLD, version: 10 }) : overtaken(theirs),
    })
    await typeInto(shown, 'Note', 'by the well')
    await submit(shown)
    expect(shown.text()).toContain('12 leafy shoots')
    await tap(shown, 'Save mine')
    expect(sent.map((one) => [one.body.version, one.body.note])).toEqual([
      [5, 'by the well'],
      [9, 'by the well'],
    ])
    expect(shown.emitted('saved')).toHaveLength(1)
  })
})
