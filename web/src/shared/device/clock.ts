/**
 * How far the nursery's clock is ahead of this device's, which may be wrong: between `atLeast` and `atMost`, in
 * milliseconds. One answer says it only to within the time that it was on its way.
 */
interface Ahead {
  atLeast: number
  atMost: number
}

const KEY = 'kg-clock-ahead'

/**
 * Takes what the nursery's clock was while it was asked. With each answer the two bounds close in; where they
 * contradict what was known, a clock was set anew, and what was known counts no more.
 *
 * @param now what the nursery's clock showed
 * @param askedAt when it was asked, by this device's clock, in milliseconds
 */
export function setNurseryClock(now: string, askedAt: number): void {
  const told = { atLeast: Date.parse(now) - Date.now(), atMost: Date.parse(now) - askedAt }
  const known = kept()
  const both = known && {
    atLeast: Math.max(told.atLeast, known.atLeast),
    atMost: Math.min(told.atMost, known.atMost),
  }
  localStorage.setItem(KEY, JSON.stringify(both && both.atLeast <= both.atMost ? both : told))
}

/** The moment by the nursery's clock: what a record is dated with, whenever it is sent. */
export function nurseryNow(): Date {
  const ahead = kept()
  return new Date(Date.now() + (ahead ? (ahead.atLeast + ahead.atMost) / 2 : 0))
}

/** Null where nothing is kept, or nothing that can be read: then the device's own clock is as good as any. */
function kept(): Ahead | null {
  const text = localStorage.getItem(KEY) ?? ''
  // an older page kept the one figure that its last answer could be sure of at least
  if (/^-?\d+$/.test(text)) return { atLeast: Number(text), atMost: Number(text) + 1000 }
  try {
    const found = JSON.parse(text) as Ahead
    return Number.isFinite(found.atLeast) && Number.isFinite(found.atMost) ? found : null
  } catch {
    return null
  }
}
