<script setup lang="ts">
import { computed } from 'vue'
import { CAUSES, word } from '@/shared/words'
import { type Line, useLedger } from './useLedger'

/** What layers were lost by, the commonest first; each leads to them. */
const props = defineProps<{ all: Line }>()
const { behind } = useLedger()
const most = computed(() => Math.max(1, ...props.all.causes.map((one) => one.count)))
const lost = computed(() => props.all.causes.reduce((sum, one) => sum + one.count, 0))
</script>

<template>
  <section aria-labelledby="causes-title">
    <h2 id="causes-title" class="border-b-2 border-ink pb-1 text-lg">What layers were lost by</h2>
    <p v-if="!lost">None was lost.</p>
    <ul v-else class="mt-2" data-testid="causes">
      <li
        v-for="one in all.causes"
        :key="one.cause"
        class="grid min-h-8 grid-cols-[11rem_1fr] items-center gap-2"
      >
        <RouterLink class="link" :to="behind({ cause: one.cause })"
          >{{ word(CAUSES, one.cause) }} {{ one.count }}</RouterLink
        >
        <svg viewBox="0 0 100 8" preserveAspectRatio="none" class="h-5 w-full" aria-hidden="true">
          <rect x="0" y="0" :width="(one.count / most) * 100" height="8" class="fill-rust" />
        </svg>
      </li>
    </ul>
  </section>
</template>
