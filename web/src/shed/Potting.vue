<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { dayText } from '@/shared/dates'
import { litres, show } from '@/shared/quantity'
import { useSession } from '@/shared/session'
import ProblemNote from '@/shared/ui/ProblemNote.vue'
import { capital } from '@/shared/words'
import ShedTabs from './ShedTabs.vue'
import { potting } from '@/shared/api/shed'

/** What is potted today, into which pots, with how much mix? */
const session = useSession()
const { data: view, error, refetch } = useQuery(potting)
const WHY: Record<string, string> = {
  SEVERED: 'severed, not in a pot yet',
  OUT_OF_MOSS: 'its moss is used up',
  CUT_TODAY: 'to be cut today',
}
</script>

<template>
  <ShedTabs />
  <h1 class="text-2xl">To pot today</h1>
  <ProblemNote :problem="error" class="mt-3" @retry="refetch()" />
  <p v-if="!view && !error" role="status" class="mt-4 text-muted">Counting pots…</p>
  <template v-if="view">
    <p v-if="!view.plants.length" class="panel mt-4">
      Nothing waits for a pot. What is severed stands here until it has one; cuts planned for today as well.
    </p>
    <div v-else class="mt-4 grid gap-6 lg:grid-cols-[1fr_20rem]">
      <ul>
        <li
          v-for="plant in view.plants"
          :key="plant.code"
          class="flex flex-wrap items-center gap-x-4 gap-y-1 border-b border-line py-2"
          data-testid="to-pot"
        >
          <RouterLink class="link text-lg font-bold" :to="{ name: 'layer', params: { code: plant.code } }">{{
            plant.code
          }}</RouterLink>
          <span class="min-w-0 grow basis-40"
            >{{ capital(plant.species) }}<template v-if="plant.variety"> ‘{{ plant.variety }}’</template>
            <span class="block text-sm text-muted">{{ plant.place }} · {{ WHY[plant.why] }}</span></span
          >
          <span v-if="plant.pot"
            ><b>{{ plant.pot }}</b> pot, {{ show(plant.fillMl, 'volume', session.units) }} of mix</span
          >
          <b v-else class="text-rust">no pot is large enough</b>
          <RouterLink
            v-if="session.mayRecord"
            class="btn"
            :to="{
              name: 'layer',
              params: { code: plant.code },
              query: plant.why === 'CUT_TODAY' ? { do: 'SEVERED' } : {},
            }"
            >{{ plant.why === 'CUT_TODAY' ? 'Cut it' : 'Pot it' }}</RouterLink
          >
        </li>
      </ul>
      <div class="grid content-start gap-5">
        <section class="panel" aria-label="Mix">
          <h2 class="text-lg">Mix: {{ litres(view.litres, session.units) }}</h2>
          <ul data-testid="mix">
            <li v-for="one in view.mix" :key="one.name" class="flex justify-between">
              <span>{{ one.name }}</span> <b>{{ litres(one.wetLitres, session.units) }}</b>
            </li>
          </ul>
        </section>
        <section class="panel" aria-label="Pots">
          <h2 class="text-lg">Pots</h2>
          <ul data-testid="shelf">
            <li v-for="one in view.shelf" :key="one.pot" class="flex justify-between">
              <span>{{ one.pot }}</span> <b>{{ one.count }}</b>
            </li>
          </ul>
          <RouterLink
            class="link inline-flex min-h-12 items-center"
            :to="{ name: 'labels', query: { codes: view.plants.map((one) => one.code).join(',') } }"
            >Print their labels</RouterLink
          >
        </section>
        <p><b>Caution:</b> gloves and a dust mask with moss and composts; wash cuts.</p>
      </div>
    </div>
    <section v-if="view.trays.length" class="mt-8" aria-label="In moss">
      <h2 class="text-lg">In moss</h2>
      <p>
        Standing in {{ show(view.trays[0]!.waterLowMm, 'length', session.units) }} to
        {{ show(view.trays[0]!.waterHighMm, 'length', session.units) }} of water.
      </p>
      <ul>
        <li
          v-for="tray in view.trays"
          :key="tray.code"
          class="flex flex-wrap items-center gap-x-4 border-b border-line py-2"
        >
          <RouterLink class="link font-bold" :to="{ name: 'layer', params: { code: tray.code } }">{{
            tray.code
          }}</RouterLink>
          <span class="grow">{{ capital(tray.species) }}, {{ tray.place }}</span>
          <span>till {{ dayText(tray.until, view.today) }}</span>
        </li>
      </ul>
    </section>
  </template>
</template>
