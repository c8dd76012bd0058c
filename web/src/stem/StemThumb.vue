<script setup lang="ts">
import type { Schemas } from '@/shared/api/client'
import StemDrawing from './StemDrawing.vue'

/** A layer in a list, as small as a thumb; its place is kept while its measures are on their way. */
defineProps<{ stem: Omit<Schemas['LayerStem'], 'code'> | undefined; large?: boolean }>()
</script>

<template>
  <span class="block shrink-0 overflow-hidden" :class="large ? 'h-28 w-18' : 'h-14 w-9'" data-testid="thumb">
    <StemDrawing
      v-if="stem"
      small
      decorative
      class="h-full"
      :drawing="stem.drawing"
      :sectors="stem.sectors"
      :fill-percent="stem.fillPercent"
      :stage="stem.stage"
      :severed="stem.severed"
    />
  </span>
</template>
