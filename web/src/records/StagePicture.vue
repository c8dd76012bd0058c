<script setup lang="ts">
/** A ball cut open at each stage: what is to be seen at the upper cut. */
defineProps<{ stage: string }>()

/** Roots from the upper cut, as far as each stage has them: from where, and how far out and down. */
const ROOTS: Record<string, [number, number, number][]> = {
  NONE: [],
  CALLUS: [],
  INITIALS: [
    [-1, 5, 3],
    [1, 5, 3],
  ],
  ROOTED: [
    [-1, 11, 5],
    [-1, 8, 11],
    [1, 11, 4],
    [1, 8, 11],
  ],
  FILLED: [
    [-1, 14, 2],
    [-1, 13, 8],
    [-1, 8, 13],
    [1, 14, 2],
    [1, 13, 8],
    [1, 8, 13],
  ],
  MATURE: [
    [-1, 15, 0],
    [-1, 14, 6],
    [-1, 11, 11],
    [-1, 6, 14],
    [1, 15, 0],
    [1, 14, 6],
    [1, 11, 11],
    [1, 6, 14],
  ],
}
</script>

<template>
  <svg viewBox="0 0 48 40" class="h-10 w-12" aria-hidden="true">
    <ellipse cx="24" cy="20" rx="21" ry="17" class="fill-lichen-pale stroke-lichen" stroke-width="1.5" />
    <rect x="20.500" y="0" width="7" height="40" class="fill-bark" />
    <rect x="20.500" y="18" width="7" height="9" class="fill-wood" />
    <path v-if="stage !== 'NONE'" d="M19 14h10l1.500 4h-13z" class="fill-bark-deep" />
    <path
      v-for="([side, out, down], i) in ROOTS[stage]"
      :key="i"
      :d="`M${24 + side * 4} 16q${side * out * 0.6} ${down * 0.2} ${side * out} ${down}`"
      fill="none"
      :class="stage === 'MATURE' ? 'stroke-sap' : 'stroke-white'"
      :stroke-width="stage === 'INITIALS' ? 3 : 2.4"
      stroke-linecap="round"
    />
    <path
      v-if="stage === 'MATURE'"
      d="M6 20a18 14 0 0 0 36 0"
      fill="none"
      class="stroke-sap"
      stroke-width="2"
    />
  </svg>
</template>
