<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { dayText, weekdayText } from '@/shared/dates'
import { show } from '@/shared/quantity'
import { useSession } from '@/shared/session'
import Choice from '@/shared/ui/Choice.vue'
import PickOne from '@/shared/ui/PickOne.vue'
import ProblemNote from '@/shared/ui/ProblemNote.vue'
import { capital, RUNGS, word } from '@/shared/words'
import LadderRow from './LadderRow.vue'
import ShedTabs from './ShedTabs.vue'
import { usePlaces } from '@/shared/usePlaces'
import { useShedRecords } from './useShed'
import { ladder } from '@/shared/api/shed'

/** Who may move up today, who must step back, and what the weather and the winter say. */
const session = useSession()
const { data: view, error, refetch } = useQuery(ladder)
const { saving, problem, record } = useShedRecords()
const ticked = ref<string[]>([])
const to = ref('SHADE')
const places = usePlaces()
/** empty: each stays in its place */
const placeId = ref('')

const rungs = computed(() =>
  RUNGS.map(([rung, name], index) => {
    const plants = (view.value?.plants ?? []).filter((one) => one.rung === rung)
    return {
      rung,
      name,
      up: RUNGS[index + 1],
      plants,
      mayMove: plants.filter((one) => one.step === 'STEP_UP').map((one) => one.code),
    }
  }).filter((one) => one.plants.length),
)
const forbidden = computed(() =>
  (view.value?.weeks ?? [])
    .map((week) => ({ place: week.place, days: week.days.filter((day) => day.forbids) }))
    .filter((one) => one.days.length),
)
const mayMove = computed(() => rungs.value.reduce((sum, one) => sum + one.mayMove.length, 0))
const back = computed(() => (view.value?.plants ?? []).filter((one) => one.step === 'STEP_BACK').length)

function tick(code: string, on: boolean): void {
  ticked.value = on ? [...ticked.value, code] : ticked.value.filter((one) => one !== code)
}

async function moveTicked(): Promise<void> {
  const where = placeId.value ? Number(placeId.value) : null
  if (await record(ticked.value, 'MOVED', { rung: to.value, placeId: where })) ticked.value = []
}
</script>

<template>
  <ShedTabs />
  <h1 class="text-2xl">The ladder</h1>
  <ProblemNote :problem="error" class="mt-3" @retry="refetch()" />
  <p v-if="!view && !error" role="status" class="mt-4 text-muted">Going along the benches…</p>
  <template v-if="view">
    <p v-if="!view.plants.length" class="panel mt-4">
      No plant is on the ladder. What is severed goes into the tent, and from there step by step to the open.
    </p>
    <p v-else class="text-lg" data-testid="ladder-sum">
      {{ view.plants.length }} plants: <b>{{ mayMove }}</b> may move up today,
      <b :class="{ 'text-rust': back }">{{ back }}</b> must step back.
    </p>
    <ProblemNote :problem="problem" class="mt-3" />
    <p
      v-if="view.beforeFrost"
      class="mt-3 border-l-8 border-rust bg-rust-pale p-3 text-lg font-bold"
      data-testid="before-frost"
    >
      Frost is forecast. By the evening of {{ weekdayText(view.beforeFrost) }}
      {{ dayText(view.beforeFrost, view.today) }}, what is listed below must be under cover.
    </p>
    <ul v-if="forbidden.length" class="mt-3 border-l-8 border-sap bg-sap-pale p-3" data-testid="forbidden">
      <li v-for="one in forbidden" :key="one.place">
        <b>{{ one.place }}:</b>
        <span v-for="day in one.days" :key="day.on" class="ml-1">
          {{ day.on === view.today ? 'today' : day.weekday }}: {{ day.said.join(' ') }}
        </span>
      </li>
    </ul>
    <form
      v-if="ticked.length"
      class="sticky top-0 z-[5] mt-3 flex flex-wrap items-end gap-3 border border-bark bg-card p-3"
      aria-label="With the ticked plants"
      @submit.prevent="moveTicked"
    >
      <p class="min-h-12 content-center">
        <b>{{ ticked.length }}</b> ticked
      </p>
      <Choice v-model="to" label="Moved to" hide-label :options="RUNGS" />
      <PickOne v-model="placeId" label="Stands in" :options="[['', 'Where it is'], ...places]" />
      <button class="btn btn-main" :disabled="saving" data-testid="move-ticked">
        All moved to {{ word(RUNGS, to).toLowerCase() }}
      </button>
      <button type="button" class="link min-h-12 px-2" @click="ticked = []">None</button>
    </form>
    <section v-for="one in rungs" :key="one.rung" class="mt-6" :aria-label="one.name">
      <div class="flex flex-wrap items-end justify-between gap-3 border-b-2 border-ink pb-1">
        <h2 class="text-lg">
          {{ one.name }} <span class="font-normal">({{ one.plants.length }})</span>
        </h2>
        <button
          v-if="session.mayRecord && one.up && one.mayMove.length > 1"
          type="button"
          class="btn btn-main"
          :disabled="saving"
          :data-testid="`move-all-${one.rung}`"
          @click="record(one.mayMove, 'MOVED', { rung: one.up[0] })"
        >
          All {{ one.mayMove.length }} that may: moved to {{ one.up[1].toLowerCase() }}
        </button>
      </div>
      <ul>
        <LadderRow
          v-for="plant in one.plants"
          :key="plant.code"
          :plant="plant"
          :today="view.today"
          :may-record="session.mayRecord"
          :saving="saving"
          :ticked="ticked.includes(plant.code)"
          @update:ticked="tick(plant.code, $event)"
          @record="(kind, details) => record([plant.code], kind, details)"
        />
      </ul>
    </section>
    <section v-if="view.winter.length" class="mt-8" aria-labelledby="winter-title">
      <h2 id="winter-title" class="text-lg">Before the frost</h2>
      <ul data-testid="winter">
        <li
          v-for="one in view.winter"
          :key="one.code"
          class="flex flex-wrap items-center gap-x-4 border-b border-line py-2"
        >
          <RouterLink class="link font-bold" :to="{ name: 'layer', params: { code: one.code } }">{{
            one.code
          }}</RouterLink>
          <span class="grow">{{ capital(one.species) }}, {{ one.place }}</span>
          <span
            ><b>{{ one.need === 'FROST_FREE' ? 'frost-free' : 'under a roof' }}</b> before
            {{ dayText(one.by, view.today) }}<template v-if="one.forecast"> (forecast)</template
            ><template v-if="one.barelyMoist">, barely moist</template></span
          >
        </li>
      </ul>
    </section>
    <section class="mt-8" aria-label="The days ahead">
      <h2 class="text-base">The days ahead</h2>
      <div v-for="week in view.weeks" :key="week.placeId" class="mt-1">
        <p class="text-sm">
          <b>{{ week.place }}:</b>
          <template v-for="(day, i) in week.days" :key="day.on"
            >{{ i ? ', ' : ' ' }}{{ day.weekday.slice(0, 3) }}
            {{ show(day.minC, 'temperature', session.units) }} to
            {{ show(day.maxC, 'temperature', session.units) }}</template
          >
        </p>
      </div>
    </section>
  </template>
</template>
