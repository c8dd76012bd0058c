<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Schemas } from '@/shared/api/client'
import { useWidth } from '@/shared/useWidth'
import { percent } from './words'

/** The share of full balls over thermal days: as the looks leave it, with the fitted curve and the profile's over it. */
const props = defineProps<{ view: Schemas['ReadyTimesView'] }>()
const HEIGHT = 300
const LEFT = 48
const RIGHT = 12
const TOP = 12
const BOTTOM = 44

const frame = ref<HTMLElement | null>(null)
const measured = useWidth(frame, 760)
const WIDTH = computed(() => Math.min(900, measured.value))

const from = computed(() => props.view.curve[0]!.thermalDays)
const to = computed(() => props.view.curve.at(-1)!.thermalDays)
const x = (thermalDays: number) => {
  const at = Math.min(to.value, Math.max(from.value, thermalDays))
  return LEFT + ((at - from.value) / (to.value - from.value)) * (WIDTH.value - LEFT - RIGHT)
}
const y = (share: number) => TOP + (1 - share) * (HEIGHT - TOP - BOTTOM)
const line = (of: 'profile' | 'learned') =>
  props.view.curve.map((one) => `${x(one.thermalDays).toFixed(1)},${y(one[of]).toFixed(1)}`).join(' ')
/** Between two looks it is not known when a ball became full: there the share lies somewhere in a box. */
const boxes = computed(() => {
  let before = 0
  return props.view.steps
    .filter((step) => step.high !== null)
    .map((step) => {
      const box = { x: x(step.low), to: x(step.high!), y: y(step.readyBy), from: y(before) }
      before = step.readyBy
      return box
    })
})
const stairs = computed(() => {
  let path = `M ${LEFT} ${y(0)}`
  for (const box of boxes.value) path += ` H ${box.to.toFixed(1)} V ${box.y.toFixed(1)}`
  return boxes.value.length ? `${path} H ${WIDTH.value - RIGHT}` : ''
})
const ticks = computed(() => {
  const span = to.value - from.value
  const most = WIDTH.value < 500 ? 5 : 8
  const step = [1, 2, 5, 10, 20, 50, 100, 200].find((one) => span / one < most) ?? 500
  const found = []
  for (let at = Math.ceil(from.value / step) * step; at <= to.value; at += step) found.push(at)
  return found
})
</script>

<template>
  <figure ref="frame">
    <svg
      :viewBox="`0 0 ${WIDTH} ${HEIGHT}`"
      class="w-full max-w-[900px]"
      role="img"
      aria-label="Share of full balls over thermal days; the table below has the numbers"
      data-testid="ready-curve"
    >
      <g v-for="share in [0, 0.25, 0.5, 0.75, 1]" :key="share">
        <line :x1="LEFT" :y1="y(share)" :x2="WIDTH - RIGHT" :y2="y(share)" class="stroke-line" />
        <text :x="LEFT - 6" :y="y(share) + 5" text-anchor="end" class="fill-muted" font-size="14">
          {{ percent(share) }}
        </text>
      </g>
      <text
        v-for="tick in ticks"
        :key="tick"
        :x="x(tick)"
        :y="HEIGHT - BOTTOM + 20"
        text-anchor="middle"
        class="fill-ink"
        font-size="14"
      >
        {{ tick }}
      </text>
      <text :x="WIDTH - RIGHT" :y="HEIGHT - 4" text-anchor="end" class="fill-muted" font-size="14">
        thermal days since the ring
      </text>
      <rect
        v-for="(box, i) in boxes"
        :key="i"
        :x="box.x"
        :y="box.y"
        :width="Math.max(1, box.to - box.x)"
        :height="box.from - box.y"
        class="fill-wood"
      />
      <path :d="stairs" fill="none" class="stroke-bark" stroke-width="2" />
      <polyline
        :points="line('profile')"
        fill="none"
        class="stroke-water"
        stroke-width="3"
        stroke-dasharray="9 6"
      />
      <polyline
        v-if="view.layers"
        :points="line('learned')"
        fill="none"
        class="stroke-lichen"
        stroke-width="4"
      />
    </svg>
    <figcaption class="flex flex-wrap gap-x-6 text-sm">
      <span class="inline-flex items-center gap-2"
        ><svg viewBox="0 0 36 8" class="h-2 w-9" aria-hidden="true">
          <line x1="0" y1="4" x2="36" y2="4" class="stroke-lichen" stroke-width="4" /></svg
        >Fitted to own records</span
      >
      <span class="inline-flex items-center gap-2"
        ><svg viewBox="0 0 36 8" class="h-2 w-9" aria-hidden="true">
          <line
            x1="0"
            y1="4"
            x2="36"
            y2="4"
            class="stroke-water"
            stroke-width="3"
            stroke-dasharray="9 6"
          /></svg
        >The profile</span
      >
      <span class="inline-flex items-center gap-2"
        ><svg viewBox="0 0 36 12" class="h-3 w-9" aria-hidden="true">
          <rect x="4" y="1" width="28" height="10" class="fill-wood stroke-bark" /></svg
        >What the looks themselves say, between one and the next</span
      >
    </figcaption>
  </figure>
</template>
