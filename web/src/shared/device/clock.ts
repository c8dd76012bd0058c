/** How far the nursery's clock is ahead of this device's, as it was last told. A device's clock may be wrong. */
const KEY = 'kg-clock-ahead'

export function setNurseryClock(now: string): void {
  localStorage.setItem(KEY, String(Date.parse(now) - Date.now()))
}

/** The moment by the nursery's clock: what a record is dated with, whenever it is sent. */
export function nurseryNow(): Date {
  const ahead = Number(localStorage.getItem(KEY) ?? 0)
  return new Date(Date.now() + (Number.isFinite(ahead) ? ahead : 0))
}
