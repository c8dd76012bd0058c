import { defineStore } from 'pinia'
import { computed, ref, shallowRef } from 'vue'
import { i18n } from '@/shared/i18n'
import { newCommandId, postKept, Problem, type Schemas, type Typed } from '@/shared/api/client'
import { useSession } from '@/shared/session'
import { nurseryNow } from './clock'
import { deviceStore, type Sent, type Waiting } from './store'

export interface ToRecord {
  /** where whoever records it has to know it, to take it back before it has gone */
  id?: string
  codes: string[]
  kind: string
  details: Record<string, unknown>
  note?: string
  corrects?: string
  /** the day alone, where it was done before today */
  occurredOn?: string
  seenRevision?: number
  /** taken with it: it goes after it */
  photo?: Blob | null
}

type Answer =
  | Schemas['RecordAnswer']
  | Schemas['ManyRecorded']
  | Schemas['PhotoView']
  | Schemas['LeafRecordView']
  | Schemas['BatchSet']

/** What came of a record: the answer, the refusal, or null while it waits for the network. */
export type Outcome = { answer: Answer } | { problem: Problem } | null

const AGAIN_MS = 5_000
const PATIENCE_MS = 4_000
const LOCK = 'kg-outbox'
export const LEAF_PATH = '/leaf-records'
const BATCH_PATH = '/batches'
/** Where pages up to 0.3 kept the batches of a person, one tab over the other. */
const OLD_BATCHES = 'kg-bench-outbox-'

/** What a batch says of the layers to be set. */
export type Batch = Typed<Schemas['SetRequestSent']>

/**
 * Records on their way. Each is on the device before it goes; they go in the order in which they were made, once each,
 * when the network is there, through restarts of page, phone and server.
 */
