<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed } from 'vue'
import { useRoute } from 'vue-router'
import ProblemNote from '@/shared/ui/ProblemNote.vue'
import { capital } from '@/shared/words'
import { passport } from '@/shared/api/layers'

/** The papers of a plant. */
const route = useRoute()
const code = computed(() => String(route.params.code))
const { data: papers, error, refetch } = useQuery(passport(code))
</script>

<template>
  <RouterLink class="link inline-flex min-h-10 items-center" :to="{ name: 'layer', params: { code } }"
    >Layer {{ code }}</RouterLink
  >
  <ProblemNote :problem="error" @retry="refetch()" />
  <article v-if="papers" class="mt-2 max-w-2xl bg-card p-6" :aria-label="`Papers of ${papers.code}`">
    <div class="flex flex-wrap items-start justify-between gap-3">
      <div>
        <h1 class="text-4xl">{{ papers.code }}</h1>
        <p class="text-xl font-bold">{{ capital(papers.title) }}</p>
      </div>
      <a class="btn btn-main" :href="`/api/v1/layers/${papers.code}/passport-sheet`" target="_blank"
        >Print them</a
      >
    </div>
    <dl class="mt-4 grid gap-x-4 gap-y-1 border-t-2 border-ink pt-3 sm:grid-cols-[9rem_1fr]">
      <template v-for="one in papers.facts" :key="one.label">
        <dt class="font-bold">{{ one.label }}</dt>
        <dd>{{ one.text }}</dd>
      </template>
    </dl>
    <dl class="mt-4 grid gap-x-4 gap-y-1 border-t-2 border-ink pt-3 sm:grid-cols-[9rem_1fr]">
      <template v-for="(one, i) in papers.history" :key="i">
        <dt class="font-bold">{{ one.label }}</dt>
        <dd>{{ one.text }}</dd>
      </template>
    </dl>
    <p v-for="one in papers.small" :key="one" class="mt-3 text-sm text-muted">{{ one }}</p>
  </article>
</template>
