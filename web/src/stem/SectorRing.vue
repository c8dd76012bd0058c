<script setup lang="ts">
import { computed } from 'vue'

/** The eight sectors round the stem, seen from the tip. Touch one to go from none to dense. */
const sectors = defineModel<number[]>({ required: true })
const props = defineProps<{ readonly?: boolean }>()

const WORDS = ['none', 'one or two', 'several', 'dense']
const INNER = 26
const OUTER = 78

function point(radius: number, turn: number): string {
  const angle = turn * 2 * Math.PI - Math.PI / 2
  return `${(100 + radius * Math.cos(angle)).toFixed(2)} ${(100 + radius * Math.sin(angle)).toFixed(2)}`
}

function wedge(index: number, from: number, to: number): string {
  const start = index / 8 + 0.006
  const end = (index + 1) / 8 - 0.006
  return `M${point(from, start)}L${point(to, start)}A${to} ${to} 0 0 1 ${point(to, end)}L${point(from, end)}A${from} ${from} 0 0 0 ${point(from, start)}Z`
}

const wedges = computed(() =>
  sectors.value.map((density, index) => ({
    index,
    density,
    ground: wedge(index, INNER, OUTER),
    roots: density > 0 ? wedge(index, INNER, INNER + ((OUTER - INNER) * density) / 3) : '',
    label: `Sector ${index + 1}: ${density}, ${WORDS[density]}`,
    at: point(90, (index + 0.5) / 8).split(' '),
  })),
)

function next(index: number, by = 1): void {
  if (props.readonly) return
  sectors.value = sectors.value.map((density, i) => (i === index ? (density + by + 4) % 4 : density))
}
</script>

<template>
  <svg
    viewBox="0 0 200 200"
    class="h-full w-full"
    :role="readonly ? 'img' : 'group'"
    :aria-label="readonly ? `Roots in eight sectors: ${sectors.join(', ')}` : 'Roots in eight sectors'"
  >
    <g
      v-for="one in wedges"
      :key="one.index"
      :role="readonly ? undefined : 'button'"
      :tabindex="readonly ? undefined : 0"
      :aria-label="readonly ? undefined : one.label"
      :class="readonly ? '' : 'cursor-pointer'"
      :data-sector="one.index"
      @click="next(one.index)"
      @keydown.enter.prevent="next(one.index)"
      @keydown.space.prevent="next(one.index)"
      @keydown.up.prevent="next(one.index)"
      @keydown.down.prevent="next(one.index, -1)"
    >
      <path :d="one.ground" class="stroke-line" :class="one.density ? 'fill-lichen-pale' : 'fill-card'" />
      <path v-if="one.roots" :d="one.roots" class="fill-lichen" />
      <text
        v-if="!readonly"
        :x="one.at[0]"
        :y="Number(one.at[1]) + 5"
        text-anchor="middle"
        class="fill-ink text-[15px] font-bold"
      >
        {{ one.density }}
      </text>
    </g>
    <circle cx="100" cy="100" r="21" class="fill-wood stroke-bark" stroke-width="5" />
  </svg>
</template>
