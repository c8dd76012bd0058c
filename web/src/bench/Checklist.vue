<script setup lang="ts">
import type { Schemas } from '@/shared/api/client'

/** What the hands do, in order; a caution stands where it first bites. */
defineProps<{ steps: Schemas['ChecklistStep'][] }>()
</script>

<template>
  <section aria-labelledby="how-title">
    <h2 id="how-title" class="border-b-2 border-ink pb-1 text-base">In this order</h2>
    <ol class="mt-2 list-decimal gap-x-10 pl-6 lg:columns-2" data-testid="checklist">
      <li v-for="one in steps" :key="one.step" class="mb-1 break-inside-avoid">
        {{ one.sentence }}
        <span
          v-for="caution in one.cautions"
          :key="caution"
          class="mt-1 block border-l-4 border-sap bg-sap-pale px-2 py-1 text-sm"
          ><b>Caution:</b> {{ caution }}</span
        >
      </li>
    </ol>
  </section>
</template>
