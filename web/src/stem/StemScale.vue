<script setup lang="ts">
import { computed } from 'vue'
import { show } from '@/shared/quantity'
import { useSession } from '@/shared/session'
import type { StemGeometry } from './geometry'

/** The lengths beside the drawing: above the upper cut, the ring, below the lower cut. */
const props = defineProps<{ stem: StemGeometry; aboveMm: number; belowMm: number; unit: number }>()
const session = useSession()
const bottom = computed(() => props.stem.ball.top + props.stem.ball.length)
const x = computed(() => props.stem.width + props.unit)
const ticks = computed(() => {
  const { ball, ring } = props.stem
  if (!ring) return [{ from: ball.top, to: bottom.value, mm: ball.length, bold: false }]
  const lower = ring.top + ring.height
  return [
    { from: ball.top, to: ring.top, mm: props.aboveMm, bold: false },
    { from: ring.top, to: lower, mm: ring.height, bold: true },
    { from: lower, to: bottom.value, mm: props.belowMm, bold: false },
  ]
})
const lines = computed(() => [...ticks.value.map((tick) => tick.from), bottom.value])
</script>

<template>
  <g class="fill-ink">
    <line
      v-for="y in lines"
      :key="y"
      :x1="stem.limb.x + stem.limb.width + 3"
      :x2="x + unit"
      :y1="y"
      :y2="y"
      class="stroke-ink"
      :stroke-width="unit * 0.3"
      :stroke-dasharray="`${unit * 0.5} ${unit * 0.7}`"
    />
    <line :x1="x" :x2="x" :y1="stem.ball.top" :y2="bottom" class="stroke-ink" :stroke-width="unit * 0.5" />
    <text
      v-for="tick in ticks"
      :key="tick.from"
      :x="x + unit * 2.5"
      :y="(tick.from + tick.to) / 2 + unit * 1.6"
      :font-size="unit * 4.6"
      :font-weight="tick.bold ? 700 : 400"
    >
      {{ show(tick.mm, 'length', session.units) }}
    </text>
  </g>
</template>
