<script setup lang="ts">
import { useI18n } from 'vue-i18n'
import { computed, ref, watch } from 'vue'
import { useSession } from '@/shared/session'
import PickOne from '@/shared/ui/PickOne.vue'
import ProblemNote from '@/shared/ui/ProblemNote.vue'
import CauseBars from './CauseBars.vue'
import LedgerFilters from './LedgerFilters.vue'
import LedgerTable from './LedgerTable.vue'
import LedgerTabs from './LedgerTabs.vue'
import SideBySide from './SideBySide.vue'
import { useLedger } from './useLedger'
import WeekChart from './WeekChart.vue'
import { BY, lineName } from './words'

/** What works here, from the nursery's own numbers. */
const { of, by, set, useTable } = useLedger()
const { data: table, error, refetch } = useTable(() => by.value)
const { data: weeks } = useTable(() => 'WEEK')
const session = useSession()
const { t } = useI18n()
/** The report is of the year that is looked at, or of this one. */
const year = computed(() => of('year') || session.today.slice(0, 4))
const print = () => window.print()
const chosen = ref<string[]>([])
watch(by, () => (chosen.value = []))
const what = computed({ get: () => by.value, set: (value) => set('by', value) })
const beside = computed(() => {
  const [a, b] = chosen.value.map((value) => table.value?.lines.find((line) => line.value === value))
  return a && b ? { a, b } : null
})

/** The sentence that stands before the numbers. */
const answer = computed(() => {
  const now = table.value
  if (!now?.all.rooted.of) return ''
  const { rooted, established } = now.all
  const enough = now.lines.filter((line) => line.rooted.of >= now.few)
  const best = enough.reduce(
    (one, line) => (one && one.rooted.low >= line.rooted.low ? one : line),
    enough[0],
  )
  return (
    t(established.of ? 'ledger.sum' : 'ledger.sumOnMother', {
      rooted: rooted.n,
      ofRooted: rooted.of,
      lived: established.n,
      ofLived: established.of,
    }) +
    (best && enough.length > 1
      ? ` Surest so far: ${lineName(now.by, best.value, best.label)}, ${best.rooted.n} of ${best.rooted.of}.`
      : '')
  )
})
</script>

<template>
  <LedgerTabs />
  <div class="flex flex-wrap items-start justify-between gap-3">
    <h1 class="text-2xl">What works here?</h1>
    <div class="flex flex-wrap gap-2 print:hidden">
      <a
        class="btn"
        :href="`/api/v1/season-report?year=${year}`"
        target="_blank"
        rel="noopener"
        data-testid="season-report"
        >Report of {{ year }} (PDF)</a
      >
      <button type="button" class="btn" @click="print">Print this</button>
    </div>
  </div>
  <ProblemNote :problem="error" class="mt-3" @retry="refetch()" />
  <p v-if="!table && !error" role="status" class="mt-4 text-muted">Counting…</p>
  <template v-if="table">
    <p v-if="!table.all.set" class="panel mt-4">
      No layer is counted here yet. What is set, looked at, severed and released or lost stands here from then
      on, with how sure its numbers are.
    </p>
    <p v-else class="text-lg" data-testid="answer">
      {{ answer || 'Nothing is decided yet: the first that root or are lost will be counted here.' }}
    </p>
    <div class="mt-3 grid gap-3 lg:grid-cols-[minmax(0,1fr)_minmax(0,5fr)] print:hidden">
      <PickOne v-model="what" label="Keep apart by" :options="BY" />
      <LedgerFilters />
    </div>
    <template v-if="table.all.set">
      <LedgerTable v-model:chosen="chosen" class="mt-4" :table="table" />
      <p class="mt-1 text-sm text-muted">
        Rooted: came off the mother alive. The line beside a share is where the true one lies, 19 times in 20;
        an open mark stands for fewer than {{ table.few }}.
        <template v-if="table.lines.length > 1 && !beside">Tick two to lay them side by side.</template>
        <template v-if="table.unpriced.length"
          >Without a price, so that a plant costs more than it says:
          {{ table.unpriced.join(', ').toLowerCase() }}.</template
        >
      </p>
      <SideBySide v-if="beside" :by="table.by" :a="beside.a" :b="beside.b" :few="table.few" />
      <div class="mt-8 grid gap-8 lg:grid-cols-2">
        <WeekChart v-if="weeks" :lines="weeks.lines" :few="table.few" />
        <CauseBars :all="table.all" />
      </div>
    </template>
  </template>
</template>
