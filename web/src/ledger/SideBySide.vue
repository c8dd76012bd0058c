<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed } from 'vue'
import ShareBar from './ShareBar.vue'
import type { Figure, Line } from './useLedger'
import { lineName } from './words'
import { comparison } from '@/shared/api/ledger'

/** Two lines of the ledger beside one another: how far apart they are, and whether that is more than chance. */
const props = defineProps<{ by: string; a: Line; b: Line; few: number }>()
const names = computed(() => [props.a, props.b].map((one) => lineName(props.by, one.value, one.label)))

function useOne(of: (line: Line) => Figure) {
  const address = computed(() => {
    const a = of(props.a)
    const b = of(props.b)
    return new URLSearchParams({
      nameA: names.value[0]!,
      rootedA: String(a.n),
      setA: String(a.of),
      nameB: names.value[1]!,
      rootedB: String(b.n),
      setB: String(b.of),
    }).toString()
  })
  return useQuery(comparison(address))
}
const { data: rooted } = useOne((line) => line.rooted)
const { data: established } = useOne((line) => line.established)
const parts = computed(() => [
  { name: 'Rooted', said: rooted.value, of: (line: Line) => line.rooted },
  { name: 'Lived on', said: established.value, of: (line: Line) => line.established },
])
</script>

<template>
  <section class="panel mt-4" aria-labelledby="beside-title" data-testid="side-by-side">
    <h2 id="beside-title" class="text-lg">{{ names[0] }} beside {{ names[1] }}</h2>
    <div v-for="part in parts" :key="part.name" class="mt-3">
      <h3 class="text-base">{{ part.name }}</h3>
      <p v-if="part.said" :class="{ 'font-bold': part.said.settled }">{{ part.said.sentence }}</p>
      <dl class="mt-1 grid grid-cols-[auto_1fr] items-center gap-x-4">
        <template v-for="(line, i) in [a, b]" :key="i">
          <dt>{{ names[i] }}</dt>
          <dd><ShareBar :figure="part.of(line)" :few="few" /></dd>
        </template>
      </dl>
    </div>
  </section>
</template>