export const useOutbox = defineStore('outbox', () => {
  const session = useSession()
  const all = shallowRef<Waiting[]>([])
  const sent = shallowRef<Sent[]>([])
  const mine = computed(() => all.value.filter((one) => one.personId === session.person?.id))
  const waiting = computed(() => mine.value.filter((one) => !one.refusal))
  const refused = computed(() => mine.value.filter((one) => one.refusal))
  const ofOthers = computed(() => all.value.filter((one) => one.personId !== session.person?.id))
  /** what somebody should read: refused, kept but not counted, or met by another's record */
  const toRead = computed(
    () =>
      refused.value.length +
      sent.value.filter((one) => !one.seen && (one.conflict || one.others.length)).length,
  )
  const latest = shallowRef<{ codes: string[]; answer: Answer } | null>(null)
  const started = ref(false)
  const outcomes = new Map<string, Outcome>()
  const others = new BroadcastChannel(LOCK)
  others.onmessage = () => void read()

  async function read(): Promise<void> {
    const store = await deviceStore()
    all.value = await store.getAll('outbox')
    sent.value = (await store.getAll('sent')).filter((one) => one.personId === session.person?.id)
  }

  async function changed(): Promise<void> {
    await read()
    others.postMessage('changed')
  }

  /** Puts a record on the device and sends it, if that can be done now. */
  async function record(what: ToRecord): Promise<Outcome> {
    const person = session.person
    if (!person) throw new Error('nobody is signed in')
    const one: Waiting = {
      id: what.id ?? newCommandId(),
      personId: person.id,
      personName: person.fullName,
      path: what.codes.length === 1 ? `/layers/${what.codes[0]}/records` : '/layer-records',
      body: {
        ...(what.codes.length === 1 ? { corrects: what.corrects ?? null } : { codes: [...what.codes] }),
        kind: what.kind,
        // as it goes over the wire: what a form still holds on to can't be stored
        details: JSON.parse(JSON.stringify(what.details)) as Record<string, unknown>,
        note: what.note ?? '',
        ...(what.occurredOn ? { occurredOn: what.occurredOn } : { occurredAt: nurseryNow().toISOString() }),
      },
      madeAt: nurseryNow().toISOString(),
      codes: [...what.codes],
      refusal: '',
      page: __PAGE_VERSION__,
      seenRevision: what.seenRevision ?? 0,
    }
    await put(what.photo ? [one, photoOf(one, what.photo)] : [one])
    return outcomeOf(one)
  }

  /** Puts what was seen of a place on the device, and sends it if that can be done now. */
  async function recordLeaf(leaf: Schemas['LeafRequest'], about: string): Promise<Outcome> {
    const person = session.person
    if (!person) throw new Error('nobody is signed in')
    const one: Waiting = {
      id: newCommandId(),
      personId: person.id,
      personName: person.fullName,
      path: LEAF_PATH,
      body: { ...leaf },
      madeAt: nurseryNow().toISOString(),
      codes: [],
      about,
      refusal: '',
      page: __PAGE_VERSION__,
      seenRevision: 0,
    }
    await put([one])
    return outcomeOf(one)
  }

  /**
   * Puts a batch on the device, and sets it if that can be done now.
   *
   * @param about how it is called until its layers have codes
   */
  async function setBatch(id: string, batch: Batch, about: string): Promise<Outcome> {
    const person = session.person
    if (!person) throw new Error('nobody is signed in')
    const one = batchOf(id, person.id, person.fullName, batch, about)
    await put([one])
    return outcomeOf(one)
  }

  /** Batches of older pages go with the rest from now on; what can't be read stays where it is. */
  async function takeOver(): Promise<void> {
    for (const key of Object.keys(localStorage).filter((one) => one.startsWith(OLD_BATCHES))) {
      const person = Number(key.slice(OLD_BATCHES.length))
      const name = session.person?.id === person ? session.person.fullName : ''
      const kept = oldBatches(key).map((one) =>
        batchOf(one.id, person, name, one.body, aboutBatch(one.body, one.mother)),
      )
      if (!kept.length) continue
      await put(kept)
      localStorage.removeItem(key)
    }
  }

  async function outcomeOf(one: Waiting): Promise<Outcome> {
    // where the network hangs, nobody stands and waits for it: what comes of it later is told by `latest`
    await Promise.race([flush(), new Promise((go) => setTimeout(go, PATIENCE_MS))])
    const outcome = outcomes.get(one.id) ?? null
    outcomes.delete(one.id)
    return outcome
  }

  /** A picture of a layer, of a record that has gone. */
  async function addPhoto(code: string, recordId: string, photo: Blob): Promise<void> {
    const person = session.person
    if (!person) throw new Error('nobody is signed in')
    const occurredAt = nurseryNow().toISOString()
    const of = { personId: person.id, personName: person.fullName, codes: [code], id: recordId }
    await put([photoOf({ ...of, body: { kind: 'PHOTO', occurredAt } }, photo)])
    void flush()
  }

  function photoOf(
    record: Pick<Waiting, 'id' | 'personId' | 'personName' | 'codes' | 'body' | 'madeAt'>,
    photo: Blob,
  ): Waiting {
    const at = madeAt(record)
    return {
      id: newCommandId(),
      personId: record.personId,
      personName: record.personName,
      path: `/layers/${record.codes[0]}/photos?recordId=${record.id}&occurredAt=${encodeURIComponent(at)}`,
      body: { kind: 'PHOTO', occurredAt: at },
      codes: record.codes,
      refusal: '',
      seenRevision: 0,
      photo,
    }
  }

  /** On the device for good before anything else is done. */
  async function put(some: Waiting[]): Promise<void> {
    const store = await deviceStore()
    const writing = store.transaction('outbox', 'readwrite', { durability: 'strict' })
    for (const one of some) await writing.store.add(one)
    await writing.done
    await changed()
  }

  /** Sends what waits, in its order. A second page of the same browser leaves it to the first. */
  async function flush(): Promise<void> {
    await navigator.locks.request(LOCK, async () => {
      for (let next = await oldest(); next; next = await oldest()) {
        if (!(await deliver(next))) return
      }
    })
  }

  async function oldest(): Promise<Waiting | undefined> {
    const person = session.person?.id
    const store = await deviceStore()
    return (await store.getAll('outbox')).find((one) => one.personId === person && !one.refusal)
  }

  /** @return whether the next one may be tried */
  async function deliver(one: Waiting): Promise<boolean> {
    try {
      const answer = await send(one)
      outcomes.set(one.id, { answer })
      await settle(one, answer)
      latest.value = { codes: codesOf(one, answer), answer }
      return true
    } catch (failure) {
      if (!(failure instanceof Problem)) throw failure
      // what may have arrived goes again as it is; whoever is signed out sends it after signing in again
      if (failure.mayBeWritten || failure.status === 401) return false
      outcomes.set(one.id, { problem: failure })
      await refuse(one, failure)
      return true
    }
  }

  async function send(one: Waiting): Promise<Answer> {
    const body = one.photo ?? one.body
    try {
      return await postKept<Answer>(one.path, body, one.id, madeBy(one))
    } catch (failure) {
      if (!(failure instanceof Problem) || failure.status !== 403) throw failure
      // the token of the form protection is older than the session: a fresh one, and once more
      await session.load()
      return await postKept<Answer>(one.path, body, one.id, madeBy(one))
    }
  }

  async function settle(one: Waiting, answer: Answer): Promise<void> {
    const store = await deviceStore()
    const both = store.transaction(['outbox', 'sent'], 'readwrite', { durability: 'strict' })
    await Promise.all([
      both.objectStore('outbox').delete(one.seq!),
      both.objectStore('sent').put(became(one, answer)),
      both.done,
    ])
    await changed()
  }

  async function refuse(one: Waiting, problem: Problem): Promise<void> {
    const refusal = [problem.detail, ...problem.violations.map((each) => each.message)].join(' ')
    await (await deviceStore()).put('outbox', { ...one, refusal })
    await changed()
  }

  /** A refused record is thrown away only by the one who made it. */
  async function drop(id: string): Promise<void> {
    const found = all.value.find((one) => one.id === id)
    if (found) await (await deviceStore()).delete('outbox', found.seq!)
    await changed()
  }

  async function markRead(): Promise<void> {
    const store = await deviceStore()
    const writing = store.transaction('sent', 'readwrite')
    for (const one of sent.value) await writing.store.put({ ...one, seen: true })
    await writing.done
    await changed()
  }

  /** From now on what waits is tried again and again. */
  function start(): void {
    if (started.value) return
    started.value = true
    // one tab at a time: what one has taken over is not there any more for the other
    void navigator.locks.request(OLD_BATCHES, takeOver).then(read).then(flush)
    window.addEventListener('online', () => void flush())
    setInterval(() => waiting.value.length && void flush(), AGAIN_MS)
  }

  return {
    all,
    waiting,
    refused,
    ofOthers,
    sent,
    toRead,
    latest,
    record,
    recordLeaf,
    setBatch,
    flush,
    drop,
    markRead,
    start,
    read,
    addPhoto,
  }
})

