<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import type { Schemas } from '@/shared/api/client'
import { dayText } from '@/shared/dates'
import PickOne from '@/shared/ui/PickOne.vue'
import ProblemNote from '@/shared/ui/ProblemNote.vue'
import { useWidth } from '@/shared/useWidth'
import { WOODS } from '@/shared/words'
import NumbersWanted from './NumbersWanted.vue'
import TargetList from './TargetList.vue'
import { scaleOf } from './scale'
import SeasonTable from './SeasonTable.vue'
import StartPanel from './StartPanel.vue'
import { useSeason } from './useSeason'
import WindowRow from './WindowRow.vue'
import { SCHOOLS } from './words'
import YearStrip from './YearStrip.vue'

/** Is it time, and for what? */
const view = useSeason()
const { places, recipes, season, starts, set } = view
const frame = ref<HTMLElement | null>(null)
const width = useWidth(frame, 900)
const asTable = ref(false)

const shown = computed(() => {
  const species = season.data.value?.species ?? []
  const grown = species.filter((one) => one.mothers > 0)
  return view.all.value || !grown.length ? species : grown
})
const selected = computed(() => shown.value.find((one) => one.code === view.speciesCode.value))
const scale = computed(() =>
  season.data.value ? scaleOf(season.data.value.from, season.data.value.to, width.value) : null,
)
// while the date is dragged it moves here at once; the address follows when it rests
const start = ref(view.start.value)
let settle: ReturnType<typeof setTimeout> | undefined

watch(
  [season.data, () => view.speciesCode.value],
  ([data]) => {
    if (!data) return
    if (!selected.value && shown.value[0]) set({ species: shown.value[0].code })
    const within = start.value >= data.from && start.value < data.to
    if (!within) start.value = data.today >= data.from && data.today < data.to ? data.today : firstDay(data)
  },
  { immediate: true },
)

function firstDay(data: Schemas['SeasonView']): string {
  return selected.value?.firstGood ?? data.from
}

function move(day: string): void {
  start.value = day
  clearTimeout(settle)
  settle = setTimeout(() => set({ start: day }), 400)
}

function summary(one: Schemas['SpeciesSeason']): string {
  const today = season.data.value!.today
  return one.firstGood && one.lastGood
    ? `good from ${dayText(one.firstGood, today)} to ${dayText(one.lastGood, today)}`
    : 'no good date this year'
}
const options = (all: { id?: number | null; name: string }[] | undefined): [string, string][] =>
  (all ?? []).map((one) => [String(one.id), one.name])
</script>

<template>
  <h1 class="text-2xl">Season</h1>
  <p v-if="places.data.value && !places.data.value.length" class="panel mt-4">
    Begin in <RouterLink class="link font-bold" :to="{ name: 'house' }">House</RouterLink>: the site and a
    place decide what the year allows.
  </p>
  <p v-else-if="recipes.data.value && !recipes.data.value.length" class="panel mt-4">
    Add a recipe in <RouterLink class="link font-bold" :to="{ name: 'house' }">House</RouterLink> first: how
    fast a layer roots depends on it.
  </p>
  <div class="my-4 grid grid-cols-2 gap-3 lg:grid-cols-5">
    <PickOne
      label="Place"
      :options="options(places.data.value)"
      :model-value="view.placeId.value"
      @update:model-value="set({ place: $event })"
    />
    <PickOne
      label="Recipe"
      :options="options(recipes.data.value)"
      :model-value="view.recipeId.value"
      @update:model-value="set({ recipe: $event })"
    />
    <PickOne
      label="Wood"
      :options="WOODS"
      :model-value="view.wood.value"
      @update:model-value="set({ wood: $event })"
    />
    <PickOne
      label="Severed"
      :options="[['', 'As the recipe has it'], ...(Object.entries(SCHOOLS) as [string, string][])]"
      :model-value="view.school.value"
      @update:model-value="set({ school: $event })"
    />
    <PickOne
      label="Year"
      :options="[
        ['-1', 'The last'],
        ['0', 'This one'],
        ['1', 'The next'],
      ]"
      :model-value="view.year.value"
      @update:model-value="set({ year: $event, start: '' })"
    />
  </div>
  <ProblemNote :problem="season.error.value ?? places.error.value" @retry="season.refetch()" />
  <template v-if="season.data.value && scale">
    <div class="grid grid-cols-1 sm:grid-cols-[10rem_1fr]">
      <p class="self-end pb-1 text-sm text-muted">Black line: today. Red: set.</p>
      <div ref="frame"><YearStrip :season="season.data.value" :scale="scale" :start="start" /></div>
    </div>
    <template v-for="one in shown" :key="one.code">
      <WindowRow
        :species="one"
        :scale="scale"
        :today="season.data.value.today"
        :selected="one.code === view.speciesCode.value"
        :start="start"
        :summary="summary(one)"
        @select="set({ species: one.code })"
      />
      <StartPanel
        v-if="one.code === selected?.code && starts.data.value && start"
        :species="one"
        :season="season.data.value"
        :starts="starts.data.value"
        :scale="scale"
        :start="start"
        :query="view.query.value"
        @move="move"
      />
    </template>
    <ul class="mt-3 flex flex-wrap gap-x-6 gap-y-1 text-sm" aria-label="What the bands mean">
      <li class="flex items-center gap-2">
        <svg viewBox="0 0 30 24" class="h-6" aria-hidden="true">
          <rect y="1" width="30" height="22" class="fill-lichen" />
        </svg>
        Good: ready in time with 80% or more
      </li>
      <li class="flex items-center gap-2">
        <svg viewBox="0 0 30 24" class="h-6" aria-hidden="true">
          <rect y="7" width="30" height="10" class="fill-sap-bright" />
        </svg>
        Risky
      </li>
      <li class="flex items-center gap-2">
        <svg viewBox="0 0 30 24" class="h-6" aria-hidden="true">
          <circle v-for="i in 3" :key="i" :cx="10 * i - 5" cy="12" r="3" class="fill-water" />
        </svg>
        Too late, but it stands the winter on the mother
      </li>
      <li class="flex items-center gap-2">
        <svg viewBox="0 0 30 24" class="h-6" aria-hidden="true">
          <rect y="11" width="30" height="1.5" class="fill-line" />
        </svg>
        Closed
      </li>
      <li class="flex items-center gap-2">
        <svg viewBox="0 0 30 24" class="h-6" aria-hidden="true">
          <circle cx="15" cy="12" r="5" class="fill-card stroke-ink stroke-2" />
        </svg>
        Layers set that day
      </li>
    </ul>
    <div class="mt-3 flex flex-wrap gap-2">
      <button class="btn" :aria-expanded="asTable" @click="asTable = !asTable">Read it as a table</button>
      <button class="btn" :aria-pressed="view.all.value" @click="set({ all: view.all.value ? '' : 'yes' })">
        {{ view.all.value ? 'Only what we grow' : 'All species of the house' }}
      </button>
    </div>
    <SeasonTable v-if="asTable" :season="season.data.value" :species="shown" />
    <TargetList :today="season.data.value.today" />
    <NumbersWanted
      v-if="selected"
      :species="selected"
      :today="season.data.value.today"
      :place-id="view.placeId.value"
      :recipe-id="view.recipeId.value"
      :wood="view.wood.value"
    />
  </template>
  <p v-else-if="season.isFetching.value" role="status" class="text-muted">{{ $t('season.workingOut') }}</p>
</template>
