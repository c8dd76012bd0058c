<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { dayText } from '@/shared/dates'
import { area, litres, show } from '@/shared/quantity'
import { useSession } from '@/shared/session'
import DayField from '@/shared/ui/DayField.vue'
import ProblemNote from '@/shared/ui/ProblemNote.vue'
import { shoppingList } from '@/shared/api/bench'

/** What do I need at the bench that day? */
const route = useRoute()
const router = useRouter()
const session = useSession()
const day = computed({
  get: () => String(route.query.day ?? session.today),
  set: (to: string) => void router.replace({ query: { day: to } }),
})
const { data: list, error, refetch } = useQuery(shoppingList(day))
const hours = (minutes: number) =>
  minutes < 90 ? `${Math.round(minutes)} minutes` : `${(minutes / 60).toFixed(1)} hours`
const print = () => window.print()
/** What is to be laid out, each with how much. */
const items = computed<[string, string][]>(() => {
  const all = list.value
  if (!all) return []
  return [
    ...all.ingredients.map((one): [string, string] => [
      one.name,
      one.dryL === one.wetL
        ? litres(one.wetL, session.units)
        : `${litres(one.wetL, session.units)} wet, ${litres(one.dryL, session.units)} dry out of the bag`,
    ]),
    ...all.additives.map((one): [string, string] => [
      one.name,
      one.unit === 'G' ? show(one.amount, 'mass', session.units) : show(one.amount, 'volume', session.units),
    ]),
    ...all.hormones.map((one): [string, string] => [
      `Hormone of ${Math.round(one.ppm)} ppm`,
      show(one.ml, 'volume', session.units),
    ]),
    ...(all.filmCm2 ? [['Film', area(all.filmCm2, session.units)] as [string, string]] : []),
    ...(all.foilCm2 ? [['Foil', area(all.foilCm2, session.units)] as [string, string]] : []),
    ...all.containers.map((one): [string, string] => [
      `Pods, bags or pots for ${one.recipe}`,
      String(one.count),
    ]),
    ...(all.ties ? [['Ties', String(all.ties)] as [string, string]] : []),
    ['Labels', String(all.labels)],
  ]
})
</script>

<template>
  <h1 class="text-2xl">Shopping list</h1>
  <div class="mt-3 flex flex-wrap items-end gap-4 print:hidden">
    <DayField v-model="day" ahead class="max-w-48" label="For the batches of" />
    <button v-if="list?.batches.length" type="button" class="btn" @click="print">Print</button>
    <RouterLink class="link inline-flex min-h-12 items-center" :to="{ name: 'bench' }"
      >Back to the bench</RouterLink
    >
  </div>
  <ProblemNote class="mt-3" :problem="error" @retry="refetch()" />
  <p v-if="list && !list.batches.length" class="panel mt-4">
    Nothing is planned for {{ dayText(list.day, session.today) }}. Type a batch at the
    <RouterLink class="link" :to="{ name: 'bench' }">Bench</RouterLink> and plan it for a day.
  </p>
  <template v-else-if="list">
    <p
      class="mt-4 border-l-8 border-lichen bg-lichen-pale p-3 text-lg font-bold"
      data-testid="shopping-headline"
    >
      {{ list.layers === 1 ? 'One layer' : `${list.layers} layers` }} on
      {{ dayText(list.day, session.today) }}: {{ hours(list.minutes) }} at the bench.
    </p>
    <div class="mt-4 grid gap-8 lg:grid-cols-2">
      <table class="w-full border-collapse self-start text-left" data-testid="shopping-items">
        <caption class="pb-1 text-left text-base font-bold">
          Lay out
        </caption>
        <tbody>
          <tr v-for="[name, amount] in items" :key="name" class="border-t border-line">
            <td class="w-8 py-2">
              <span class="inline-block size-5 border-2 border-bark" aria-hidden="true" />
            </td>
            <th scope="row" class="py-2 font-normal">{{ name }}</th>
            <td class="py-2 text-right font-bold tabular-nums">{{ amount }}</td>
          </tr>
        </tbody>
      </table>
      <div>
        <h2 class="text-base">In this order</h2>
        <ol class="mt-1">
          <li v-for="one in list.batches" :key="one.id" class="border-t border-line py-2">
            <b>{{ one.place }}</b>: {{ one.layers }} on {{ one.mother }}, {{ one.what }}, {{ one.recipe }}
          </li>
        </ol>
        <p class="mt-3 text-muted">
          Medium is counted with what is lost in handling. Soak it, then squeeze a handful hard: a drop or two
          comes, no more.
        </p>
      </div>
    </div>
  </template>
</template>
