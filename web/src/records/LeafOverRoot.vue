<script setup lang="ts">
import { computed } from 'vue'
import { leavesEach, touched, type LeafState } from './leaves'

/** The leaves of a layer over its ball, each to be halved or taken off; what the roots carry, beside what is left. */
const props = defineProps<{ fillPercent: number }>()
const states = defineModel<LeafState[]>({ required: true })

const HEIGHT = 424
const BALL_Y = 356
const LOWEST_Y = 286
const MIDDLE = 120
const LEAVES_HEIGHT = 272
const MAX_GAP = 46
const WORDS: Record<LeafState, string> = { on: 'left on', half: 'halved', off: 'taken off' }

const each = computed(() => leavesEach(states.value.length))
const leaves = computed(() => {
  const count = Math.ceil(states.value.length / each.value)
  const pairs = Math.max(1, Math.ceil(count / 2))
  // as far apart as there is room for: each is touched with a glove on
  const gap = Math.min(MAX_GAP, LEAVES_HEIGHT / pairs)
  return Array.from({ length: count }, (_, i) => {
    const pair = Math.floor(i / 2)
    const left = i % 2 === 0
    // the lowest are the largest, as they are on the plant
    const size = 62 - (26 * pair) / pairs
    return {
      i,
      state: states.value[i * each.value]!,
      y: LOWEST_Y - gap * pair,
      side: left ? -1 : 1,
      size,
      gap,
      label: `Leaf ${i + 1}${each.value > 1 ? ` (stands for ${each.value})` : ''}: ${WORDS[states.value[i * each.value]!]}`,
    }
  })
})
const shape = (size: number, side: number) =>
  `M0 0 C ${side * size * 0.3} ${-size * 0.42}, ${side * size * 0.85} ${-size * 0.3}, ${side * size} 0 C ${side * size * 0.8} ${size * 0.16}, ${side * size * 0.3} ${size * 0.16}, 0 0 Z`
/** Cut across its middle: the tip half is gone. */
const half = (size: number, side: number) =>
  `M0 0 C ${side * size * 0.16} ${-size * 0.24}, ${side * size * 0.34} ${-size * 0.32}, ${side * size * 0.52} ${-size * 0.3} L ${side * size * 0.52} ${size * 0.1} C ${side * size * 0.34} ${size * 0.13}, ${side * size * 0.16} ${size * 0.09}, 0 0 Z`
const roots = computed(() => {
  const n = Math.round((props.fillPercent / 100) * 22)
  return Array.from({ length: n }, (_, i) => {
    const angle = (i / Math.max(1, n)) * Math.PI * 2 + 0.3
    const reach = 30 + ((i * 37) % 14)
    return `M${MIDDLE + Math.cos(angle) * 10} ${BALL_Y + Math.sin(angle) * 12} q ${Math.cos(angle) * reach * 0.5 + 6} ${Math.sin(angle) * reach * 0.5} ${Math.cos(angle) * reach} ${Math.sin(angle) * reach}`
  })
})

function touch(i: number): void {
  states.value = touched(states.value, i, each.value)
}
</script>

<template>
  <svg
    :viewBox="`0 0 240 ${HEIGHT}`"
    class="mx-auto block h-[26rem] w-full max-w-72 touch-manipulation"
    role="group"
    aria-label="Leaves over roots"
  >
    <rect :x="MIDDLE - 5" y="12" width="10" :height="BALL_Y + 56 - 12" class="fill-bark" />
    <ellipse
      :cx="MIDDLE"
      :cy="BALL_Y"
      rx="52"
      ry="50"
      class="fill-moss-pale stroke-lichen"
      stroke-width="2.5"
    />
    <path v-for="d in roots" :key="d" :d="d" class="fill-none stroke-card" stroke-width="2.5" />
    <line
      :x1="MIDDLE - 26"
      :x2="MIDDLE + 26"
      :y1="BALL_Y + 62"
      :y2="BALL_Y + 62"
      class="stroke-rust"
      stroke-width="3"
      stroke-dasharray="6 4"
    />
    <g
      v-for="leaf in leaves"
      :key="leaf.i"
      :transform="`translate(${MIDDLE + leaf.side * 5} ${leaf.y})`"
      role="button"
      tabindex="0"
      class="cursor-pointer focus-visible:outline-none [&:focus-visible_path]:stroke-water [&:focus-visible_path]:stroke-[4]"
      :aria-label="leaf.label"
      :data-state="leaf.state"
      data-part="leaf"
      @click="touch(leaf.i)"
      @keydown.enter.prevent="touch(leaf.i)"
      @keydown.space.prevent="touch(leaf.i)"
    >
      <rect
        :x="leaf.side < 0 ? -100 : 0"
        :y="-leaf.gap * 0.6"
        width="100"
        :height="leaf.gap"
        fill="transparent"
      />
      <path
        :d="shape(leaf.size, leaf.side)"
        pointer-events="none"
        :class="leaf.state === 'on' ? 'fill-lichen stroke-card' : 'fill-paper stroke-muted'"
        :stroke-dasharray="leaf.state === 'on' ? undefined : '3 3'"
        stroke-width="1.5"
      />
      <path
        v-if="leaf.state === 'half'"
        :d="half(leaf.size, leaf.side)"
        pointer-events="none"
        class="fill-lichen stroke-card"
      />
    </g>
  </svg>
  <p v-if="each > 1" class="eyebrow text-center">One drawn leaf stands for {{ each }}.</p>
</template>
