<script setup lang="ts">
import { useI18n } from 'vue-i18n'
import { useQuery } from '@tanstack/vue-query'
import { computed } from 'vue'
import { dayText } from '@/shared/dates'
import { show } from '@/shared/quantity'
import { useSession } from '@/shared/session'
import ProblemNote from '@/shared/ui/ProblemNote.vue'
import { useStems } from '@/stem/useStems'
import SeverCard from './SeverCard.vue'
import ShedTabs from './ShedTabs.vue'
import { useShedRecords } from './useShed'
import { severing, supplyFigure } from '@/shared/api/shed'

/** Sever today? */
const session = useSession()
const { data: view, error, refetch } = useQuery(severing)
const { data: supply } = useQuery(supplyFigure)
const { saving, problem, record } = useShedRecords()

const stems = useStems(computed(() => view.value?.layers ?? []))

const groups = computed(() =>
  [
    { group: 'CUT', title: 'To be cut', none: 'Nothing asks to be cut today.' },
    { group: 'HELD', title: 'Held back, or to be brought through the winter', none: '' },
    { group: 'NEARLY', title: 'Nearly ready', none: '' },
  ]
    .map((one) => ({
      ...one,
      layers: (view.value?.layers ?? []).filter((layer) => layer.group === one.group),
    }))
    .filter((one) => one.layers.length || one.none),
)
const toCut = computed(() => (view.value?.layers ?? []).filter((one) => one.group === 'CUT').length)
const { t } = useI18n()
/** The best day of the place where most is cut. */
const bestSaid = computed(() => {
  const counts = new Map<number, number>()
  for (const one of view.value?.layers ?? [])
    if (one.group === 'CUT') counts.set(one.placeId, (counts.get(one.placeId) ?? 0) + 1)
  const where = [...counts].sort(([, a], [, b]) => b - a)[0]?.[0]
  const week = view.value?.weeks.find((one) => one.placeId === where)
  const best = week?.days.find((day) => day.rank === 1 && day.willDo)
  if (!week) return ''
  const least = week?.days.find((day) => day.leastBad)
  if (!best)
    return `; ${t('shed.noneWillDo', { place: week.place, day: least?.weekday ?? '?' })} ${least?.said.join(' ') ?? ''}`
  return `; the best day in ${week.place} is ${best.on === view.value?.today ? 'today' : best.weekday}`
})
const days = (placeId: number) => view.value?.weeks.find((week) => week.placeId === placeId)?.days ?? []
const planned = computed(() => {
  const byDay = new Map<string, string[]>()
  for (const layer of view.value?.layers ?? [])
    if (layer.cutOn) byDay.set(layer.cutOn, [...(byDay.get(layer.cutOn) ?? []), layer.code])
  return [...byDay].sort(([a], [b]) => (a < b ? -1 : 1))
})
</script>

<template>
  <ShedTabs />
  <h1 class="text-2xl">Sever today?</h1>
  <ProblemNote :problem="error" class="mt-3" @retry="refetch()" />
  <p v-if="!view && !error" role="status" class="mt-4 text-muted">Weighing the layers…</p>
  <template v-if="view">
    <ProblemNote :problem="problem" class="mt-3" />
    <p class="text-lg" data-testid="shed-sum">
      <b>{{ toCut }}</b> {{ toCut === 1 ? 'asks' : 'ask' }} to be cut{{ bestSaid }}.
    </p>
    <p v-if="planned.length" class="mt-4" data-testid="planned">
      <b>Planned:</b>
      <template v-for="([day, codes], i) in planned" :key="day"
        >{{ i ? '; ' : ' ' }}{{ dayText(day, view.today) }}: {{ codes.join(', ') }}</template
      >. Water their balls the day before.
    </p>
    <section v-for="group in groups" :key="group.group" class="mt-6" :aria-label="group.title">
      <h2 class="text-lg">{{ group.title }}</h2>
      <p v-if="!group.layers.length" class="text-muted">{{ group.none }}</p>
      <ul class="mt-2 grid gap-3 lg:grid-cols-2">
        <SeverCard
          v-for="layer in group.layers"
          :key="layer.code"
          :layer="layer"
          :stem="stems.get(layer.code)"
          :days="days(layer.placeId)"
          :today="view.today"
          :may-record="session.mayRecord"
          :saving="saving"
          @record="(kind, details) => record([layer.code], kind, details)"
        />
      </ul>
    </section>
    <section
      v-for="week in view.weeks"
      :key="week.placeId"
      class="mt-6"
      :aria-label="`The week in ${week.place}`"
    >
      <h2 class="text-base">The week in {{ week.place }}</h2>
      <ul class="mt-1 grid grid-cols-2 gap-1 sm:grid-cols-4 lg:grid-cols-7">
        <li
          v-for="day in week.days"
          :key="day.on"
          class="border border-line p-2 text-sm"
          :class="
            day.rank === 1 && day.willDo
              ? 'border-2 border-lichen bg-lichen-pale'
              : day.willDo
                ? 'bg-card'
                : ''
          "
          :data-day="day.on"
          data-testid="week-day"
        >
          <p class="font-bold">
            {{ day.on === view.today ? 'Today' : day.weekday }}
            <span class="font-normal text-muted">{{ dayText(day.on, view.today) }}</span>
          </p>
          <p>
            {{ show(day.maxC, 'temperature', session.units) }}, {{ day.vpdKpa.toFixed(2) }} kPa
            <template v-if="!day.forecast">(usual)</template>
          </p>
          <p v-for="one in day.said" :key="one">{{ one }}</p>
        </li>
      </ul>
    </section>
    <section v-if="supply" class="mt-8 max-w-3xl" aria-label="What a ball carries">
      <h2 class="text-base">What a ball carries</h2>
      <p data-testid="supply">{{ supply.sentence }}</p>
      <RouterLink
        v-if="supply.plants && session.isOwner"
        class="link inline-flex min-h-12 items-center"
        :to="{ name: 'house', query: { rule: 'balance.supply', value: supply.learnedCm2PerMl.toFixed(1) } }"
        >Reckon with {{ supply.learnedCm2PerMl.toFixed(1) }} from now on: the house’s figures</RouterLink
      >
    </section>
  </template>
</template>
