<script setup lang="ts">
import type { Schemas } from '@/shared/api/client'

/** A mother with those that were raised from it. */
defineProps<{ one: Schemas['Descent']; here: number }>()
</script>

<template>
  <li class="border-l-2 border-bark py-1 pl-3">
    <b v-if="one.motherId === here">{{ one.code }}</b>
    <RouterLink v-else class="link" :to="{ name: 'mother', params: { id: String(one.motherId) } }">{{
      one.code
    }}</RouterLink>
    <span class="text-muted">
      {{ one.layersSet }} layers set<template v-if="one.layer">, raised from {{ one.layer }}</template>
    </span>
    <ul v-if="one.children.length" class="ml-2">
      <PedigreeBranch v-for="child in one.children" :key="child.motherId" :one="child" :here="here" />
    </ul>
  </li>
</template>