/** What an older page made is read more leniently: it could not know what is asked for today. */
function madeBy(one: Waiting): Record<string, string> {
  return one.page === __PAGE_VERSION__ ? {} : { 'Made-By-Page': one.page ?? '0.1.0' }
}

function oldBatches(key: string): { id: string; body: Batch; mother: string }[] {
  try {
    return JSON.parse(localStorage.getItem(key) ?? '[]') as { id: string; body: Batch; mother: string }[]
  } catch {
    return []
  }
}

function batchOf(id: string, personId: number, personName: string, batch: Batch, about: string): Waiting {
  return {
    id,
    personId,
    personName,
    path: BATCH_PATH,
    // as it goes over the wire
    body: JSON.parse(JSON.stringify(batch)) as Record<string, unknown>,
    kind: 'SET',
    madeAt: nurseryNow().toISOString(),
    codes: [],
    about,
    refusal: '',
    page: __PAGE_VERSION__,
    seenRevision: 0,
  }
}

/** A batch as it is called until its layers have codes. */
export function aboutBatch(batch: Batch, mother: string): string {
  return i18n.global.t('outbox.batch', { mother, count: batch.rows.length }, batch.rows.length)
}

export function isBatch(one: Pick<Waiting, 'path'>): boolean {
  return one.path === BATCH_PATH
}

/** What it does. */
export function kindOf(one: Pick<Waiting, 'kind' | 'body'>): string {
  return one.kind ?? one.body.kind ?? ''
}

/** Of the layers that it was about, or that it has set. */
function codesOf(one: Waiting, answer: Answer): string[] {
  return 'batchId' in answer ? answer.codes : one.codes
}

/** When it was made, by the nursery's clock. */
export function madeAt(one: Pick<Waiting, 'body' | 'madeAt'>): string {
  return one.body.occurredAt ?? one.madeAt ?? ''
}

/** What came of it, with what others recorded of the layer between what was on the screen and this. */
export function became(one: Waiting, answer: Answer): Sent {
  const single = 'recorded' in answer ? answer : null
  const records = single?.layer.records ?? []
  const since = [...records]
    .sort((a, b) => Date.parse(a.recordedAt) - Date.parse(b.recordedAt))
    .slice(one.seenRevision)
  return {
    id: one.id,
    personId: one.personId,
    codes: codesOf(one, answer),
    kind: kindOf(one),
    occurredAt: madeAt(one),
    sentAt: new Date().toISOString(),
    conflict: single
      ? (single.recorded.conflict ?? '')
      : (('records' in answer ? answer.records : []).find((each) => each.recorded.conflict)?.recorded
          .conflict ?? ''),
    others: one.seenRevision
      ? since
          .filter((each) => each.id !== one.id && each.by !== one.personName)
          .map((each) => ({ kind: each.kind, by: each.by, occurredAt: each.occurredAt }))
      : [],
    seen: false,
  }
}
