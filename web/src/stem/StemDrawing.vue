<script setup lang="ts">
import { computed, useId } from 'vue'
import type { Schemas } from '@/shared/api/client'
import { show } from '@/shared/quantity'
import { useSession } from '@/shared/session'
import { stemGeometry, strands } from './geometry'
import StemScale from './StemScale.vue'

/** One layer on its limb, to scale: every length comes from the core. */
const props = defineProps<{
  drawing: Schemas['Drawing']
  sectors: readonly number[] | null
  fillPercent: number | null
  stage: string
  small?: boolean
  severed?: boolean
  /** beside words that say it all */
  decorative?: boolean
}>()

const session = useSession()
const id = useId()
const stem = computed(() =>
  stemGeometry(props.drawing, props.sectors, props.fillPercent, props.stage, props.severed),
)
const roots = computed(() => stem.value.roots.join(''))
const moss = computed(() => (props.small ? [] : strands(stem.value, 90)))
// the writing keeps its size beside the drawing, whatever the branch measures
const unit = computed(() => stem.value.height / 100)
const margin = computed(() => (props.small ? 0 : 30 * unit.value))
const mm = (value: number) => show(value, 'length', session.units)
const ballBottom = computed(() => stem.value.ball.top + stem.value.ball.length)
const ballPath = computed(() => {
  const { ball, centre } = stem.value
  const r = ball.diameter / 2
  const middle = ball.top + ball.length / 2
  const neck = stem.value.limb.width / 2 + 1
  const kx = neck + (r - neck) * 0.66
  const ky = (ball.length / 2) * 0.6
  return (
    `M${centre - neck} ${ball.top}C${centre - kx} ${ball.top} ${centre - r} ${middle - ky} ${centre - r} ${middle}` +
    `S${centre - kx} ${ballBottom.value} ${centre - neck} ${ballBottom.value}H${centre + neck}` +
    `C${centre + kx} ${ballBottom.value} ${centre + r} ${middle + ky} ${centre + r} ${middle}` +
    `S${centre + kx} ${ball.top} ${centre + neck} ${ball.top}Z`
  )
})
const COVER_WORDS: Record<string, string> = {
  FOIL: 'foil over it',
  WHITE: 'white over it',
  BLACK: 'black over it',
  CLEAR: 'no cover',
}
/** A cutting ends in its medium. */
const limbBottom = computed(() =>
  props.drawing.method === 'CUTTING' ? stem.value.ball.top + stem.value.ball.length * 0.7 : stem.value.height,
)
const COVER_STROKES: Record<string, string> = {
  FOIL: 'stroke-foil',
  BLACK: 'stroke-ink',
  WHITE: 'stroke-white',
}
const label = computed(
  () =>
    `Limb ${mm(props.drawing.ball.diameterMm)} thick, ${stem.value.ring ? `ring ${mm(stem.value.ring.height)} wide` : 'no ring'}, ball ${mm(stem.value.ball.length)} long and ${mm(stem.value.ball.diameter)} across, ${props.drawing.wrapped ? `${COVER_WORDS[props.drawing.cover]}, ` : ''}${props.fillPercent === null ? 'roots not said' : `${props.fillPercent}% rooted`}${props.drawing.propped ? ', propped' : ''}`,
)
</script>

