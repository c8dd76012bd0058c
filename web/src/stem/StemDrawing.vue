<script setup lang="ts">
import { computed } from 'vue'
import type { Schemas } from '@/shared/api/client'
import { show } from '@/shared/quantity'
import { useSession } from '@/shared/session'
import { stemGeometry } from './geometry'

/** One layer on its limb, to scale: every length comes from the core. */
const props = defineProps<{
  drawing: Schemas['Drawing']
  sectors: readonly number[]
  fillPercent: number
  stage: string
  small?: boolean
  severed?: boolean
}>()

const session = useSession()
const stem = computed(() =>
  stemGeometry(props.drawing, props.sectors, props.fillPercent, props.stage, props.severed),
)
const margin = computed(() => (props.small ? 0 : 62))
const mm = (value: number) => show(value, 'length', session.units)
const ballBottom = computed(() => stem.value.ball.top + stem.value.ball.length)
const ballPath = computed(() => {
  const { ball, centre } = stem.value
  const r = ball.diameter / 2
  const bend = ball.length * 0.42
  const neck = stem.value.limb.width / 2 + 1.5
  return `M${centre - neck} ${ball.top} C${centre - r * 1.05} ${ball.top + 2} ${centre - r} ${ball.top + bend * 0.5} ${centre - r} ${ball.top + ball.length / 2} C${centre - r} ${ballBottom.value - bend * 0.5} ${centre - r * 1.05} ${ballBottom.value - 2} ${centre - neck} ${ballBottom.value} L${centre + neck} ${ballBottom.value} C${centre + r * 1.05} ${ballBottom.value - 2} ${centre + r} ${ballBottom.value - bend * 0.5} ${centre + r} ${ball.top + ball.length / 2} C${centre + r} ${ball.top + bend * 0.5} ${centre + r * 1.05} ${ball.top + 2} ${centre + neck} ${ball.top} Z`
})
const coverWords: Record<string, string> = {
  FOIL: 'foil over it',
  WHITE: 'white over it',
  BLACK: 'black over it',
  CLEAR: 'no cover',
}
const label = computed(
  () =>
    `Limb ${mm(props.drawing.ball.diameterMm)} thick, ${stem.value.ring ? `ring ${mm(stem.value.ring.height)} wide` : 'no ring'}, ball ${mm(stem.value.ball.length)} long and ${mm(stem.value.ball.diameter)} across, ${coverWords[props.drawing.cover]}, ${props.fillPercent}% rooted${props.drawing.propped ? ', propped' : ''}`,
)
const ticks = computed(() => {
  const { ball, ring } = stem.value
  if (!ring) return [{ from: ball.top, to: ballBottom.value, mm: ball.length }]
  return [
    { from: ball.top, to: ring.top, mm: props.drawing.aboveMm },
    { from: ring.top, to: ring.top + ring.height, mm: ring.height },
    { from: ring.top + ring.height, to: ballBottom.value, mm: props.drawing.belowMm },
  ]
})
</script>

