<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import type { Schemas } from '@/shared/api/client'
import { useMethods } from '@/shared/api/methods'
import { area, number, show, toSend, typed, unitOf } from '@/shared/quantity'
import { useSession } from '@/shared/session'
import Choice from '@/shared/ui/Choice.vue'
import Field from '@/shared/ui/Field.vue'
import PickOne from '@/shared/ui/PickOne.vue'
import { MEDIA, WOODS } from '@/shared/words'
import SumCard from './SumCard.vue'
import { useSum } from './useSum'

/** Ring, ball, film, foil, ties, pods, and whether the limb bears it. */
const props = defineProps<{
  species: Schemas['SpeciesView'][]
  recipes: Schemas['RecipeView'][]
  begin: Record<string, string>
}>()
const emit = defineEmits<{ medium: [ml: number, medium: string] }>()
const session = useSession()
const recipe = props.recipes.find((one) => String(one.id) === props.begin.recipe)?.recipe
const profile = props.species.find((one) => one.profile.code === props.begin.species)?.profile
const us = session.units.system === 'US'
const diameter = ref(props.begin.diameter || (us ? '3/4' : '18'))
const bridges = ref(profile?.bridgesReadily ? 'yes' : 'no')
const ways = useMethods()
const scrapedSaid = ref<string>()
/** As the recipe's wound is, until somebody says otherwise. */
const scraped = computed({
  get: () => scrapedSaid.value ?? (ways.wound(recipe?.wound)?.scraped === false ? 'no' : 'yes'),
  set: (said: string) => (scrapedSaid.value = said),
})
const medium = ref<string>(recipe?.medium ?? 'MOSS')
const container = ref(typed(recipe?.containerG ?? 0, 'mass', session.units))
const holds = ref(typed(recipe?.containerMl ?? 0, 'volume', session.units))
const wood = ref(props.begin.wood || 'ONE_TWO')
const union = ref(props.begin.union || (us ? '16' : '400'))
const lean = ref(props.begin.lean || '30')
const layers = ref(props.begin.layers || '1')
const body = computed(() => ({
  diameterMm: toSend(diameter.value, 'length', session.units),
  bridgesReadily: bridges.value === 'yes',
  bridgedBefore: bridges.value === 'before',
  scraped: scraped.value === 'yes',
  medium: medium.value,
  containerG: toSend(container.value, 'mass', session.units),
  containerMl: toSend(holds.value, 'volume', session.units),
  wood: wood.value,
  fromUnionMm: toSend(union.value, 'length', session.units),
  leanDeg: number(lean.value),
  layers: number(layers.value),
}))
const { answer, problem, error, ask } = useSum('/api/v1/sums/ball', body)
watch(answer, (found) => {
  if (found) emit('medium', found.mediumMl, medium.value)
})
const length = (mm: number) => show(mm, 'length', session.units)
const RISK: Record<string, string> = {
  LOW: 'low',
  MODERATE: 'moderate: scrape with care',
  HIGH: 'high: scrape, or cut wider',
}
const many = computed(() => Number(layers.value) > 1)
</script>

<template>
  <SumCard name="ball" title="Ring, ball and load" :problem="problem" @retry="ask">
    <Field
      v-model="diameter"
      label="Branch"
      :unit="unitOf('length', session.units)"
      :error="error('diameterMm')"
    />
    <Choice
      v-model="bridges"
      label="Does it bridge?"
      :options="[
        ['no', 'No more than most'],
        ['yes', 'The species does'],
        ['before', 'This limb did'],
      ]"
    />
    <Choice
      v-model="scraped"
      label="Scraped clean?"
      :options="[
        ['yes', 'Yes'],
        ['no', 'No'],
      ]"
    />
    <PickOne v-model="medium" label="Medium" :options="MEDIA" />
    <Field
      v-model="container"
      label="Pod or pot, empty"
      :unit="unitOf('mass', session.units)"
      :error="error('containerG')"
    />
    <Field
      v-model="holds"
      label="It holds"
      :unit="unitOf('volume', session.units)"
      hint="0: what the branch asks for"
      :error="error('containerMl')"
    />
    <PickOne v-model="wood" label="Wood" :options="WOODS" />
    <Field
      v-model="union"
      label="From the union"
      :unit="unitOf('length', session.units)"
      :error="error('fromUnionMm')"
    />
    <Field v-model="lean" label="Lean from upright" unit="°" :error="error('leanDeg')" />
    <Field v-model="layers" label="How many alike" inputmode="decimal" :error="error('layers')" />
    <template #answer>
      <template v-if="answer">
        <p class="text-lg font-bold" data-testid="ball-answer">
          Ring {{ length(answer.ball.ringMm) }}; ball {{ length(answer.ball.ballLengthMm) }} long and
          {{ length(answer.ball.ballDiameterMm) }} across.
        </p>
        <p v-if="answer.thin" class="border-l-4 border-sap bg-sap-pale p-2">
          So thin a branch the blade can go through.
        </p>
        <p>
          {{ length(answer.aboveMm) }} of it above the upper cut, {{ length(answer.belowMm) }} below the
          lower.
        </p>
        <p>
          {{ many ? 'Together' : 'It takes' }} {{ show(answer.mediumMl, 'volume', session.units) }} of medium,
          {{ area(answer.filmCm2, session.units) }} of film, as much foil if it is covered with it,
          {{ answer.ties }} ties.
        </p>
        <p>Bridging risk {{ RISK[answer.bridging] }}.</p>
        <p
          class="mt-2 border-l-4 p-2"
          :class="answer.load.verdict === 'FINE' ? 'border-lichen bg-lichen-pale' : 'border-sap bg-sap-pale'"
          data-testid="load-answer"
        >
          {{ answer.loadSentence }}
        </p>
        <ul v-if="answer.containers.length" class="mt-2" data-testid="containers">
          <li v-for="one in answer.containers" :key="one.name">
            <b>{{ one.name }}</b>: {{ one.sentence }}
          </li>
        </ul>
      </template>
    </template>
  </SumCard>
</template>
