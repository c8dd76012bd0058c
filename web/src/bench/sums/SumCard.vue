<script setup lang="ts">
import { Problem } from '@/shared/api/client'
import ProblemNote from '@/shared/ui/ProblemNote.vue'

/** One sum: what is typed on the left, the answer on the right. */
defineProps<{ name: string; title: string; problem: unknown }>()
const emit = defineEmits<{ retry: [] }>()
/** What is wrong with a field stands at the field. */
const isOfFields = (problem: unknown) => problem instanceof Problem && problem.violations.length > 0
</script>

<template>
  <section
    :id="name"
    class="mt-6 scroll-mt-4"
    :aria-labelledby="`${name}-title`"
    :data-testid="`sum-${name}`"
  >
    <h2 :id="`${name}-title`" class="border-b-2 border-ink pb-1 text-lg">{{ title }}</h2>
    <div class="mt-3 grid gap-6 lg:grid-cols-[minmax(0,3fr)_minmax(0,2fr)]">
      <div class="grid content-start gap-4 sm:grid-cols-2 xl:grid-cols-3"><slot /></div>
      <div class="self-start border-l-8 border-lichen bg-card p-4" aria-live="polite">
        <ProblemNote v-if="problem && !isOfFields(problem)" :problem="problem" @retry="emit('retry')" />
        <p v-else-if="problem" class="text-muted">The answer comes when what is marked is mended.</p>
        <slot v-else name="answer" />
      </div>
    </div>
  </section>
</template>
