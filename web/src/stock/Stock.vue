<script setup lang="ts">
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { api, type Schemas } from '@/shared/api/client'
import { useSession } from '@/shared/session'
import ProblemNote from '@/shared/ui/ProblemNote.vue'
import { capital } from '@/shared/words'
import MotherForm from './MotherForm.vue'

/** Which mother? */
const session = useSession()
const queries = useQueryClient()
const {
  data: mothers,
  error,
  refetch,
} = useQuery({
  queryKey: ['mothers'],
  queryFn: () => api<Schemas['MotherView'][]>('GET', '/mothers'),
})
const { data: places } = useQuery({
  queryKey: ['places'],
  queryFn: () => api<Schemas['PlaceView'][]>('GET', '/places'),
})
const { data: species } = useQuery({
  queryKey: ['species'],
  queryFn: () => api<Schemas['SpeciesView'][]>('GET', '/species'),
})
const { data: rooms } = useQuery({
  queryKey: ['mothers', 'rooms'],
  queryFn: () => api<Schemas['MotherRoom'][]>('GET', '/mother-rooms'),
})
const editing = ref<Schemas['MotherView'] | 'new' | null>(null)
const byPlace = computed(() =>
  (places.value ?? [])
    .map((place) => ({ place, mothers: (mothers.value ?? []).filter((one) => one.placeId === place.id) }))
    .filter((one) => one.mothers.length),
)
const common = (code: string) =>
  species.value?.find((one) => one.profile.code === code)?.profile.common ?? code

function room(mother: Schemas['MotherView']): string {
  if (mother.sick) return 'sick: not to be cloned'
  if (mother.rights === 'PROTECTED') return 'protected: no permission on record'
  const found = rooms.value?.find((one) => one.motherId === mother.id)
  return found ? `${found.underRings} on it, room for ${found.room} more` : ''
}

function saved(): void {
  editing.value = null
  void queries.invalidateQueries()
}
</script>

<template>
  <div class="flex flex-wrap items-center justify-between gap-4">
    <h1 class="text-2xl">Mothers</h1>
    <button
      v-if="session.mayRecord && places?.length"
      class="btn btn-main"
      data-testid="add-mother"
      @click="editing = 'new'"
    >
      Add a mother
    </button>
  </div>
  <ProblemNote :problem="error" @retry="refetch()" />
  <p v-if="places && !places.length" class="panel mt-4">
    First say where things stand:
    <RouterLink class="link" :to="{ name: 'house' }">add the site and a place in House</RouterLink>.
  </p>
  <p v-else-if="mothers && !mothers.length" class="panel mt-4">There is no mother yet. Add the first one.</p>
  <MotherForm
    v-if="editing && places && species"
    :key="editing === 'new' ? 'new' : editing.code"
    class="mt-4"
    :mother="editing === 'new' ? null : editing"
    :places="places"
    :species="species"
    @saved="saved"
    @close="editing = null"
  />
  <section v-for="group in byPlace" :key="group.place.name" class="mt-6">
    <h2 class="border-b-2 border-ink pb-1 text-base">{{ group.place.name }}</h2>
    <ul>
      <li
        v-for="mother in group.mothers"
        :key="mother.code"
        class="grid min-h-14 grid-cols-[5rem_1fr] items-center gap-x-3 border-b border-line py-1 sm:grid-cols-[5rem_1.2fr_1.4fr_auto]"
      >
        <b>{{ mother.code }}</b>
        <span>
          {{ capital(common(mother.speciesCode)) }}
          <template v-if="mother.variety"> ‘{{ mother.variety }}’</template>
          <span v-if="mother.note" class="block text-sm text-muted">{{ mother.note }}</span>
        </span>
        <span
          class="col-start-2 sm:col-start-auto"
          :class="mother.sick || mother.rights === 'PROTECTED' ? 'font-bold text-rust' : 'text-muted'"
        >
          {{ room(mother) }}
        </span>
        <span class="col-start-2 flex gap-4 sm:col-start-auto">
          <RouterLink
            class="link flex min-h-12 items-center"
            :to="{ name: 'layers', query: { q: mother.code } }"
            >Layers</RouterLink
          >
          <RouterLink
            v-if="session.mayRecord && !mother.sick"
            class="link flex min-h-12 items-center"
            :to="{ name: 'bench', query: { mother: String(mother.id) } }"
            >Set</RouterLink
          >
          <button
            v-if="session.mayRecord"
            class="link min-h-12"
            :aria-label="`Edit ${mother.code}`"
            @click="editing = mother"
          >
            Edit
          </button>
        </span>
      </li>
    </ul>
  </section>
</template>
