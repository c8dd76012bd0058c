<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed, watchEffect } from 'vue'
import ProblemNote from '@/shared/ui/ProblemNote.vue'
import { capital } from '@/shared/words'
import LedgerFilters from './LedgerFilters.vue'
import LearnedTime from './LearnedTime.vue'
import LedgerTabs from './LedgerTabs.vue'
import ReadyCurve from './ReadyCurve.vue'
import { useLedger } from './useLedger'
import { readyTimes } from '@/shared/api/ledger'

/** How long it takes to a full ball, by the nursery's own looks, beside the profile it began with. */
const { of, filters, set, behind, useTable } = useLedger()
const { data: species } = useTable(() => 'SPECIES')
watchEffect(() => {
  const first = species.value?.lines.find((line) => line.days) ?? species.value?.lines[0]
  if (!of('species') && first) set('species', first.value)
})
const address = computed(() => new URLSearchParams(filters.value).toString())
const { data, error, refetch } = useQuery(readyTimes(address))
/** What is settled rests on all layers of the species, however the page is narrowed. */
const { data: ofAll } = useQuery(readyTimes(() => `species=${of('species')}`))
const answer = computed(() => {
  const now = data.value
  if (!now?.layers) return 'No look says anything of it yet: the profile stands.'
  const off = now.learned.median / now.profile.median - 1
  const how =
    Math.abs(off) < 0.03
      ? 'as long as its profile says'
      : `${Math.round(Math.abs(off) * 100)}% ${off > 0 ? 'longer' : 'shorter'} than its profile says`
  return `${capital(now.common)} takes ${how}, by ${now.layers} own layers.`
})
const fits = computed(() =>
  data.value
    ? ([
        ['The profile', data.value.profile],
        ['Own records', data.value.learned],
      ] as const)
    : [],
)
</script>

<template>
  <LedgerTabs />
  <h1 class="text-2xl">How long does it take?</h1>
  <ProblemNote :problem="error" class="mt-3" @retry="refetch()" />
  <p v-if="species && !species.lines.length" class="panel mt-4">
    No layer is on record yet. Looks will say here how long balls take to fill.
  </p>
  <LedgerFilters class="mt-3" />
  <template v-if="data">
    <p class="mt-4 text-lg font-bold" data-testid="answer">{{ answer }}</p>
    <ReadyCurve class="mt-3" :view="data" />
    <table class="mt-4 border-collapse text-left" data-testid="fits">
      <thead>
        <tr class="border-b-2 border-ink text-sm">
          <td></td>
          <th scope="col" class="px-3 py-1 text-right">Half are full by</th>
          <th scope="col" class="px-3 py-1 text-right">Four in five</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="[name, fit] in fits" :key="name" class="border-b border-line">
          <th scope="row" class="py-2 pr-4">{{ name }}</th>
          <td class="px-3 text-right">{{ fit.median.toFixed(1) }} thermal days</td>
          <td class="px-3 text-right">{{ fit.low.toFixed(1) }} to {{ fit.high.toFixed(1) }}</td>
        </tr>
      </tbody>
    </table>
    <LearnedTime
      :species="data.species"
      :common="data.common"
      :layers="ofAll?.layers ?? data.layers"
      :median="ofAll?.learned.median ?? data.learned.median"
    />
    <p class="mt-2">
      <RouterLink class="link" :to="behind({})">The layers behind it</RouterLink>: {{ data.layers }} were
      looked at, and {{ data.full }} of them seen full. A layer that was lost counts as not yet full at its
      last look.
    </p>
    <p class="mt-1 text-sm text-muted">
      A thermal day is a day at the best temperature for its roots: a cool day counts for less.
    </p>
  </template>
</template>
