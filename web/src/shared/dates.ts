const MONTHS = 'January February March April May June July August September October November December'.split(
  ' ',
)
const DAYS = 'Sunday Monday Tuesday Wednesday Thursday Friday Saturday'.split(' ')

function utc(day: string): Date {
  return new Date(`${day}T00:00:00Z`)
}

/** "16 July", with the year where it is not the one of `today`. */
export function dayText(day: string | null | undefined, today: string): string {
  if (!day) return 'more than four years ahead'
  const date = utc(day)
  const text = `${date.getUTCDate()} ${MONTHS[date.getUTCMonth()]}`
  return day.slice(0, 4) === today.slice(0, 4) ? text : `${text} ${day.slice(0, 4)}`
}

/** "16 July 2026", whatever the year of today is. */
export function longDay(day: string): string {
  return dayText(day, '')
}

/** "July 2026". */
export function monthText(day: string): string {
  return `${MONTHS[utc(day).getUTCMonth()]} ${day.slice(0, 4)}`
}

export function weekdayText(day: string): string {
  return DAYS[utc(day).getUTCDay()] ?? ''
}

/** By this device's clock: "14:05". */
export function timeText(instant: string): string {
  return new Date(instant).toLocaleTimeString([], { hour: '2-digit', minute: '2-digit' })
}

export function daysBetween(from: string, to: string): number {
  return Math.round((utc(to).getTime() - utc(from).getTime()) / 86_400_000)
}

export function addDays(day: string, days: number): string {
  return new Date(utc(day).getTime() + days * 86_400_000).toISOString().slice(0, 10)
}