<template>
  <svg
    :role="decorative ? undefined : 'img'"
    :aria-label="decorative ? undefined : label"
    :aria-hidden="decorative || undefined"
    :viewBox="`0 0 ${stem.width + margin} ${stem.height}`"
    class="block w-full"
    preserveAspectRatio="xMidYMin meet"
    :data-testid="decorative ? undefined : 'stem'"
  >
    <defs>
      <linearGradient :id="`${id}-bark`">
        <stop offset="0" class="[stop-color:var(--color-bark-deep)]" />
        <stop offset="0.3" class="[stop-color:var(--color-bark-light)]" />
        <stop offset="0.65" class="[stop-color:var(--color-bark)]" />
        <stop offset="1" class="[stop-color:var(--color-bark-deep)]" />
      </linearGradient>
      <linearGradient :id="`${id}-wood`">
        <stop offset="0" class="[stop-color:var(--color-wood-deep)]" />
        <stop offset="0.35" class="[stop-color:var(--color-paper)]" />
        <stop offset="1" class="[stop-color:var(--color-wood-deep)]" />
      </linearGradient>
    </defs>
    <g v-if="!small" class="fill-lichen stroke-bark-deep" stroke-width="0.6">
      <path :d="`M${stem.limb.x + 1} 16c-15-15-30-13-36-9c8 11 22 14 36 9`" />
      <path :d="`M${stem.limb.x + stem.limb.width - 1} 30c13-13 27-11 35-5c-9 9-23 11-35 5`" />
    </g>
    <rect
      :x="stem.limb.x"
      y="0"
      :width="stem.limb.width"
      :height="limbBottom"
      :fill="`url(#${id}-bark)`"
      :data-mm="drawing.ball.diameterMm"
      data-part="limb"
    />
    <path
      v-if="drawing.wrapped && drawing.cover !== 'CLEAR'"
      :d="ballPath"
      fill="none"
      :class="COVER_STROKES[drawing.cover]"
      stroke-width="5"
    />
    <path
      :d="ballPath"
      class="fill-moss-pale stroke-lichen"
      stroke-width="1.2"
      :stroke-dasharray="drawing.wrapped ? undefined : '5 4'"
      data-part="ball"
      :data-length="stem.ball.length"
      :data-diameter="stem.ball.diameter"
    />
    <g class="stroke-moss" fill="none" stroke-width="0.55" opacity="0.75">
      <path v-for="(strand, i) in moss" :key="i" :d="strand" />
    </g>
    <rect
      :x="stem.limb.x"
      :y="stem.ball.top"
      :width="stem.limb.width"
      :height="Math.min(stem.ball.length, limbBottom - stem.ball.top)"
      :fill="`url(#${id}-bark)`"
    />
    <rect
      v-if="stem.ring"
      :x="stem.limb.x + 0.8"
      :y="stem.ring.top"
      :width="stem.limb.width - 1.6"
      :height="stem.ring.height"
      :fill="`url(#${id}-wood)`"
      data-part="ring"
    />
    <g class="stroke-bark-deep" fill="none" stroke-width="1.7" stroke-linecap="round" opacity="0.55">
      <path :d="roots" />
    </g>
    <g class="stroke-card" fill="none" stroke-width="1.05" stroke-linecap="round" data-part="roots">
      <path :d="roots" />
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
      :d="`M${stem.limb.x - 1.5} ${stem.node}q${stem.limb.width / 2 + 1.5} 3.5 ${stem.limb.width + 3} 0`"
      class="stroke-bark-deep"
      fill="none"
      stroke-width="1.6"
      stroke-linecap="round"
    />
    <g v-if="drawing.wrapped" class="stroke-ink" stroke-width="2.6" stroke-linecap="round">
      <line
        v-for="y in [stem.ball.top, ballBottom]"
        :key="y"
        :x1="stem.limb.x - 3"
        :x2="stem.limb.x + stem.limb.width + 3"
        :y1="y"
        :y2="y"
      />
    </g>
    <path
      v-if="drawing.propped"
      :d="`M${stem.centre - stem.ball.diameter / 2 - 8} ${stem.height}L${stem.limb.x - 3} ${ballBottom + 8}`"
      class="stroke-sap-bright"
      stroke-width="4"
      stroke-linecap="round"
    />
    <StemScale
      v-if="!small"
      :stem="stem"
      :above-mm="drawing.aboveMm"
      :below-mm="drawing.belowMm"
      :unit="unit"
    />
  </svg>
</template>
