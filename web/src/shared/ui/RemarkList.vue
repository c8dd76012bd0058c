<script setup lang="ts">
import type { Schemas } from '../api/client'

/** What rules have to say, the gravest first. */
defineProps<{ remarks: Schemas['Remark'][] }>()
const LEVELS: Record<string, string> = {
  BLOCK: 'border-rust bg-rust-pale',
  WARN: 'border-sap bg-sap-pale',
  CAUTION: 'border-water bg-water-pale',
  FINE: 'border-lichen bg-lichen-pale',
}
const WORDS: Record<string, string> = {
  BLOCK: 'Not this one:',
  WARN: 'Think first:',
  CAUTION: 'Caution:',
  FINE: 'Good:',
}
</script>

<template>
  <ul v-if="remarks.length" class="grid gap-2" data-testid="remarks">
    <li
      v-for="one in remarks"
      :key="one.sentence"
      class="border-l-8 p-3"
      :class="LEVELS[one.level]"
      :data-level="one.level"
    >
      <b>{{ WORDS[one.level] }}</b> {{ one.sentence }}
    </li>
  </ul>
</template>
