<script setup lang="ts">
import { computed } from 'vue'
import type { Schemas } from '@/shared/api/client'
import { capital } from '@/shared/words'
import type { Scale } from './scale'

/** The windows of one species as a band, with what has been set in it; told apart by shape as well as by colour. */
const props = defineProps<{
  species: Schemas['SpeciesSeason']
  scale: Scale
  today: string
  selected: boolean
  start: string
  summary: string
}>()
const emit = defineEmits<{ select: [] }>()
const HEIGHT = 34
const MIDDLE = 17

/** A good date is a full band, a risky one half as high, over winter a line of beads, a closed one a thread. */
const SHAPES: Record<string, { half: number; fill: string }> = {
  GOOD: { half: 11, fill: 'fill-lichen' },
  RISKY: { half: 5, fill: 'fill-sap-bright' },
  CLOSED: { half: 0.75, fill: 'fill-line' },
}
const bands = computed(() =>
  props.species.bands.map((band) => ({
    ...band,
    x: props.scale.x(band.from),
    width: Math.max(1, props.scale.x(band.to) - props.scale.x(band.from)),
  })),
)
const beads = computed(() =>
  bands.value
    .filter((band) => band.windowClass === 'OVERWINTER')
    .flatMap((band) =>
      Array.from({ length: Math.max(1, Math.floor(band.width / 9)) }, (_, i) => band.x + 4.5 + 9 * i),
    ),
)
const sets = computed(() =>
  props.species.set.map((one) => ({ x: props.scale.x(one.on), r: Math.min(7, 2.5 + Math.sqrt(one.layers)) })),
)
</script>

<template>
  <button
    type="button"
    class="grid w-full cursor-pointer grid-cols-1 items-center border-t border-line text-left sm:grid-cols-[10rem_1fr]"
    :class="selected ? 'bg-card' : ''"
    :aria-pressed="selected"
    :data-species="species.code"
    @click="emit('select')"
  >
    <span class="min-w-0 py-1 pr-2" :class="{ 'font-bold': selected }">
      {{ capital(species.common) }}
      <span class="sr-only">: {{ summary }}</span>
    </span>
    <svg :viewBox="`0 0 ${scale.width} ${HEIGHT}`" class="block w-full" aria-hidden="true">
      <template v-for="band in bands" :key="band.from">
        <rect
          v-if="SHAPES[band.windowClass]"
          :x="band.x"
          :width="band.width"
          :y="MIDDLE - SHAPES[band.windowClass]!.half"
          :height="2 * SHAPES[band.windowClass]!.half"
          :class="SHAPES[band.windowClass]!.fill"
        />
      </template>
      <circle v-for="bead in beads" :key="bead" :cx="bead" :cy="MIDDLE" r="3" class="fill-water" />
      <circle
        v-for="one in sets"
        :key="one.x"
        :cx="one.x"
        :cy="MIDDLE"
        :r="one.r"
        class="fill-card stroke-ink stroke-2"
      />
      <line :x1="scale.x(today)" :x2="scale.x(today)" y1="0" :y2="HEIGHT" class="stroke-ink stroke-2" />
      <line
        v-if="selected && start"
        :x1="scale.x(start)"
        :x2="scale.x(start)"
        y1="0"
        :y2="HEIGHT"
        class="stroke-rust stroke-2"
      />
    </svg>
  </button>
</template>
