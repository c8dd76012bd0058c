import { describe, expect, it } from 'vitest'
import {
  byLabel,
  mountForm,
  overtaken,
  refusal,
  saidOf,
  submit,
  tap,
  typeInto,
  type Answers,
} from '@/testing/mountForm'
import { METRIC, US } from '@/testing/readers'
import SiteForm from './SiteForm.vue'

const OLD = {
  name: 'Fernhollow',
  latitude: -37.5,
  zone: 'Pacific/Auckland',
  minC: [14, 14, 12, 9, 7, 5, 4, 5, 7, 9, 11, 13],
  maxC: [24, 24, 22, 19, 16, 14, 13, 14, 16, 18, 20, 22],
  frosts: { lastAverage: '--09-10', lastLate: '--10-05', firstEarly: '--05-02', firstAverage: '--05-28' },
  winterLowC: -2.5,
  arid: false,
  roundDays: ['MONDAY', 'THURSDAY'],
  roundMinutes: 75,
  version: 3,
}

const form = (site: typeof OLD | null, answers: Answers = {}, units = METRIC) =>
  mountForm(SiteForm, { site, locked: false }, { '/site': OLD, ...answers }, units)

describe('a site', () => {
  it('that nobody touched is sent as it was read', async () => {
    const { shown, sent } = await form(OLD)
    await submit(shown)
    expect(sent).toHaveLength(1)
    const degrees = (list: number[]) => list.map((one) => `${one} C`)
    expect(sent[0]).toEqual({
      method: 'PUT',
      path: '/site',
      body: {
        ...OLD,
        minC: degrees(OLD.minC),
        maxC: degrees(OLD.maxC),
        winterLowC: '-2.5 C',
      },
    })
    expect(shown.emitted('saved')).toHaveLength(1)
  })

  it('is shown and sent in the units of the reader', async () => {
    const { shown, sent } = await form(OLD, {}, US)
    const july = document.querySelector<HTMLInputElement>('[aria-label="Nights, Jul"]')!
    expect(july.value).toBe('39.2')
    await typeInto(shown, 'Lowest', '27')
    await submit(shown)
    expect(sent[0]!.body).toMatchObject({ winterLowC: '27 F' })
    expect((sent[0]!.body.minC as string[])[6]).toBe('39.2 F')
  })

  it('has no frost dates where it never freezes', async () => {
    const { shown, sent } = await form(OLD)
    await tap(shown, 'Never')
    expect(() => byLabel(shown, 'Last frost')).toThrow()
    await submit(shown)
    expect(sent[0]!.body.frosts).toBeNull()
    expect(shown.emitted('saved')).toHaveLength(1)
  })

  it('goes round on the days that are pressed', async () => {
    const { shown, sent } = await form(OLD)
    await tap(shown, 'Mon')
    await tap(shown, 'Sat')
    await submit(shown)
    expect(sent[0]!.body.roundDays).toEqual(['THURSDAY', 'SATURDAY'])
  })

  it('that is new makes no figure up: what was not typed is sent empty, and the refusal stands beside it', async () => {
    const { shown, sent } = await form(null, { '/site': () => refusal('latitude', 'must be there') })
    await typeInto(shown, 'Name', 'Fernhollow')
    await submit(shown)
    expect(sent[0]!.body).toMatchObject({ name: 'Fernhollow', latitude: '', version: 0 })
    expect((sent[0]!.body.minC as unknown[]).every((one) => one === '' || one === null)).toBe(true)
    expect(saidOf(shown, 'Latitude')).toContain('must be there')
    expect((byLabel(shown, 'Name') as HTMLInputElement).value).toBe('Fernhollow')
    expect(shown.emitted('saved')).toBeUndefined()
  })

  it('goes on top of what somebody else saved meanwhile, once both were seen', async () => {
    const theirs = { ...OLD, roundMinutes: 120, version: 8 }
    const { shown, sent } = await form(OLD, {
      '/site': (body: Record<string, unknown>) =>
        body.version === 8 ? Response.json({ ...OLD, version: 9 }) : overtaken(theirs),
    })
    await typeInto(shown, 'Minutes', '80')
    await submit(shown)
    expect(shown.text()).toContain('120 minutes a round')
    await tap(shown, 'Save mine')
    expect(sent.map((one) => [one.body.version, one.body.roundMinutes])).toEqual([
      [3, 80],
      [8, 80],
    ])
  })
})
