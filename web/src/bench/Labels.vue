<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed, ref, watch } from 'vue'
import { useRoute } from 'vue-router'
import { type Schemas, fetchFile } from '@/shared/api/client'
import Field from '@/shared/ui/Field.vue'
import PickOne from '@/shared/ui/PickOne.vue'
import ProblemNote from '@/shared/ui/ProblemNote.vue'
import { labelGrids } from '@/shared/api/bench'

/** Labels on a sheet of which some may be used already. */
const KEPT = 'kg-label-grid'
const OWN = 'OWN'
const route = useRoute()
const { data: grids } = useQuery(labelGrids)
const kept = restore()
const code = ref(kept.code)
const own = ref<string[]>(kept.own)
const typed = ref(String(route.query.codes ?? ''))
const start = ref(1)
const problem = ref<unknown>(null)
const OWN_FIELDS = [
  'Page across',
  'Page down',
  'Columns',
  'Rows',
  'Label across',
  'Label down',
  'Left edge',
  'Upper edge',
  'From label to label across',
  'From label to label down',
]

function restore(): { code: string; own: string[] } {
  try {
    const found = JSON.parse(localStorage.getItem(KEPT) ?? 'null') as { code: string; own: string[] } | null
    if (found?.own.length === 10) return found
  } catch {
    // a sheet that can't be read is as good as none
  }
  return { code: 'A4_3x8', own: ['210', '297', '3', '8', '70', '37', '0', '0.5', '70', '37'] }
}

const options = computed<[string, string][]>(() => [
  ...(grids.value ?? []).map((one): [string, string] => [one.code, words(one)]),
  [OWN, 'Another, by its dimensions'],
])
function words(grid: Schemas['LabelGrid']): string {
  const label = `${size(grid.labelWidthMm)} × ${size(grid.labelHeightMm)} mm`
  if (grid.columns * grid.rows === 1) return `Roll, ${label}`
  return `${grid.code.startsWith('LETTER') ? 'Letter' : 'A4'}, ${grid.columns} by ${grid.rows}, ${label}`
}
const size = (mm: number) => String(Number(mm.toFixed(1)))
const grid = computed<Schemas['LabelGrid'] | undefined>(() => {
  if (code.value !== OWN) return grids.value?.find((one) => one.code === code.value)
  const [
    pageWidthMm,
    pageHeightMm,
    columns,
    rows,
    labelWidthMm,
    labelHeightMm,
    leftMm,
    topMm,
    acrossMm,
    downMm,
  ] = own.value.map(Number) as [
    number,
    number,
    number,
    number,
    number,
    number,
    number,
    number,
    number,
    number,
  ]
  const all = {
    pageWidthMm,
    pageHeightMm,
    columns,
    rows,
    labelWidthMm,
    labelHeightMm,
    leftMm,
    topMm,
    acrossMm,
    downMm,
  }
  return Object.values(all).every(Number.isFinite) && columns > 0 && rows > 0 && columns * rows <= 400
    ? { code: OWN, ...all }
    : undefined
})
const places = computed(() => {
  const at = grid.value
  if (!at) return []
  return Array.from({ length: at.columns * at.rows }, (_, index) => ({
    number: index + 1,
    x: at.leftMm + (index % at.columns) * at.acrossMm,
    y: at.topMm + Math.floor(index / at.columns) * at.downMm,
  }))
})
const codes = computed(() =>
  typed.value
    .split(/[\s,;]+/)
    .map((one) => one.trim())
    .filter(Boolean),
)
const mothers = computed(() =>
  String(route.query.mothers ?? '')
    .split(',')
    .filter(Boolean),
)
const batch = computed(() => String(route.query.batch ?? ''))
const address = computed(() => {
  const query = new URLSearchParams({ start: String(start.value) })
  query.set('grid', code.value === OWN ? `OWN:${own.value.join(',')}` : code.value)
  if (batch.value) query.set('batch', batch.value)
  else if (codes.value.length) query.set('codes', codes.value.join(','))
  if (mothers.value.length) query.set('mothers', mothers.value.join(','))
  return `/labels.pdf?${query}`
})
const count = computed(() => codes.value.length + mothers.value.length)
watch([code, own], () => localStorage.setItem(KEPT, JSON.stringify({ code: code.value, own: own.value })), {
  deep: true,
})
watch(grid, (at) => {
  if (at && start.value > at.columns * at.rows) start.value = 1
})

