/** What a form has made of what was typed: a record to be kept. */
export interface NewRecord {
  kind: string
  details: Record<string, unknown>
  note?: string
  corrects?: string
  occurredAt?: string
  /** the day alone, where it was done before today */
  occurredOn?: string
  photo?: Blob | null
  /** of all the layers that it is about, where it is about more than one */
  codes?: string[]
}

/**
 * The same as it is sent where it was done on another day than today, of which the hour is not known.
 *
 * @param day null while what was typed is none; empty for today
 */
export function onDay(what: NewRecord, day: string | null, today: string): NewRecord {
  const isOfToday = !day || day === today
  return isOfToday || what.kind === 'WITHDRAWN' || what.corrects ? what : { ...what, occurredOn: day }
}
