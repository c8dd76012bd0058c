<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed } from 'vue'
import ProblemNote from '@/shared/ui/ProblemNote.vue'
import { capital } from '@/shared/words'
import LedgerFilters from './LedgerFilters.vue'
import LedgerTabs from './LedgerTabs.vue'
import ShareBar from './ShareBar.vue'
import { useLedger } from './useLedger'
import { percent } from './words'
import { backtests } from '@/shared/api/ledger'

/** The dates as they were said, held against what happened. */
const { filters, behind } = useLedger()
const FEW = 10
const address = computed(() => new URLSearchParams(filters.value).toString())
const { data, error, refetch } = useQuery(backtests(address))
const lines = computed(() => (data.value ? [...data.value.lines, data.value.all] : []))

function days(mean: number): string {
  const whole = Math.round(Math.abs(mean))
  if (!whole) return 'on the day'
  return `${whole} ${whole === 1 ? 'day' : 'days'} ${mean > 0 ? 'later' : 'earlier'}`
}
const answer = computed(() => {
  const at = data.value?.all.atSetting
  if (!at || at.held.share === null || at.meanDays === null) return ''
  return (
    `The range that should hold ${percent(data.value!.promised)} of the time held for ${percent(at.held.share)} of ` +
    `${at.held.of} layers when they were set; balls were full ${days(at.meanDays)} than said, on average.`
  ).replace('on the day than said', 'on the day that was said')
})
const wrong = computed(
  () =>
    data.value?.lines.flatMap(({ species, common, atSetting: at }) =>
      common === null || at.honest || at.held.of < FEW || at.held.share === null || at.meanDays === null
        ? []
        : [{ species, common, share: at.held.share, meanDays: at.meanDays }],
    ) ?? [],
)
</script>

<template>
  <LedgerTabs />
  <h1 class="text-2xl">How good were the dates?</h1>
  <ProblemNote :problem="error" class="mt-3" @retry="refetch()" />
  <LedgerFilters class="mt-3" :only="['species', 'year', 'recipe', 'motherPlace']" />
  <template v-if="data">
    <p v-if="!data.all.layers" class="panel mt-4">
      No layer that was found full has dates on record that were said beforehand. They are kept from the day a
      layer is set, and held against what happened as soon as a look finds its ball full.
    </p>
    <template v-else>
      <p class="mt-4 text-lg font-bold" data-testid="answer">{{ answer }}</p>
      <p
        v-for="one in wrong"
        :key="one.species"
        class="mt-2 border-l-8 border-sap bg-sap-pale p-3"
        data-testid="wrong"
      >
        {{ capital(one.common) }}:
        {{
          one.share > data.promised
            ? 'the ranges hold more often than they promise, so they are wider than they need be'
            : 'the ranges do not hold what they promise'
        }}; balls were full {{ days(one.meanDays) }} than said.
        <RouterLink class="link" :to="{ name: 'ready-times', query: { species: one.species } }"
          >What own records say of its time</RouterLink
        >
      </p>
      <div
        class="relative mt-4 overflow-x-auto"
        tabindex="0"
        role="region"
        aria-label="Dates and what happened"
      >
        <table class="w-full min-w-max border-collapse text-left" data-testid="backtest">
          <thead>
            <tr class="border-b-2 border-ink align-bottom text-sm">
              <td></td>
              <th scope="col" class="px-2 py-1">Range held, said at setting</th>
              <th scope="col" class="px-2 py-1 text-right">Full, by the likeliest day</th>
              <th scope="col" class="px-2 py-1">Range held, said at looks</th>
              <th scope="col" class="px-2 py-1 text-right">Full, by the likeliest day</th>
            </tr>
          </thead>
          <tbody>
            <tr
              v-for="one in lines"
              :key="one.species || 'all'"
              class="border-b border-line align-top"
              :class="{ 'border-t-2 border-t-ink font-bold': !one.species }"
              :data-line="one.species || 'all'"
            >
              <th scope="row" class="py-2 pr-3">{{ one.common ? capital(one.common) : 'All' }}</th>
              <template v-for="at in [one.atSetting, one.atLooks]" :key="at === one.atSetting ? 's' : 'l'">
                <td class="px-2 py-2"><ShareBar :figure="at.held" :few="FEW" /></td>
                <td class="px-2 py-2 text-right">
                  <template v-if="at.meanDays !== null && at.offDays !== null">
                    {{ days(at.meanDays) }}
                    <span class="block text-sm font-normal text-muted"
                      >off by {{ Math.round(at.offDays) }} either way</span
                    >
                    <span class="block text-sm font-normal text-muted"
                      >{{ at.early }} before the range, {{ at.late }} after</span
                    >
                  </template>
                </td>
              </template>
            </tr>
          </tbody>
        </table>
      </div>
      <p class="mt-2 text-sm text-muted">
        Each date as it was said on its day, with the weather and the records known then.
        <RouterLink class="link" :to="behind({ outcome: 'SEEN_FULL' })">Layers found full</RouterLink> are
        counted, each once, however often it was looked at. Left out is a range that is not over yet, what was
        ringed again and what has a record that was put right. Between two looks a ball is taken to fill as
        was said, so a range can hold in part.
      </p>
    </template>
  </template>
</template>
