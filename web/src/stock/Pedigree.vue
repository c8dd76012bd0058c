<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed } from 'vue'
import PedigreeBranch from './PedigreeBranch.vue'
import { pedigreeOf } from '@/shared/api/stock'

/** Where a mother came from, and which others were raised from it. */
const props = defineProps<{ motherId: number }>()
const { data: pedigree } = useQuery(pedigreeOf(() => props.motherId))
const isAlone = computed(() => !pedigree.value?.ancestors.length && !pedigree.value?.self.children.length)
</script>

<template>
  <section v-if="pedigree" aria-labelledby="pedigree-title" data-testid="pedigree">
    <h2 id="pedigree-title" class="text-xl">Its line</h2>
    <p v-if="isAlone" class="text-muted">
      No mother here was raised from it, nor it from another. A plant that is released to own mother stock
      stands here with its line.
    </p>
    <template v-else>
      <p>{{ pedigree.generations }} generations of mothers are on record.</p>
      <ol v-if="pedigree.ancestors.length" class="mt-1">
        <li v-for="one in pedigree.ancestors" :key="one.layer">
          from
          <RouterLink class="link" :to="{ name: 'mother', params: { id: String(one.motherId) } }">{{
            one.code
          }}</RouterLink>, through its layer
          <RouterLink class="link" :to="{ name: 'layer', params: { code: one.layer } }">{{
            one.layer
          }}</RouterLink>
        </li>
      </ol>
      <ul class="mt-2">
        <PedigreeBranch :one="pedigree.self" :here="motherId" />
      </ul>
      <RouterLink
        class="link inline-flex min-h-12 items-center"
        :to="{ name: 'layers', query: { line: String(motherId) } }"
        >All layers of its line</RouterLink
      >
    </template>
  </section>
</template>
