<script setup lang="ts">
import SectionTabs from '@/shared/ui/SectionTabs.vue'

/** The questions of the ledger; trials are begun on the bench, and end here. */
const tabs = [
  { name: 'ledger', label: 'What works here?' },
  { name: 'ready-times', label: 'How long does it take?' },
  { name: 'backtest', label: 'How good were the dates?' },
  { name: 'trials', label: 'Trials' },
]
</script>

<template>
  <SectionTabs label="Ledger" :tabs="tabs" />
</template>
