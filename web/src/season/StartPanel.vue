<script setup lang="ts">
import DayField from '@/shared/ui/DayField.vue'
import { computed, onScopeDispose, ref, watch } from 'vue'
import type { Schemas } from '@/shared/api/client'
import { addDays, daysBetween, dayText } from '@/shared/dates'
import ProblemNote from '@/shared/ui/ProblemNote.vue'
import { SCHOOLS, CLASSES } from './words'
import type { Scale } from './scale'
import { useStart } from './useSeason'

/** A start date that is moved along the year, and what moves with it. */
const props = defineProps<{
  species: Schemas['SpeciesSeason']
  season: Schemas['SeasonView']
  starts: Schemas['StartsView']
  scale: Scale
  start: string
  query: string
}>()
const emit = defineEmits<{ move: [day: string] }>()

const index = computed(() =>
  Math.max(0, Math.min(props.starts.starts.length - 1, daysBetween(props.starts.from, props.start))),
)
const now = computed(() => props.starts.starts[index.value]!)
const school = computed(() => now.value.schools.find((one) => one.school === props.season.school)!)
const x = (day: string) => Math.max(0, Math.min(props.scale.width, props.scale.x(day)))
const percent = (p: number) => (p > 0.99 && p < 1 ? 'more than 99%' : `${Math.round(p * 100)}%`)
const text = (day: string | null | undefined) => dayText(day, props.season.today)

const spread = computed(() => {
  const { q10, q50, q90 } = now.value
  return q10 && q50 && q90 ? { q10, q50, q90 } : null
})

// the sentence is asked for when the date has come to rest
const rested = ref(props.start)
let timer: ReturnType<typeof setTimeout> | undefined
watch(
  () => props.start,
  (start) => {
    clearTimeout(timer)
    timer = setTimeout(() => (rested.value = start), 250)
  },
)
onScopeDispose(() => clearTimeout(timer))
const query = computed(() => props.query)
const code = computed(() => props.species.code)
const judged = useStart(
  query,
  code,
  computed(() => rested.value),
)
const showWhy = ref(false)
</script>

<template>
  <section class="border-l-8 border-lichen bg-card pb-4" :aria-label="`Setting ${species.common}`">
    <div class="grid grid-cols-1 items-center sm:grid-cols-[9.5rem_1fr]">
      <DayField
        class="py-2 pl-2"
        label="Set on"
        ahead
        :model-value="props.start"
        :min="season.from"
        :max="addDays(season.to, -1)"
        data-testid="start-day"
        @update:model-value="$event && emit('move', $event)"
      />
      <div>
        <svg :viewBox="`0 0 ${scale.width} 44`" class="block w-full" aria-hidden="true">
          <line :x1="x(props.start)" :x2="x(season.to)" y1="22" y2="22" class="stroke-line" />
          <template v-if="spread">
            <rect
              :x="x(spread.q10)"
              :width="Math.max(2, x(spread.q90) - x(spread.q10))"
              y="12"
              height="20"
              class="fill-moss-pale stroke-moss"
            />
            <line :x1="x(spread.q50)" :x2="x(spread.q50)" y1="8" y2="36" class="stroke-lichen stroke-[3]" />
          </template>
          <template v-if="school.deadline && school.deadline < season.to">
            <line
              :x1="x(school.deadline)"
              :x2="x(school.deadline)"
              y1="0"
              y2="44"
              class="stroke-water stroke-2 [stroke-dasharray:4_3]"
            />
            <text :x="x(school.deadline) + 5" y="43" class="fill-water text-[13px]">
              by {{ text(school.deadline) }}
            </text>
          </template>
          <circle :cx="x(props.start)" cy="22" r="7" class="fill-rust" />
        </svg>
        <input
          type="range"
          class="block h-12 w-full cursor-ew-resize accent-rust"
          min="0"
          :max="starts.starts.length - 1"
          :value="index"
          :aria-label="`Start date of ${species.common}`"
          :aria-valuetext="`${text(props.start)}: ${CLASSES[school.windowClass]}, ${Math.round(school.readyP * 100)}%`"
          data-testid="start-slider"
          @input="emit('move', addDays(starts.from, Number(($event.target as HTMLInputElement).value)))"
        />
      </div>
    </div>
    <div class="px-2 sm:px-4">
      <p class="text-lg" data-testid="start-verdict">
        <b>{{ text(props.start) }}: {{ CLASSES[school.windowClass]?.toLowerCase() }}.</b>{{ ' ' }}
        <template v-if="spread">
          Likeliest full about <b>{{ text(spread.q50) }}</b>, four chances in five between
          {{ text(spread.q10) }} and {{ text(spread.q90) }}.
        </template>
        <template v-else>It would take more than four years.</template>
      </p>
      <ProblemNote :problem="judged.error.value" @retry="judged.refetch()" />
      <div v-if="judged.data.value" class="mt-2" aria-live="polite" data-testid="start-words">
        <p>{{ judged.data.value.sentence }}</p>
        <ul v-if="judged.data.value.otherwise.length" class="list-disc pl-5">
          <li v-for="way in judged.data.value.otherwise" :key="way">{{ way }}</li>
        </ul>
        <button class="link -my-1 min-h-12 font-bold" :aria-expanded="showWhy" @click="showWhy = !showWhy">
          {{ showWhy ? 'Hide why' : 'Why' }}
        </button>
        <ol v-if="showWhy" class="grid gap-1 text-sm" data-testid="start-reasons">
          <li v-for="rule in judged.data.value.rules" :key="rule.rule" :class="{ 'font-bold': rule.applied }">
            {{ rule.question }} {{ rule.answer }}
            <span class="font-normal">({{ rule.read.join('; ') }})</span>
          </li>
        </ol>
      </div>
      <table class="mt-3 w-full max-w-2xl border-collapse text-left">
        <caption class="pb-1 text-left font-bold">
          When it is severed
        </caption>
        <thead>
          <tr class="text-sm text-muted">
            <th scope="col" class="font-normal">School</th>
            <th scope="col" class="font-normal">This date is</th>
            <th scope="col" class="font-normal">Ready in time</th>
            <th scope="col" class="font-normal">By</th>
          </tr>
        </thead>
        <tbody>
          <tr
            v-for="one in now.schools"
            :key="one.school"
            class="border-t border-line"
            :class="{ 'font-bold': one.school === season.school }"
          >
            <th scope="row" class="py-1" :class="one.school === season.school ? '' : 'font-normal'">
              {{ SCHOOLS[one.school] }}
            </th>
            <td>{{ CLASSES[one.windowClass] }}</td>
            <td>{{ one.deadline ? percent(one.readyP) : 'always' }}</td>
            <td>{{ one.deadline ? text(one.deadline) : 'no deadline' }}</td>
          </tr>
        </tbody>
      </table>
      <p class="mt-2 text-sm text-muted">
        {{ species.ownRecords ? `By your own records (${species.ownRecords}).` : 'By the species profile.' }}
      </p>
    </div>
  </section>
</template>
