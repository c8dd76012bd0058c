<script setup lang="ts">
import { computed, ref } from 'vue'
import { useWidth } from '@/shared/useWidth'
import type { Line } from './useLedger'
import { percent } from './words'

/** How many rooted of what was set in each week of the year, with the span that chance leaves each. */
const props = defineProps<{ lines: Line[]; few: number }>()
const HEIGHT = 170
const LEFT = 44
const TOP = 10
const BOTTOM = 30
const frame = ref<HTMLElement | null>(null)
const measured = useWidth(frame, 640)
const WIDTH = computed(() => Math.min(768, measured.value))
/** On a narrow screen only so many weeks can be named. */
const every = computed(() => Math.max(1, Math.ceil((weeks.value.length * 26) / WIDTH.value)))
const weeks = computed(() => {
  const decided = props.lines.filter((one) => one.rooted.of)
  const from = Math.min(...decided.map((one) => Number(one.value)))
  const to = Math.max(...decided.map((one) => Number(one.value)))
  const step = (WIDTH.value - LEFT - 10) / Math.max(1, to - from + 1)
  return decided.map((one) => ({ ...one, x: LEFT + (Number(one.value) - from + 0.5) * step }))
})
const y = (share: number) => TOP + (1 - share) * (HEIGHT - TOP - BOTTOM)
</script>

<template>
  <section ref="frame" aria-labelledby="weeks-title">
    <h2 id="weeks-title" class="border-b-2 border-ink pb-1 text-lg">Rooted, by the week it was set in</h2>
    <p v-if="!weeks.length">Nothing is decided yet.</p>
    <svg
      v-else
      :viewBox="`0 0 ${WIDTH} ${HEIGHT}`"
      class="mt-2 w-full max-w-3xl"
      role="img"
      aria-label="Share rooted by week set; the table by week has the numbers"
      data-testid="weeks"
    >
      <g v-for="share in [0, 0.5, 1]" :key="share">
        <line :x1="LEFT" :y1="y(share)" :x2="WIDTH" :y2="y(share)" class="stroke-line" />
        <text :x="LEFT - 6" :y="y(share) + 5" text-anchor="end" class="fill-muted" font-size="14">
          {{ percent(share) }}
        </text>
      </g>
      <g v-for="(one, i) in weeks" :key="one.value">
        <line
          :x1="one.x"
          :y1="y(one.rooted.low)"
          :x2="one.x"
          :y2="y(one.rooted.high)"
          class="stroke-bark"
          :stroke-width="one.rooted.of < few ? 2 : 5"
        />
        <circle
          :cx="one.x"
          :cy="y(one.rooted.share!)"
          r="6"
          class="stroke-ink"
          stroke-width="2"
          :class="one.rooted.of < few ? 'fill-card' : 'fill-lichen'"
        />
        <text
          v-if="i % every === 0"
          :x="one.x"
          :y="HEIGHT - 8"
          text-anchor="middle"
          class="fill-ink"
          font-size="14"
        >
          {{ one.value }}
        </text>
      </g>
    </svg>
    <p v-if="weeks.length" class="text-sm text-muted">
      The line is what chance leaves; an open mark stands for fewer than {{ few }}.
    </p>
  </section>
</template>
