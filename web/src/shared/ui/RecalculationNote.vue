<script setup lang="ts">
import { useRecalculation } from '../useRecalculation'

/** Shown while the dates of many layers follow a change. */
const { progress, running } = useRecalculation()
</script>

<template>
  <div
    v-if="running && progress"
    class="flex flex-wrap items-center gap-3 border-b border-sap bg-sap-pale px-4 py-2"
    role="status"
    data-testid="recalculation"
  >
    <span>
      The dates of all layers are being reckoned anew: {{ progress.done }} of {{ progress.total }}. You can go
      on working.
    </span>
    <progress class="h-3 w-40" :value="progress.done" :max="progress.total" aria-label="Layers reckoned" />
  </div>
</template>
