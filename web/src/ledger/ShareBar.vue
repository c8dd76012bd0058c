<script setup lang="ts">
import type { Figure } from './useLedger'
import { percent } from './words'

/** A share as a mark on a line from none to all, with the span that chance leaves it. */
defineProps<{ figure: Figure; few: number }>()
const WIDTH = 120
const x = (share: number) => 8 + share * (WIDTH - 16)
</script>

<template>
  <span class="inline-flex items-center gap-2">
    <svg :viewBox="`0 0 ${WIDTH} 20`" class="h-5 w-24 shrink-0 sm:w-30" aria-hidden="true">
      <line :x1="x(0)" y1="10" :x2="x(1)" y2="10" class="stroke-line" stroke-width="2" />
      <template v-if="figure.share !== null">
        <line
          :x1="x(figure.low)"
          y1="10"
          :x2="x(figure.high)"
          y2="10"
          class="stroke-bark"
          :stroke-width="figure.of < few ? 3 : 6"
        />
        <circle
          :cx="x(figure.share)"
          cy="10"
          r="6"
          class="stroke-ink"
          stroke-width="2"
          :class="figure.of < few ? 'fill-card' : 'fill-lichen'"
        />
      </template>
    </svg>
    <span v-if="figure.share !== null" class="text-left whitespace-nowrap">
      <b>{{ percent(figure.share) }}</b> <slot>{{ figure.n }} of {{ figure.of }}</slot>
      <span class="block text-sm text-muted"
        >{{ percent(figure.low) }} to {{ percent(figure.high)
        }}<template v-if="figure.of < few">, few</template></span
      >
    </span>
    <span v-else class="text-sm text-muted">none decided</span>
  </span>
</template>
