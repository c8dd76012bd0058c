<script setup lang="ts">
import { keepPreviousData, useInfiniteQuery } from '@tanstack/vue-query'
import { computed } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { api, type Schemas } from '@/shared/api/client'
import { dayText } from '@/shared/dates'
import { useSession } from '@/shared/session'
import ProblemNote from '@/shared/ui/ProblemNote.vue'
import { capital, PHASES, RUNGS, STAGE_STATES, word } from '@/shared/words'

/** Find by code or any word; the filters stand in the address. */
const route = useRoute()
const router = useRouter()
const session = useSession()
const q = computed(() => String(route.query.q ?? ''))
const phase = computed(() => String(route.query.phase ?? ''))
const sort = computed(() => String(route.query.sort ?? 'due'))

const { data, error, refetch, hasNextPage, fetchNextPage, isPending } = useInfiniteQuery({
  queryKey: computed(() => ['layers', q.value, phase.value, sort.value]),
  queryFn: ({ pageParam }) => {
    const query = new URLSearchParams({ sort: sort.value, limit: '50' })
    if (q.value) query.set('q', q.value)
    if (phase.value) query.set('phase', phase.value)
    if (pageParam) query.set('cursor', pageParam)
    return api<Schemas['LayerLines']>('GET', `/layers?${query}`)
  },
  initialPageParam: '',
  getNextPageParam: (last) => last.next ?? undefined,
  placeholderData: keepPreviousData,
})
const lines = computed(() => data.value?.pages.flatMap((page) => page.layers) ?? [])

function set(key: string, value: string): void {
  const query = { ...route.query, [key]: value || undefined }
  void router.replace({ query })
}
</script>

<template>
  <h1 class="text-2xl">Layers</h1>
  <div class="my-4 grid gap-3 sm:grid-cols-[1fr_auto_auto]">
    <input
      type="search"
      class="input"
      aria-label="Filter by code or any word"
      placeholder="Code, species, variety, mother or place"
      :value="q"
      @change="set('q', ($event.target as HTMLInputElement).value)"
    />
    <select
      class="input"
      aria-label="Phase"
      :value="phase"
      @change="set('phase', ($event.target as HTMLSelectElement).value)"
    >
      <option value="">Everywhere</option>
      <option v-for="(text, code) in PHASES" :key="code" :value="code">{{ text }}</option>
    </select>
    <select
      class="input"
      aria-label="Order"
      :value="sort"
      @change="set('sort', ($event.target as HTMLSelectElement).value)"
    >
      <option value="due">What is due first</option>
      <option value="set">Oldest first</option>
      <option value="code">By code</option>
    </select>
  </div>
  <ProblemNote :problem="error" @retry="refetch()" />
  <p v-if="isPending" role="status" class="text-muted">Looking…</p>
  <p v-else-if="!lines.length" class="panel">
    No layer fits. <button class="link" @click="router.replace({ query: {} })">Show all</button> or
    <RouterLink class="link" :to="{ name: 'bench' }">set some on the Bench</RouterLink>.
  </p>
  <ul v-else>
    <li v-for="line in lines" :key="line.code">
      <RouterLink
        :to="{ name: 'layer', params: { code: line.code } }"
        class="grid min-h-14 grid-cols-[5rem_1fr_auto] items-center gap-3 border-b border-line py-2 hover:bg-card"
      >
        <b>{{ line.code }}</b>
        <span>
          {{ capital(line.species) }}
          <template v-if="line.variety"> ‘{{ line.variety }}’</template>
          <span class="block text-sm text-muted">
            {{ line.mother }}, {{ line.place }} · {{ PHASES[line.phase]
            }}<template v-if="line.phase === 'ON_MOTHER'"
              >, {{ STAGE_STATES[line.stage]
              }}<template v-if="line.ready10On && line.ready90On"
                >; likely full between {{ dayText(line.ready10On, session.today) }} and
                {{ dayText(line.ready90On, session.today) }}</template
              ></template
            ><template v-else-if="line.phase === 'POTTED' && line.rung"
              >, {{ word(RUNGS, line.rung).toLowerCase() }}</template
            >
            <b v-if="line.conflicts" class="text-rust"> · {{ line.conflicts }} record does not fit</b>
          </span>
        </span>
        <span class="text-right text-sm">
          <template v-if="line.jobLabel">
            <b>{{ line.jobLabel }}</b>
            <span
              class="block"
              :class="line.jobBy && line.jobBy < session.today ? 'font-bold text-rust' : 'text-muted'"
            >
              by {{ dayText(line.jobBy, session.today) }}
            </span>
          </template>
          <span v-else class="text-muted">nothing to do</span>
        </span>
      </RouterLink>
    </li>
  </ul>
  <button v-if="hasNextPage" class="btn mt-4" @click="fetchNextPage()">More</button>
</template>
