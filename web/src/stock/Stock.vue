<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { type Schemas } from '@/shared/api/client'
import { useSession } from '@/shared/session'
import ProblemNote from '@/shared/ui/ProblemNote.vue'
import MotherForm from './MotherForm.vue'
import MotherLine from './MotherLine.vue'
import { stockLines } from '@/shared/api/stock'
import { allPlaces, allSpecies } from '@/shared/api/nursery'

/** Which mother? */
const session = useSession()
const route = useRoute()
const router = useRouter()
const { data: lines, error, refetch } = useQuery(stockLines)
const { data: places } = useQuery(allPlaces)
const { data: species } = useQuery(allSpecies)
const adding = ref(false)
const wanted = computed({
  get: () => String(route.query.q ?? ''),
  set: (q: string) => void router.replace({ query: q ? { q } : {} }),
})
const found = computed(() => {
  const words = wanted.value.toLowerCase().split(/\s+/).filter(Boolean)
  return (lines.value ?? []).filter((line) => {
    const text =
      `${line.mother.code} ${line.common} ${line.botanical} ${line.mother.variety} ${line.mother.note}`.toLowerCase()
    return words.every((one) => text.includes(one))
  })
})
const inUse = computed(() => found.value.filter((line) => !line.mother.retiredOn))
const retired = computed(() => found.value.filter((line) => line.mother.retiredOn))
const byPlace = computed(() =>
  (places.value ?? [])
    .map((place) => ({ place, lines: inUse.value.filter((line) => line.mother.placeId === place.id) }))
    .filter((one) => one.lines.length),
)
const room = computed(() => inUse.value.reduce((sum, line) => sum + line.room, 0))

function saved(mother: Schemas['MotherView']): void {
  adding.value = false
  void router.push({ name: 'mother', params: { id: String(mother.id) } })
}
</script>

<template>
  <div class="flex flex-wrap items-end justify-between gap-4">
    <div>
      <h1 class="text-2xl">Mothers</h1>
      <p v-if="inUse.length" data-testid="stock-room">
        {{ inUse.length === 1 ? 'One mother' : `${inUse.length} mothers` }} in use, with room for
        <b>{{ room }}</b> more layers.
      </p>
    </div>
    <div class="flex flex-wrap items-end gap-3">
      <label v-if="lines && lines.length" class="grid gap-1">
        <span class="sr-only">Find a mother</span>
        <input v-model="wanted" class="input" type="search" placeholder="Code, species, variety" />
      </label>
      <button
        v-if="session.mayRecord && places?.length"
        class="btn btn-main"
        data-testid="add-mother"
        @click="adding = true"
      >
        Add a mother
      </button>
    </div>
  </div>
  <ProblemNote :problem="error" @retry="refetch()" />
  <p v-if="!lines && !error" role="status" class="mt-4 text-muted">Fetching the mothers…</p>
  <p v-if="places && !places.length" class="panel mt-4">
    First say where things stand:
    <RouterLink class="link" :to="{ name: 'house' }">add the site and a place in House</RouterLink>.
  </p>
  <p v-else-if="lines && !lines.length" class="panel mt-4">There is no mother yet. Add the first one.</p>
  <p v-else-if="lines && !found.length" class="panel mt-4">No mother has “{{ wanted }}” on its tag.</p>
  <MotherForm
    v-if="adding && places && species"
    class="mt-4"
    :mother="null"
    :places="places"
    :species="species"
    @saved="saved"
    @close="adding = false"
  />
  <section v-for="group in byPlace" :key="group.place.name" class="mt-6">
    <h2 class="border-b-2 border-ink pb-1 text-base">{{ group.place.name }}</h2>
    <ul>
      <MotherLine v-for="line in group.lines" :key="line.mother.code" :line="line" />
    </ul>
  </section>
  <details v-if="retired.length" class="mt-8">
    <summary class="min-h-12 cursor-pointer font-bold">No longer used: {{ retired.length }}</summary>
    <ul>
      <MotherLine v-for="line in retired" :key="line.mother.code" :line="line" />
    </ul>
  </details>
</template>
