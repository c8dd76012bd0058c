export const HOUR_MS = 3_600_000

/** After a night that was missed it is old. */
const FRESH_HOURS = 36

export function backupAge(madeAt: string, now: number): { hours: number; days: number; isFresh: boolean } {
  const hours = Math.max(0, Math.round((now - Date.parse(madeAt)) / HOUR_MS))
  return { hours, days: Math.floor(hours / 24), isFresh: hours <= FRESH_HOURS }
}
