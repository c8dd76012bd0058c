import { keepPreviousData, useQuery, useQueryClient } from '@tanstack/vue-query'
import { computed, onScopeDispose, ref, watch, type Ref } from 'vue'
import { Problem, type Schemas, get } from '@/shared/api/client'
import { useOutbox } from '@/shared/device/outbox'
import { soon } from '@/shared/device/patience'
import { deviceStore } from '@/shared/device/store'
import { useCards } from '@/shared/device/useCards'
import { useSession } from '@/shared/session'

export type Round = Schemas['RoundView']
export type JobOnRound = Schemas['JobOnRound']
export interface News {
  id: string
  by: string
  kind: string
  code: string
}

const POLL_MS = 4_000
const NEWS_MS = 12_000

/**
 * The walk of a day: from the server, else as it was the last time it was reached. What others record is seen within
 * seconds; what is recorded here is off the list at once, whether it has gone or not.
 */
export function useWalk(on: Ref<string>) {
  const session = useSession()
  const outbox = useOutbox()
  const queries = useQueryClient()
  const personId = session.person!.id
  const { cards, keep, fetchAll } = useCards(personId)
  const news = ref<News[]>([])
  const told = new Set<string>()
  let upTo = ''
  let openedAt = 0

  const {
    data: round,
    error,
    refetch,
    isPending,
  } = useQuery({
    queryKey: computed(() => ['round', on.value]),
    queryFn: load,
    placeholderData: keepPreviousData,
    retry: false,
  })

  async function load(): Promise<Round> {
    const key = `${personId}/${on.value}`
    const asked = ['round', on.value]
    const kept = (await (await deviceStore()).get('walks', key))?.round ?? null
    try {
      const first = queries.getQueryData(asked) ? null : kept
      return await soon(fresh(key), first, (late) => queries.setQueryData(asked, late))
    } catch (failure) {
      if (kept && failure instanceof Problem && failure.mayBeWritten) return kept
      throw failure
    }
  }

  async function fresh(key: string): Promise<Round> {
    const come = await get('/api/v1/round', { query: { on: on.value || undefined } })
    await (await deviceStore()).put('walks', { key, round: come })
    return come
  }

  // the cards of the whole walk are on the device before the far end of the field is reached
  watch(round, (now, before) => {
    if (!now) return
    if (!upTo) {
      upTo = now.takenAt
      openedAt = Date.parse(now.takenAt)
    }
    const codes = now.places.flatMap((place) => place.jobs.map((job) => job.code))
    const isNewDay = now.today !== before?.today
    void fetchAll(codes.filter((code) => isNewDay || !cards.has(code)))
  })

  /** What a record of this device made of a layer. */
  watch(
    () => outbox.latest,
    (latest) => {
      if (!latest) return
      if ('layer' in latest.answer) void keep([latest.answer.layer])
      else void fetchAll(latest.codes)
    },
  )

  async function poll(): Promise<void> {
    if (document.hidden || !upTo) return
    const changes = await get('/api/v1/layer-changes', { query: { since: upTo } }).catch(() => null)
    if (!changes) return
    upTo = changes.upTo
    const fresh = changes.records.filter((one) => !told.has(one.id))
    fresh.forEach((one) => told.add(one.id))
    // what was recorded before one came here is no news
    const ofOthers = fresh.filter(
      (one) => one.personId !== personId && Date.parse(one.recordedAt) >= openedAt,
    )
    if (!ofOthers.length) return
    news.value = [...news.value, ...ofOthers]
    setTimeout(
      () => (news.value = news.value.filter((one) => !ofOthers.some((each) => each.id === one.id))),
      NEWS_MS,
    )
    await fetchAll([...new Set(ofOthers.map((one) => one.code))].filter((code) => cards.has(code)))
    await refetch()
  }
  const timer = setInterval(() => void poll(), POLL_MS)
  onScopeDispose(() => clearInterval(timer))

  const waitingCodes = computed(() => new Set(outbox.waiting.flatMap((one) => one.codes)))
  /** By place in walking order, without what was recorded here and waits to be sent. */
  const places = computed(() =>
    (round.value?.places ?? [])
      .map((place) => ({ ...place, jobs: place.jobs.filter((job) => !waitingCodes.value.has(job.code)) }))
      .filter((place) => place.jobs.length),
  )
  const jobs = computed(() => places.value.flatMap((place) => place.jobs))
  /** Layers that were visited today, by anyone. */
  const done = computed(
    () => new Set([...(round.value?.doneToday ?? []).map((one) => one.code), ...waitingCodes.value]).size,
  )

  return { round, error, refetch, isPending, cards, fetchAll, places, jobs, done, news, waitingCodes }
}
