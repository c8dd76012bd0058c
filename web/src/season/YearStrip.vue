<script setup lang="ts">
import { computed } from 'vue'
import type { Schemas } from '@/shared/api/client'
import { fromSi, unitOf } from '@/shared/quantity'
import { useSession } from '@/shared/session'
import { months, runs, type Scale } from './scale'

/** The year above the windows: months, nights and days as they were, are forecast and usually are, frosts, today. */
const props = defineProps<{ season: Schemas['SeasonView']; scale: Scale; start: string }>()
const session = useSession()
const TOP = 22
const HEIGHT = 120
const BOTTOM = HEIGHT - 6

const lowest = computed(() => Math.min(0, ...props.season.temperatures.map((day) => day.minC)))
const highest = computed(() => Math.max(10, ...props.season.temperatures.map((day) => day.maxC)))
const y = (c: number) => BOTTOM - ((c - lowest.value) / (highest.value - lowest.value)) * (BOTTOM - TOP)
const x = (index: number) => (index / props.scale.days) * props.scale.width
const spans = computed(() =>
  runs(props.season.temperatures, (day) => day.kind).map((run) => {
    const days = props.season.temperatures.slice(run.from, run.to)
    const upper = days.map((day, i) => `${x(run.from + i + 0.5).toFixed(1)},${y(day.maxC).toFixed(1)}`)
    const lower = days.map((day, i) => `${x(run.from + i + 0.5).toFixed(1)},${y(day.minC).toFixed(1)}`)
    return { kind: run.key, points: [...upper, ...lower.reverse()].join(' ') }
  }),
)
const FILLS: Record<string, string> = {
  MEASURED: 'fill-bark-light',
  FORECAST: 'fill-wood stroke-bark [stroke-dasharray:3_2]',
  NORMAL: 'fill-wood',
}
/** From the early first frost to the mean last one, whichever comes first in this year. */
const frosts = computed(() => {
  const frost = props.season.frosts
  if (!frost) return []
  return frost.lastAverage < frost.firstEarly
    ? [
        [props.season.from, frost.lastAverage],
        [frost.firstEarly, props.season.to],
      ]
    : [[frost.firstEarly, frost.lastAverage]]
})
const ticks = computed(() => [0, 10, 20, 30].filter((c) => c >= lowest.value && c <= highest.value))
const hasToday = computed(
  () => props.season.today >= props.season.from && props.season.today < props.season.to,
)
const degrees = (c: number) =>
  `${Math.round(fromSi(c, 'temperature', session.units))} ${unitOf('temperature', session.units)}`
</script>

<template>
  <svg :viewBox="`0 0 ${scale.width} ${HEIGHT}`" class="block w-full" aria-hidden="true">
    <rect
      v-for="[from, to] in frosts"
      :key="from"
      :x="scale.x(from!)"
      :width="Math.max(0, scale.x(to!) - scale.x(from!))"
      :y="TOP - 4"
      :height="HEIGHT - TOP + 4"
      class="fill-water-pale"
    />
    <g v-for="month in months(season.from, scale.days)" :key="month.day">
      <line :x1="scale.x(month.day)" :x2="scale.x(month.day)" y1="4" :y2="HEIGHT" class="stroke-line" />
      <text :x="scale.x(month.day) + 4" y="14" class="fill-muted text-[13px]">{{ month.name }}</text>
    </g>
    <line
      v-for="tick in ticks"
      :key="tick"
      x1="0"
      :x2="scale.width"
      :y1="y(tick)"
      :y2="y(tick)"
      class="stroke-line [stroke-dasharray:1_3]"
    />
    <polygon v-for="span in spans" :key="span.points" :points="span.points" :class="FILLS[span.kind]" />
    <text
      v-for="tick in ticks"
      :key="tick"
      x="2"
      :y="y(tick) - 2"
      class="fill-ink stroke-paper stroke-[3] text-[12px] [paint-order:stroke]"
    >
      {{ degrees(tick) }}
    </text>
    <text
      v-for="[from, to] in frosts.filter(([a, b]) => scale.x(b!) - scale.x(a!) > 90)"
      :key="`${from} frost`"
      :x="(scale.x(from!) + scale.x(to!)) / 2"
      :y="HEIGHT - 4"
      text-anchor="middle"
      class="fill-water text-[12px]"
    >
      frost may come
    </text>
    <line
      v-if="hasToday"
      :x1="scale.x(season.today)"
      :x2="scale.x(season.today)"
      y1="0"
      :y2="HEIGHT"
      class="stroke-ink stroke-2"
    />
    <line
      v-if="start"
      :x1="scale.x(start)"
      :x2="scale.x(start)"
      y1="18"
      :y2="HEIGHT"
      class="stroke-rust stroke-2"
    />
  </svg>
</template>
