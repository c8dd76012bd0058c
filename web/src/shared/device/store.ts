import { openDB, type DBSchema, type IDBPDatabase } from 'idb'
import type { Schemas } from '@/shared/api/client'

/** A record that was made on this device and has not been answered yet. It keeps its identity however often it goes. */
export interface Waiting {
  /** order in which they were made; given by the store */
  seq?: number
  id: string
  personId: number
  personName: string
  /** of the API, after /api/v1 */
  path: string
  body: { kind?: string; occurredAt?: string; [more: string]: unknown }
  /** what is done, where its body does not say it */
  kind?: string
  /** when it was made, where its body says no instant */
  madeAt?: string
  /** of the layers that it is about; none for what is seen at a place, and for a batch that is still to be set */
  codes: string[]
  /** what it is about, where that is no layer */
  about?: string
  /** what the server said to what it can't take; empty while it waits */
  refusal: string
  /** a picture that goes as it is; the body then only says what it is about */
  photo?: Blob
  /** version of the page that made it; missing for those of pages that did not say it yet */
  page?: string
  /** revision of the layer that was on the screen; 0 where that does not matter */
  seenRevision: number
}

/** What became of a record that has gone. */
export interface Sent {
  id: string
  personId: number
  codes: string[]
  kind: string
  occurredAt: string
  sentAt: string
  /** why it is kept but not counted; empty if it counts */
  conflict: string
  /** what others had recorded of the same layer meanwhile */
  others: { kind: string; by: string; occurredAt: string }[]
  /** whether somebody has read that */
  seen: boolean
}

interface DeviceSchema extends DBSchema {
  outbox: { key: number; value: Waiting; indexes: { id: string } }
  sent: { key: string; value: Sent }
  walks: { key: string; value: { key: string; round: Schemas['RoundView'] } }
  cards: { key: string; value: { key: string; card: Schemas['LayerCard'] } }
}

let opened: Promise<IDBPDatabase<DeviceSchema>> | null = null

/** What is kept on the device: it outlives the page, the browser and the phone. */
export function deviceStore(): Promise<IDBPDatabase<DeviceSchema>> {
  opened ??= openDB<DeviceSchema>('kind-girdle', 1, {
    upgrade(store) {
      store.createObjectStore('outbox', { keyPath: 'seq', autoIncrement: true }).createIndex('id', 'id')
      store.createObjectStore('sent', { keyPath: 'id' })
      store.createObjectStore('walks', { keyPath: 'key' })
      store.createObjectStore('cards', { keyPath: 'key' })
    },
  })
  return opened
}

/**
 * What was read from the server does not stay when its reader goes. What is still to be sent does, and what met
 * another's record until it has been read.
 */
export async function forgetWhatWasRead(): Promise<void> {
  const store = await deviceStore()
  const all = store.transaction(['walks', 'cards', 'sent'], 'readwrite')
  const sent = all.objectStore('sent')
  for (const one of await sent.getAll())
    if (one.seen || (!one.conflict && !one.others.length)) await sent.delete(one.id)
  await Promise.all([all.objectStore('walks').clear(), all.objectStore('cards').clear(), all.done])
}
