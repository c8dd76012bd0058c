<script setup lang="ts">
import { useI18n } from 'vue-i18n'
import { computed, ref, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { dayText, weekdayText } from '@/shared/dates'
import { connection } from '@/shared/device/connection'
import { useMediaQuery } from '@/shared/useMediaQuery'
import { useKeys } from '@/shared/useKeys'
import { DEEDS } from '@/shared/words'
import ProblemNote from '@/shared/ui/ProblemNote.vue'
import { useSession } from '@/shared/session'
import BackupNote from './BackupNote.vue'
import LeavesOnTheWay from './LeavesOnTheWay.vue'
import PlaceJobs from './PlaceJobs.vue'
import RoundCard from './RoundCard.vue'
import { useWalk } from './useWalk'
import { nextAfter, walkOrder } from './walkOrder'

/** What do I do now, where, in what order? */
const { t } = useI18n()
const session = useSession()
const route = useRoute()
const router = useRouter()
const wide = useMediaQuery('(min-width: 1024px)')
const on = computed(() => String(route.query.on ?? ''))
const { round, error, refetch, isPending, cards, fetchAll, places, jobs, done, news } = useWalk(on)
const MAX_NEWS = 3
/** the day on which the round was walked, where it is typed from paper: it holds from layer to layer */
const walkedOn = ref<string | null>('')
const begun = ref<string[]>([])
const skipped = ref(new Set<string>())
const codes = computed(() => jobs.value.map((job) => job.code))
watch(
  [() => round.value?.on, codes],
  ([day], [before]) => {
    if (day !== before) {
      begun.value = codes.value
      skipped.value = new Set()
    } else begun.value = [...begun.value, ...codes.value.filter((code) => !begun.value.includes(code))]
  },
  { immediate: true },
)
const order = computed(() => walkOrder(begun.value, codes.value, skipped.value))
const asked = computed(() => String(route.query.at ?? ''))
/** On a desk the first stands beside the list; on a phone one is opened. */
const at = computed(() => asked.value || (wide.value ? (order.value[0] ?? '') : ''))
const job = computed(() => jobs.value.find((one) => one.code === at.value))
const why = computed(() => {
  if (!job.value) return ''
  const late = job.value.daysLate
  return `${job.value.label.toLowerCase()}, ${late ? `${late} ${late === 1 ? 'day' : 'days'} late` : job.value.by === round.value?.today ? 'due today' : `by ${dayText(job.value.by, round.value?.today ?? '')}`}`
})
const next = computed(() => nextAfter(at.value, begun.value, codes.value, skipped.value))
const left = computed(() => codes.value.filter((code) => code !== at.value).length)

watch(
  at,
  (code) => {
    // one that is not on the walk, or came onto it just now
    if (code && !cards.has(code)) void fetchAll([code])
  },
  { immediate: true },
)

function open(code: string): void {
  const query = { ...route.query, at: code }
  void (asked.value ? router.replace({ query }) : router.push({ query }))
}

function close(): void {
  const { at: _, ...query } = route.query
  void _
  void router.push({ query })
}

function skip(): void {
  skipped.value = new Set([...skipped.value, at.value])
  if (next.value) open(next.value)
  else close()
}

function step(by: number): void {
  const to = order.value[order.value.indexOf(at.value) + by]
  if (to) open(to)
}
useKeys([
  { key: 'j', words: 'The next one on the round', run: () => step(1) },
  { key: 'k', words: 'The one before', run: () => step(-1) },
])

const asOf = computed(() =>
  new Date(round.value?.takenAt ?? 0).toLocaleTimeString([], { hour: '2-digit', minute: '2-digit' }),
)

const other = ref('')
function openOther(): void {
  const code = other.value.trim().toUpperCase()
  if (!code) return
  open(code.length === 5 && !code.includes('-') ? `${code.slice(0, 3)}-${code.slice(3)}` : code)
  other.value = ''
}
</script>

<template>
  <ProblemNote v-if="!round" :problem="error" @retry="refetch()" />
  <p v-if="isPending && !error" role="status" class="text-muted">Looking what is due…</p>
  <p
    v-for="one in news.slice(-MAX_NEWS)"
    :key="one.id"
    class="mb-2 border-l-8 border-water bg-water-pale px-4 py-2"
    role="status"
    data-testid="news"
  >
    {{ one.by }} {{ DEEDS[one.kind] }} <b>{{ one.code }}</b> just now.
  </p>
  <p v-if="news.length > MAX_NEWS" class="mb-2 text-muted">
    And {{ news.length - MAX_NEWS }} more by others.
  </p>
  <div v-if="round" class="lg:grid lg:grid-cols-[20rem_minmax(0,1fr)] lg:gap-6">
    <section v-if="wide || !asked" aria-labelledby="round-title">
      <h1 id="round-title" class="text-2xl">
        {{
          round.on !== round.today
            ? `${weekdayText(round.on)} ${dayText(round.on, round.today)}`
            : round.roundDay
              ? `${weekdayText(round.today)}’s round`
              : 'Before the next round'
        }}
      </h1>
      <p class="mt-1 text-muted" data-testid="walk-sum">
        {{ codes.length }} to do · about {{ Math.ceil(round.minutes) }} of
        {{ round.roundMinutes }} min<template v-if="round.on === round.today && done">
          {{ ` · ${done} done today` }}</template
        >
      </p>
      <BackupNote v-if="session.isOwner" />
      <p v-if="!connection.online.value" class="mt-1" data-testid="as-of">
        No connection: the walk as it was at {{ asOf }}.
      </p>
      <p v-if="round.overMinutes" class="mt-1 font-bold text-rust">
        {{ Math.ceil(round.overMinutes) }} min more than a round may take, and nothing of it can wait.
      </p>
      <p v-if="round.jobs > codes.length && round.jobs > 500" class="mt-1">
        The first {{ codes.length }} of {{ round.jobs }} are listed.
      </p>
      <button
        v-if="!wide && order.length"
        class="btn btn-main mt-3 min-h-14 w-full text-lg"
        data-testid="begin"
        @click="open(order[0]!)"
      >
        {{ done ? 'Go on' : 'Begin' }} at {{ order[0] }}
      </button>
      <div v-if="!codes.length" class="panel mt-4">
        <p class="font-bold">{{ done ? 'The round is done.' : 'Nothing is due.' }}</p>
        <p class="mt-1">
          Everything else can wait for {{ weekdayText(round.nextRoundOn) }}.
          <RouterLink class="link" :to="{ name: 'bench' }">Set layers on the Bench</RouterLink> or
          <RouterLink class="link" :to="{ name: 'layers' }">go through all layers</RouterLink>.
        </p>
      </div>
      <LeavesOnTheWay :leaves="round.leaves ?? []" :today="round.today" />
      <PlaceJobs
        v-for="place in places"
        :key="place.placeId"
        :place="place.place"
        :jobs="place.jobs"
        :cards="cards"
        :today="round.today"
        :at="wide ? at : ''"
        :skipped="skipped"
        :day="walkedOn"
        @open="open"
      />
      <form class="mt-5 flex items-end gap-2" @submit.prevent="openOther">
        <label class="grid grow gap-1">
          <span class="font-bold">Another layer, though it is not due</span>
          <input v-model="other" class="input" placeholder="Code on its label" autocapitalize="characters" />
        </label>
        <button class="btn">Open</button>
      </form>
      <nav class="mt-5" aria-label="Days ahead">
        <h2 class="border-b-2 border-ink pb-1 text-base">What can wait</h2>
        <ul>
          <li v-if="round.on !== round.today">
            <RouterLink class="link flex min-h-12 items-center" :to="{ query: {} }">Back to today</RouterLink>
          </li>
          <li v-for="day in round.ahead" :key="day.on">
            <RouterLink
              class="flex min-h-12 items-center justify-between border-b border-line"
              :to="{ query: { on: day.on } }"
              :aria-current="day.on === round.on ? 'date' : undefined"
              data-testid="ahead"
            >
              <span class="underline"
                >{{ weekdayText(day.on) }} {{ dayText(day.on, round.today)
                }}<template v-if="!day.roundDay">, between rounds</template></span
              >
              <span class="text-sm text-muted">{{ day.jobs }}, {{ Math.ceil(day.minutes) }} min</span>
            </RouterLink>
          </li>
        </ul>
        <p class="mt-2 text-sm text-muted">
          {{ t(round.laterIsLeast ? 'walk.laterAtLeast' : 'walk.later', { count: round.later }) }}
        </p>
        <p class="mt-2">
          <a
            class="link inline-flex min-h-12 items-center"
            :href="`/api/v1/round-sheet?on=${round.on}`"
            target="_blank"
            >Print it as a sheet to tick (PDF)</a
          >
        </p>
        <p v-if="session.mayRecord">
          <RouterLink class="link inline-flex min-h-12 items-center" :to="{ name: 'paper-round' }">{{
            t('paper.link')
          }}</RouterLink>
        </p>
      </nav>
    </section>
    <section v-if="at" aria-label="The layer" class="min-w-0 lg:border-l lg:border-line lg:pl-6">
      <nav v-if="!wide" class="mb-2 flex items-center justify-between" aria-label="Walk">
        <button class="link min-h-12" @click="close">The list</button>
        <span class="text-sm text-muted">{{ done }} done · {{ codes.length }} to do</span>
      </nav>
      <RoundCard
        v-if="cards.has(at)"
        v-model:day="walkedOn"
        :layer="cards.get(at)!"
        :why="why"
        :next="next"
        :left="left"
        :next-round-on="round.nextRoundOn"
        @go="open"
        @skip="skip"
      />
      <p v-else class="panel">
        <b>{{ at }}</b> is not on this device. With a connection it opens by itself;
        <RouterLink class="link" :to="{ name: 'layer', params: { code: at } }">try its page</RouterLink>.
      </p>
    </section>
  </div>
</template>
