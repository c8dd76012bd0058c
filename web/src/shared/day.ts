import { addDays } from './dates'

/** What was typed for a day, read. */
export type ReadDay =
  | { is: 'empty' }
  | { is: 'day'; day: string }
  /** it can be read in two ways, the day first and the month first: whoever typed it says which */
  | { is: 'two'; days: [string, string] }
  | { is: 'unreadable' }
  /** there is no such day, as of 31 June */
  | { is: 'none' }

const MONTHS = ['jan', 'feb', 'mar', 'apr', 'may', 'jun', 'jul', 'aug', 'sep', 'oct', 'nov', 'dec']
const WEEKDAYS = ['sun', 'mon', 'tue', 'wed', 'thu', 'fri', 'sat']
const WORDS: Record<string, number> = { a: 1, one: 1, two: 2, three: 3, four: 4, five: 5, six: 6, seven: 7 }

function iso(year: number, month: number, day: number): string | null {
  const date = new Date(Date.UTC(year, month - 1, day))
  const isReal = date.getUTCMonth() === month - 1 && date.getUTCDate() === day
  return isReal ? date.toISOString().slice(0, 10) : null
}

/** A year of two figures is of this century. */
function yearOf(text: string): number {
  const year = Number(text)
  return text.length <= 2 ? 2000 + year : year
}

/** The month that a word names by its beginning, three letters or more; 0 for none. */
function monthOf(word: string): number {
  const low = word.toLowerCase().replace(/\.$/, '')
  const at = MONTHS.findIndex((one) => low.startsWith(one))
  const names = 'january february march april may june july august september october november december'.split(
    ' ',
  )
  return at >= 0 && (names[at]!.startsWith(low) || low === 'sept') ? at + 1 : 0
}

/** The day without a year: the last such day that has been, or, of what lies ahead, the next that comes. */
function without(month: number, day: number, today: string, ahead: boolean): string | null {
  const year = Number(today.slice(0, 4))
  const order = ahead
    ? [year, year + 1, year + 2, year + 3, year + 4]
    : [year, year - 1, year - 2, year - 3, year - 4]
  for (const one of order) {
    const found = iso(one, month, day)
    if (found && (ahead ? found >= today : found <= today)) return found
  }
  return null
}

function dated(month: number, day: number, year: string | undefined, today: string, ahead: boolean) {
  return year ? iso(yearOf(year), month, day) : without(month, day, today, ahead)
}

const as = (day: string | null): ReadDay => (day ? { is: 'day', day } : { is: 'none' })

/**
 * Reads a day as it is typed: "today", "yesterday", "3 days ago", "Monday", "10 jul", "July 10", "10/7", "10.7.26",
 * "2026-07-10". What can be read in two ways is told as both.
 *
 * @param ahead whether the day lies ahead rather than behind, where the year or week is not said
 */
export function readDay(typed: string, today: string, ahead = false): ReadDay {
  const text = typed.trim().toLowerCase().replace(/\s+/g, ' ').replace(/,/g, '')
  if (!text) return { is: 'empty' }
  return (
    relative(text, today, ahead) ??
    named(text, today, ahead) ??
    figures(text, today, ahead) ?? { is: 'unreadable' }
  )
}

function relative(text: string, today: string, ahead: boolean): ReadDay | null {
  if (text === 'today') return as(today)
  if (text === 'yesterday') return as(addDays(today, -1))
  if (text === 'tomorrow') return as(addDays(today, 1))
  const ago =
    /^(\d{1,4}|[a-z]+) (day|week)s? ago$/.exec(text) ?? /^in (\d{1,4}|[a-z]+) (day|week)s?$/.exec(text)
  if (ago) {
    const count = WORDS[ago[1]!] ?? Number(ago[1])
    if (Number.isNaN(count)) return null
    const days = count * (ago[2] === 'week' ? 7 : 1)
    return as(addDays(today, text.startsWith('in ') ? days : -days))
  }
  const weekday = /^(last |next |on )?([a-z]{3,9})$/.exec(text)
  const at = weekday ? WEEKDAYS.findIndex((one) => weekday[2]!.startsWith(one)) : -1
  if (at < 0 || monthOf(weekday![2]!)) return null
  const now = new Date(`${today}T00:00:00Z`).getUTCDay()
  const forward = weekday![1] === 'next ' || (ahead && weekday![1] !== 'last ')
  const away = forward ? (at - now + 7) % 7 || 7 : -((now - at + 7) % 7 || 7)
  return as(addDays(today, away))
}

/** With the month as a word: its order can't be mistaken. */
function named(text: string, today: string, ahead: boolean): ReadDay | null {
  const dayFirst = /^(\d{1,2})(?:st|nd|rd|th)?[ .-]*(?:of )?([a-z]{3,9})\.?[ -]*(\d{4}|\d{2})?$/.exec(text)
  if (dayFirst && monthOf(dayFirst[2]!))
    return as(dated(monthOf(dayFirst[2]!), Number(dayFirst[1]), dayFirst[3], today, ahead))
  const monthFirst = /^([a-z]{3,9})\.?[ -]*(\d{1,2})(?:st|nd|rd|th)?(?:[ -]+(\d{4}|\d{2}))?$/.exec(text)
  if (monthFirst && monthOf(monthFirst[1]!))
    return as(dated(monthOf(monthFirst[1]!), Number(monthFirst[2]), monthFirst[3], today, ahead))
  return null
}

function figures(text: string, today: string, ahead: boolean): ReadDay | null {
  const year = /^(\d{4})[-/.](\d{1,2})[-/.](\d{1,2})$/.exec(text)
  if (year) return as(iso(Number(year[1]), Number(year[2]), Number(year[3])))
  const both = /^(\d{1,2}) ?[-/.] ?(\d{1,2})(?: ?[-/.] ?(\d{4}|\d{2})?)?$/.exec(text)
  if (!both) return null
  const dayFirst = dated(Number(both[2]), Number(both[1]), both[3], today, ahead)
  const monthFirst = dated(Number(both[1]), Number(both[2]), both[3], today, ahead)
  if (dayFirst && monthFirst && dayFirst !== monthFirst) return { is: 'two', days: [dayFirst, monthFirst] }
  return as(dayFirst ?? monthFirst)
}