<template>
  <svg
    role="img"
    :aria-label="label"
    :viewBox="`0 0 ${stem.width + margin} ${stem.height}`"
    class="block h-full w-full"
    preserveAspectRatio="xMidYMid meet"
    data-testid="stem"
  >
    <g v-if="!small">
      <path
        :d="`M${stem.limb.x} 14c-16-14-30-12-34-10c6 12 20 16 34 12`"
        class="fill-lichen stroke-bark-deep"
        stroke-width="0.6"
      />
      <path
        :d="`M${stem.limb.x + stem.limb.width} 26c14-12 28-10 34-5c-8 10-22 12-34 8`"
        class="fill-lichen stroke-bark-deep"
        stroke-width="0.6"
      />
    </g>
    <rect
      :x="stem.limb.x"
      y="0"
      :width="stem.limb.width"
      :height="stem.height"
      class="fill-bark"
      :data-mm="drawing.ball.diameterMm"
      data-part="limb"
    />
    <path
      :d="ballPath"
      class="fill-moss-pale stroke-lichen"
      :class="{ 'opacity-60': drawing.cover === 'CLEAR' }"
      stroke-width="1.4"
      data-part="ball"
      :data-length="stem.ball.length"
      :data-diameter="stem.ball.diameter"
    />
    <path
      v-if="drawing.cover !== 'CLEAR'"
      :d="ballPath"
      fill="none"
      :class="{
        'stroke-muted': drawing.cover === 'FOIL',
        'stroke-ink': drawing.cover === 'BLACK',
        'stroke-white': drawing.cover === 'WHITE',
      }"
      stroke-width="2.6"
      stroke-dasharray="5 3"
    />
    <rect
      :x="stem.limb.x"
      :y="stem.ball.top"
      :width="stem.limb.width"
      :height="stem.ball.length"
      class="fill-bark"
    />
    <rect
      v-if="stem.ring"
      :x="stem.limb.x + 0.8"
      :y="stem.ring.top"
      :width="stem.limb.width - 1.6"
      :height="stem.ring.height"
      class="fill-wood"
      data-part="ring"
    />
    <g class="stroke-bark-deep" fill="none" stroke-width="2.4" stroke-linecap="round">
      <path v-for="(root, i) in stem.roots" :key="`u${i}`" :d="root" />
    </g>
    <g class="stroke-card" fill="none" stroke-width="1.3" stroke-linecap="round" data-part="roots">
      <path v-for="(root, i) in stem.roots" :key="i" :d="root" />
    </g>
    <rect
      v-if="stem.ring && stage !== 'NONE'"
      :x="stem.limb.x - 2"
      :y="stem.ring.top - 2.5"
      :width="stem.limb.width + 4"
      height="4"
      rx="2"
      class="fill-sap-bright"
    />
    <path
      :d="`M${stem.limb.x - 2} ${stem.node}q${stem.limb.width / 2 + 2} 4 ${stem.limb.width + 4} 0`"
      class="stroke-bark-deep"
      fill="none"
      stroke-width="1.6"
    />
    <g class="stroke-ink" stroke-width="3" stroke-linecap="round">
      <line
        :x1="stem.limb.x - 4"
        :x2="stem.limb.x + stem.limb.width + 4"
        :y1="stem.ball.top"
        :y2="stem.ball.top"
      />
      <line :x1="stem.limb.x - 4" :x2="stem.limb.x + stem.limb.width + 4" :y1="ballBottom" :y2="ballBottom" />
    </g>
    <path
      v-if="drawing.propped"
      :d="`M${stem.centre - stem.ball.diameter / 2 - 8} ${stem.height}L${stem.limb.x - 3} ${ballBottom + 8}`"
      class="stroke-sap-bright"
      stroke-width="4"
      stroke-linecap="round"
    />
    <g v-if="!small" class="fill-ink text-[11px]">
      <template v-for="tick in ticks" :key="tick.from">
        <line
          :x1="stem.limb.x + stem.limb.width + 2"
          :x2="stem.width + 4"
          :y1="tick.from"
          :y2="tick.from"
          class="stroke-muted"
          stroke-width="0.6"
          stroke-dasharray="2 2"
        />
        <line
          :x1="stem.width + 4"
          :x2="stem.width + 4"
          :y1="tick.from + 1"
          :y2="tick.to - 1"
          class="stroke-ink"
        />
        <text :x="stem.width + 9" :y="(tick.from + tick.to) / 2 + 4">{{ mm(tick.mm) }}</text>
      </template>
      <line
        :x1="stem.limb.x + stem.limb.width + 2"
        :x2="stem.width + 4"
        :y1="ballBottom"
        :y2="ballBottom"
        class="stroke-muted"
        stroke-width="0.6"
        stroke-dasharray="2 2"
      />
    </g>
  </svg>
</template>