/** What can't be printed is said here, and not in a window of its own. */
async function open(): Promise<void> {
  problem.value = null
  try {
    await fetchFile(address.value)
    window.open(`/api/v1${address.value}`, '_blank', 'noopener')
  } catch (failure) {
    problem.value = failure
  }
}
</script>

<template>
  <h1 class="text-2xl">Labels</h1>
  <div class="mt-4 grid gap-6 lg:grid-cols-[minmax(0,1fr)_20rem]">
    <form class="grid content-start gap-4" @submit.prevent="open">
      <Field
        v-if="!batch && !mothers.length"
        v-model="typed"
        label="Of the layers"
        hint="Codes with commas or spaces between, in the order in which they are to be printed"
      />
      <p v-else-if="mothers.length">
        {{ mothers.length === 1 ? 'The label of one mother' : `The labels of ${mothers.length} mothers` }}:
        scanned at the Bench, it chooses the mother.
      </p>
      <PickOne v-model="code" label="Sheet" :options="options" />
      <div v-if="code === OWN" class="grid gap-4 sm:grid-cols-2">
        <Field
          v-for="(name, index) in OWN_FIELDS"
          :key="name"
          v-model="own[index]!"
          :label="name"
          :unit="index === 2 || index === 3 ? undefined : 'mm'"
          inputmode="decimal"
        />
      </div>
      <ProblemNote :problem="problem" @retry="open" />
      <p>
        <button class="btn btn-main" :disabled="!batch && !count" data-testid="open-labels">
          {{
            count === 1
              ? 'Open the label (PDF)'
              : count
                ? `Open ${count} labels (PDF)`
                : 'Open the labels (PDF)'
          }}
        </button>
      </p>
      <p class="text-muted">
        Print at 100 %, not fitted to the page. Each QR code leads to the page of its layer; Latin, Greek and
        Cyrillic names can be printed.
      </p>
    </form>
    <div v-if="grid && places.length > 1">
      <p id="start-words">
        Begin at place <b>{{ start }}</b> of {{ places.length }}: tap the first free one.
      </p>
      <svg
        class="mt-2 w-full border border-bark bg-card"
        :viewBox="`0 0 ${grid.pageWidthMm} ${grid.pageHeightMm}`"
        role="group"
        aria-labelledby="start-words"
      >
        <g
          v-for="place in places"
          :key="place.number"
          role="button"
          tabindex="0"
          :aria-label="`Place ${place.number}`"
          :aria-pressed="place.number === start"
          class="cursor-pointer"
          :data-place="place.number"
          @click="start = place.number"
          @keydown.enter.prevent="start = place.number"
          @keydown.space.prevent="start = place.number"
        >
          <rect
            :x="place.x + 1"
            :y="place.y + 1"
            :width="Math.max(0, grid.labelWidthMm - 2)"
            :height="Math.max(0, grid.labelHeightMm - 2)"
            class="stroke-bark"
            :class="
              place.number < start
                ? 'fill-line'
                : place.number < start + count
                  ? 'fill-lichen-pale'
                  : 'fill-paper'
            "
            stroke-width="0.8"
          />
          <text
            :x="place.x + grid.labelWidthMm / 2"
            :y="place.y + grid.labelHeightMm / 2 + 4"
            text-anchor="middle"
            font-size="11"
            class="fill-ink"
          >
            {{ place.number < start ? 'used' : place.number }}
          </text>
        </g>
      </svg>
    </div>
  </div>
</template>
