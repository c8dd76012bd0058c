<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed, ref, watch } from 'vue'
import { Problem, type Schemas, post } from '@/shared/api/client'
import { dayText } from '@/shared/dates'
import { area, litres, show } from '@/shared/quantity'
import { useSession } from '@/shared/session'
import Choice from '@/shared/ui/Choice.vue'
import DayField from '@/shared/ui/DayField.vue'
import Field from '@/shared/ui/Field.vue'
import PickOne from '@/shared/ui/PickOne.vue'
import ProblemNote from '@/shared/ui/ProblemNote.vue'
import { toast } from '@/shared/ui/toasts'
import { useCommand } from '@/shared/useCommand'
import { word } from '@/shared/words'
import { allMothers } from '@/shared/api/nursery'
import { numbersWanted } from '@/shared/api/season'

/** Plants that are wanted by a day, and what they ask for. */
const props = defineProps<{
  species: Schemas['SpeciesSeason']
  today: string
  placeId: string
  recipeId: string
  wood: string
}>()
const session = useSession()
const wanted = ref('20')
const by = ref(`${Number(props.today.slice(0, 4)) + 1}-11-01`)
const confidence = ref('0.8')
const variety = ref('')
const asked = ref({ wanted: wanted.value, by: by.value })
const keeping = ref(false)
const name = ref('')
const { data: mothers } = useQuery(allMothers)
const varieties = computed<[string, string][]>(() => {
  const names = (mothers.value ?? [])
    .filter((one) => one.speciesCode === props.species.code && !one.retiredOn && one.variety)
    .map((one) => one.variety)
  return [['', 'Any'], ...[...new Set(names)].sort().map((one) => [one, one] as [string, string])]
})
watch(
  () => props.species.code,
  () => (variety.value = ''),
)
const query = computed(() =>
  new URLSearchParams({
    placeId: props.placeId,
    recipeId: props.recipeId,
    wood: props.wood,
    speciesCode: props.species.code,
    variety: variety.value,
    wanted: asked.value.wanted,
    by: asked.value.by,
    confidence: confidence.value,
  }).toString(),
)
const numbers = useQuery(numbersWanted(query))
const problem = computed(() => numbers.error.value)
const error = (field: string) => (problem.value instanceof Problem ? problem.value.of(field) : undefined)
const percent = (share: number) => `${Math.round(share * 100)}%`
const hours = (minutes: number) =>
  minutes < 90 ? `${Math.round(minutes)} min` : `${(minutes / 60).toFixed(1)} hours`
const busiest = computed(() => Math.max(1, ...(numbers.data.value?.weeks ?? []).map((week) => week.minutes)))
const over = computed(() => (numbers.data.value?.weeks ?? []).filter((week) => week.minutes > week.capacity))

const { saving, problem: keepProblem, send, error: keepError } = useCommand<Schemas['TargetView']>()
const money = (amount: number, currency: string) => `${amount.toFixed(2)}${currency ? ` ${currency}` : ''}`
const UNPRICED: [string, string][] = [
  ['FILM', 'film'],
  ['FOIL', 'foil'],
  ['TIES', 'ties'],
  ['CONTAINERS', 'pods and bags'],
  ['LABELS', 'labels'],
  ['HORMONE', 'hormone'],
  ['WORK', 'work'],
]

async function keep(): Promise<void> {
  const kept = await send((commandId) =>
    post('/api/v1/targets', {
      body: {
        name: name.value.trim(),
        plants: {
          placeId: Number(props.placeId),
          recipeId: Number(props.recipeId),
          speciesCode: props.species.code,
          variety: variety.value,
          wanted: Number(asked.value.wanted),
          by: asked.value.by,
          confidence: Number(confidence.value),
          wood: props.wood,
        },
      },
      commandId,
    }),
  )
  if (!kept) return
  keeping.value = false
  name.value = ''
  toast('Kept: it stands under “What is wanted” now.')
}

function basis(records: number): string {
  return records ? `with ${records} of your own counted` : 'as is believed before any of yours is counted'
}
</script>

