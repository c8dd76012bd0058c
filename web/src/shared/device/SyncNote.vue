<script setup lang="ts">
import { computed } from 'vue'
import { connection } from './connection'
import { useOutbox } from './outbox'

/** How many records wait on this device, and whether the server is reached: nothing at all where all is well. */
const outbox = useOutbox()
const words = computed(() => {
  const all = []
  if (!connection.online.value) all.push('No connection')
  if (outbox.waiting.length) all.push(`${outbox.waiting.length} to send`)
  if (outbox.toRead) all.push(`${outbox.toRead} to read`)
  if (outbox.ofOthers.length) all.push(`${outbox.ofOthers.length} of others`)
  return all.join(' · ')
})
</script>

<template>
  <RouterLink
    v-if="words"
    :to="{ name: 'device' }"
    class="btn order-2 border-sap bg-sap-pale px-3 sm:order-none"
    data-testid="sync"
    >{{ words }}</RouterLink
  >
</template>
