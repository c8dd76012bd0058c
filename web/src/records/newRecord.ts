/** What a form has made of what was typed: a record to be kept. */
export interface NewRecord {
  kind: string
  details: Record<string, unknown>
  note?: string
  corrects?: string
  occurredAt?: string
  photo?: Blob | null
  /** of all the layers that it is about, where it is about more than one */
  codes?: string[]
}
