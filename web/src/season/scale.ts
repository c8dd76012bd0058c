import { addDays, daysBetween } from '@/shared/dates'

const MONTHS = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec']

/** Days of a year on so many pixels. */
export interface Scale {
  from: string
  days: number
  width: number
  x: (day: string) => number
}

export function scaleOf(from: string, to: string, width: number): Scale {
  const days = daysBetween(from, to)
  return { from, days, width, x: (day) => (daysBetween(from, day) / days) * width }
}

/** Where each month begins, and its name. */
export function months(from: string, days: number): { day: string; name: string }[] {
  const found = []
  for (let i = 0; i < days; i++) {
    const day = addDays(from, i)
    if (day.endsWith('-01')) found.push({ day, name: MONTHS[Number(day.slice(5, 7)) - 1]! })
  }
  return found
}

/** Runs of neighbours that are alike, as half-open spans of their indexes. */
export function runs<T>(
  all: readonly T[],
  key: (one: T) => string,
): { from: number; to: number; key: string }[] {
  const found: { from: number; to: number; key: string }[] = []
  all.forEach((one, i) => {
    const last = found.at(-1)
    if (last && last.key === key(one)) last.to = i + 1
    else found.push({ from: i, to: i + 1, key: key(one) })
  })
  return found
}