<template>
  <section class="mt-8" aria-labelledby="numbers-title">
    <h2 id="numbers-title" class="border-b-2 border-ink pb-1 text-lg">
      How many {{ species.common }} layers must I set?
    </h2>
    <form class="mt-3 flex flex-wrap items-end gap-4" @submit.prevent="asked = { wanted: wanted.trim(), by }">
      <Field
        v-model="wanted"
        class="max-w-40"
        label="Plants wanted"
        inputmode="decimal"
        :error="error('wanted')"
      />
      <PickOne v-if="varieties.length > 1" v-model="variety" label="Variety" :options="varieties" />
      <DayField v-model="by" ahead class="max-w-48" label="Released by" :error="error('by')" />
      <Choice
        v-model="confidence"
        label="How sure"
        :options="[
          ['0.5', 'As likely as not'],
          ['0.8', '80%'],
          ['0.95', '95%'],
        ]"
      />
      <button class="btn btn-main" data-testid="reckon">Reckon</button>
    </form>
    <ProblemNote class="mt-3" :problem="problem" @retry="numbers.refetch()" />
    <template v-if="numbers.data.value && !problem">
      <p class="mt-3 border-l-8 border-lichen bg-card p-3 text-lg font-bold" data-testid="numbers-headline">
        {{ numbers.data.value.headline }}
      </p>
      <div class="mt-3 grid gap-6 lg:grid-cols-3">
        <div>
          <h3 class="text-base">Why so many</h3>
          <p>
            {{ percent(numbers.data.value.rooting) }} root, {{ basis(numbers.data.value.rootingRecords) }}; of
            those {{ percent(numbers.data.value.establishing) }} live,
            {{ basis(numbers.data.value.establishingRecords) }}.
          </p>
          <p v-for="one in numbers.data.value.shortfalls" :key="one.by">
            {{ one.by === 1 ? 'Short by one or more' : `Short by ${one.by} or more` }}: {{ percent(one.p) }}.
          </p>
        </div>
        <div data-testid="where-room">
          <h3 class="text-base">Where there is room: {{ numbers.data.value.roomTotal }}</h3>
          <ul v-if="numbers.data.value.room.length">
            <li v-for="one in numbers.data.value.room" :key="one.code">
              <b>{{ one.code }}</b> {{ one.variety }}, {{ one.place }}: {{ one.room }}
            </li>
          </ul>
          <p v-else>
            No mother of this species yet: add one in
            <RouterLink class="link" :to="{ name: 'stock' }">Stock</RouterLink>.
          </p>
        </div>
        <div>
          <h3 class="text-base">What it takes: {{ hours(numbers.data.value.effort.minutes) }}</h3>
          <p>
            Setting {{ hours(numbers.data.value.effort.set) }}, looks
            {{ hours(numbers.data.value.effort.looks) }}, water {{ hours(numbers.data.value.effort.topUps) }},
            severing and potting {{ hours(numbers.data.value.effort.sever) }}.
          </p>
          <p>
            <template
              v-for="(amount, ingredient) in numbers.data.value.materials.ingredientsL"
              :key="ingredient"
            >
              {{ litres(amount, session.units) }} of {{ String(ingredient).toLowerCase() }},
            </template>
            <template v-if="numbers.data.value.materials.filmCm2">
              {{ area(numbers.data.value.materials.filmCm2, session.units) }} of film,
            </template>
            <template v-if="numbers.data.value.materials.foilCm2">
              {{ area(numbers.data.value.materials.foilCm2, session.units) }} of foil,
            </template>
            <template v-if="numbers.data.value.materials.hormoneMl">
              {{ show(numbers.data.value.materials.hormoneMl, 'volume', session.units) }} of hormone,
            </template>
            {{ numbers.data.value.materials.ties }} ties, {{ numbers.data.value.materials.labels }} labels.
          </p>
          <p v-if="numbers.data.value.cost.total" data-testid="cost">
            <b>{{ money(numbers.data.value.cost.total, numbers.data.value.cost.currency) }}</b> in all:
            {{ money(numbers.data.value.cost.perLayer, numbers.data.value.cost.currency) }} a layer,
            {{ money(numbers.data.value.cost.perPlant, numbers.data.value.cost.currency) }} a plant released.
          </p>
          <p v-if="numbers.data.value.cost.unpriced.length" class="text-sm text-muted">
            Without a price:
            {{ numbers.data.value.cost.unpriced.map((item) => word(UNPRICED, item)).join(', ') }}.
            <RouterLink class="link" :to="{ name: 'house', hash: '#prices-title' }"
              >Prices in House</RouterLink
            >
          </p>
        </div>
      </div>
      <table class="mt-4 w-full max-w-2xl border-collapse text-left">
        <caption class="pb-1 text-left font-bold">
          Minutes by week; the rounds have
          {{
            numbers.data.value.weeks[0]?.capacity ?? 0
          }}
        </caption>
        <tbody>
          <tr v-for="week in numbers.data.value.weeks" :key="week.monday" class="border-t border-line">
            <th scope="row" class="w-48 py-1 font-normal">{{ dayText(week.monday, today) }}</th>
            <td class="w-20 text-right tabular-nums">{{ Math.round(week.minutes) }}</td>
            <td class="pl-3">
              <svg
                viewBox="0 0 200 14"
                class="block h-3.5 w-full"
                preserveAspectRatio="none"
                aria-hidden="true"
              >
                <rect
                  height="14"
                  :width="(week.minutes / busiest) * 200"
                  :class="week.minutes > week.capacity ? 'fill-rust' : 'fill-moss'"
                />
              </svg>
            </td>
          </tr>
        </tbody>
      </table>
      <div v-if="session.mayRecord" class="mt-4">
        <button v-if="!keeping" class="btn" data-testid="keep-target" @click="keeping = true">
          Keep this as a target
        </button>
        <form v-else class="panel grid gap-3" aria-label="Keep this as a target" @submit.prevent="keep">
          <Field v-model="name" label="What it is for" :error="keepError('name')" />
          <ProblemNote :problem="keepProblem" @retry="keep" />
          <div class="flex gap-2">
            <button class="btn btn-main" :disabled="saving" data-testid="save-target">Keep it</button>
            <button type="button" class="btn" @click="keeping = false">Back</button>
          </div>
        </form>
      </div>
      <p v-if="over.length" class="mt-2 border-l-4 border-rust bg-rust-pale p-3" data-testid="over">
        {{ over.length === 1 ? 'One week' : `${over.length} weeks` }} would take more than the rounds have:
        {{
          over
            .map((week) => `${dayText(week.monday, today)} by ${Math.round(week.minutes - week.capacity)}`)
            .join(', ')
        }}
        minutes. Set some of them earlier, give the rounds more minutes in House, or set fewer.
      </p>
    </template>
  </section>
</template>
