<script setup lang="ts">
/** The questions of the ledger. */
const tabs = [
  { name: 'ledger', label: 'What works here?' },
  { name: 'ready-times', label: 'How long does it take?' },
  { name: 'backtest', label: 'How good were the dates?' },
]
</script>

<template>
  <nav aria-label="Ledger" class="mb-4 flex flex-wrap gap-x-6 border-b border-line print:hidden">
    <RouterLink
      v-for="tab in tabs"
      :key="tab.name"
      :to="{ name: tab.name }"
      class="-mb-px inline-flex min-h-12 items-center border-b-4 border-transparent px-1"
      exact-active-class="!border-lichen font-bold"
      >{{ tab.label }}</RouterLink
    >
    <RouterLink
      :to="{ name: 'trials' }"
      class="-mb-px inline-flex min-h-12 items-center border-b-4 border-transparent px-1"
      >Trials</RouterLink
    >
  </nav>
</template>
