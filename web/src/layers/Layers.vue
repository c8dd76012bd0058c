<script setup lang="ts">
import { useInfiniteQuery } from '@tanstack/vue-query'
import { computed, onMounted, onUnmounted, ref, watch } from 'vue'
import { useRouter } from 'vue-router'
import { dayText } from '@/shared/dates'
import { useSession } from '@/shared/session'
import ProblemNote from '@/shared/ui/ProblemNote.vue'
import { capital, PHASES, RUNGS, STAGE_STATES, word, restsOn } from '@/shared/words'
import StemThumb from '@/stem/StemThumb.vue'
import { useStems } from '@/stem/useStems'
import FilterBar from './FilterBar.vue'
import SelectionBar from './SelectionBar.vue'
import { useFilters } from './useFilters'
import { layerList } from '@/shared/api/layers'

/** Find by code or any word, narrow, and act on what is ticked. */
const router = useRouter()
const session = useSession()
const { sort, chosen, address } = useFilters()
const MAX_AT_ONCE = 500
const COUNTED_UP_TO = 5000
const asked = computed(() => new URLSearchParams([...chosen.value, ['sort', sort.value]]).toString())

const { data, error, refetch, hasNextPage, fetchNextPage, isFetchingNextPage, isPending } = useInfiniteQuery(
  layerList(asked),
)
const lines = computed(() => data.value?.pages.flatMap((page) => page.layers) ?? [])
const count = computed(() => data.value?.pages[0]?.count ?? 0)
const stems = useStems(lines)
const ticked = ref(new Set<string>())
watch(address, () => (ticked.value = new Set()))

function tick(code: string, on: boolean): void {
  const next = new Set(ticked.value)
  if (on) next.add(code)
  else next.delete(code)
  ticked.value = next
}

function tickAll(): void {
  ticked.value = new Set(lines.value.slice(0, MAX_AT_ONCE).map((line) => line.code))
}

// the next page is fetched before the end of this one is reached
const end = ref<HTMLElement | null>(null)
const watcher = new IntersectionObserver(
  ([entry]) => {
    if (entry?.isIntersecting && hasNextPage.value && !isFetchingNextPage.value) void fetchNextPage()
  },
  { rootMargin: '1200px' },
)
onMounted(() => end.value && watcher.observe(end.value))
onUnmounted(() => watcher.disconnect())
</script>

<template>
  <h1 class="text-2xl">Layers</h1>
  <FilterBar />
  <ProblemNote :problem="error" @retry="refetch()" />
  <SelectionBar v-if="ticked.size" :codes="[...ticked]" @done="ticked = new Set()" />
  <p v-if="isPending" role="status" class="text-muted">Looking…</p>
  <p v-else-if="!lines.length && !error" class="panel">
    No layer fits. <button class="link" @click="router.replace({ query: {} })">Show all</button> or
    <RouterLink class="link" :to="{ name: 'bench' }">set some on the Bench</RouterLink>.
  </p>
  <template v-else>
    <div class="flex flex-wrap items-center justify-between gap-2 border-b-2 border-ink">
      <p data-testid="count">
        <b>{{ count >= COUNTED_UP_TO ? `More than ${COUNTED_UP_TO}` : count }}</b>
        {{ count === 1 ? 'layer' : 'layers' }}
      </p>
      <button
        v-if="session.mayRecord"
        type="button"
        class="link min-h-12"
        data-testid="tick-all"
        @click="tickAll"
      >
        Tick the {{ Math.min(lines.length, MAX_AT_ONCE) }} shown
      </button>
    </div>
    <ul>
      <li
        v-for="line in lines"
        :key="line.code"
        class="flex items-center border-b border-line [contain-intrinsic-size:auto_4.5rem] [content-visibility:auto] hover:bg-card"
      >
        <label v-if="session.mayRecord" class="grid min-h-14 min-w-12 cursor-pointer place-items-center">
          <input
            type="checkbox"
            class="size-5 accent-lichen"
            :checked="ticked.has(line.code)"
            :aria-label="`Tick ${line.code}`"
            @change="tick(line.code, ($event.target as HTMLInputElement).checked)"
          />
        </label>
        <RouterLink
          :to="{ name: 'layer', params: { code: line.code } }"
          class="grid min-h-14 min-w-0 grow grid-cols-[auto_1fr_auto] items-center gap-3 py-1"
          data-testid="line"
        >
          <StemThumb :stem="stems.get(line.code)" />
          <span class="grid items-center gap-x-3 sm:grid-cols-[5rem_1fr]">
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
                    {{ dayText(line.ready90On, session.today) }} ({{ restsOn(line.ownRecords) }})</template
                  ></template
                ><template v-else-if="line.phase === 'POTTED' && line.rung"
                  >, {{ word(RUNGS, line.rung).toLowerCase() }}</template
                >
                <b v-if="line.conflicts" class="text-rust"> · {{ line.conflicts }} record does not fit</b>
              </span>
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
    <p v-if="isFetchingNextPage" role="status" class="p-3 text-muted">Fetching more…</p>
  </template>
  <div ref="end"></div>
</template>
