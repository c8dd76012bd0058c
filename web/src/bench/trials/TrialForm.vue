<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { Problem, type Schemas, post } from '@/shared/api/client'
import { number } from '@/shared/quantity'
import Choice from '@/shared/ui/Choice.vue'
import Field from '@/shared/ui/Field.vue'
import PickOne from '@/shared/ui/PickOne.vue'
import ProblemNote from '@/shared/ui/ProblemNote.vue'
import { useCommand } from '@/shared/useCommand'
import { capital } from '@/shared/words'
import MotherPlaces from './MotherPlaces.vue'
import { allRecipes } from '@/shared/api/nursery'
import { stockLines } from '@/shared/api/stock'
import { trialSize, recipeDifferences } from '@/shared/api/trials'

/** The question, the arms, how many it takes, and where. */
const emit = defineEmits<{ begun: [trial: Schemas['TrialPage']]; close: [] }>()
const { saving, problem, send, error } = useCommand<Schemas['TrialPage']>()
const name = ref('')
const question = ref('')
const arms = ref<string[]>(['', ''])
const share = ref('70')
const otherShare = ref('90')
const power = ref('0.8')
const significance = ref('0.05')
const species = ref('')
/** Places by mother and limb. */
const places = ref<Record<string, { motherId: number; limbId: number | null; count: number }>>({})

const { data: recipes } = useQuery(allRecipes)
const { data: lines } = useQuery(stockLines)
const options = computed<[string, string][]>(() => [
  ['', 'Choose a recipe'],
  ...(recipes.value ?? []).map((one): [string, string] => [String(one.id), one.name]),
])
const chosen = computed(() => arms.value.filter(Boolean))
const speciesOptions = computed<[string, string][]>(() => {
  const found = new Map((lines.value ?? []).map((line) => [line.mother.speciesCode, capital(line.common)]))
  return [['', 'Choose a species'], ...[...found].sort((a, b) => a[1].localeCompare(b[1]))]
})
const mothers = computed(() =>
  (lines.value ?? []).filter((line) => !line.mother.retiredOn && line.mother.speciesCode === species.value),
)
const percent = (text: string) => {
  const value = number(text)
  return typeof value === 'number' ? value / 100 : value
}
const sizeQuery = computed(
  () =>
    `share=${percent(share.value)}&otherShare=${percent(otherShare.value)}&power=${power.value}&significance=${significance.value}&arms=${Math.max(2, chosen.value.length)}`,
)
const size = useQuery(trialSize(sizeQuery))
const sizeError = (field: string) =>
  size.error.value instanceof Problem ? size.error.value.of(field) : undefined
const { data: differences } = useQuery(recipeDifferences(chosen))
const listed = computed(() => Object.values(places.value).filter((one) => one.count > 0))
const inAll = computed(() => listed.value.reduce((sum, one) => sum + one.count, 0))

const onMothers = computed(() => new Set(listed.value.map((one) => one.motherId)).size)

function put(motherId: number, limbId: number | null, count: number): void {
  places.value = { ...places.value, [`${motherId}/${limbId ?? ''}`]: { motherId, limbId, count } }
}

async function begin(): Promise<void> {
  const begun = await send((commandId) =>
    post('/api/v1/trials', {
      body: {
        name: name.value.trim(),
        question: question.value.trim(),
        recipeIds: chosen.value.map(Number),
        size: {
          share: percent(share.value),
          otherShare: percent(otherShare.value),
          significance: Number(significance.value),
          power: Number(power.value),
        },
        places: listed.value,
      },
      commandId,
    }),
  )
  if (begun) emit('begun', begun)
}
</script>

<template>
  <form class="panel grid gap-5" aria-label="A trial" @submit.prevent="begin">
    <div class="grid gap-4 sm:grid-cols-2">
      <Field v-model="name" label="Name" :error="error('name')" />
      <Field v-model="question" label="The question" :error="error('question')" />
    </div>
    <fieldset>
      <legend class="font-bold">The arms: recipes that differ in one thing, the usual way first</legend>
      <div class="mt-2 grid gap-4 sm:grid-cols-2 lg:grid-cols-3">
        <PickOne
          v-for="(_, index) in arms"
          :key="index"
          v-model="arms[index]!"
          :label="`Arm ${String.fromCharCode(65 + index)}`"
          :options="options"
        />
      </div>
      <button v-if="arms.length < 6" type="button" class="link mt-2 min-h-10" @click="arms.push('')">
        One more arm
      </button>
      <p v-if="error('recipeIds')" class="font-bold text-rust" role="alert">{{ error('recipeIds') }}</p>
      <p
        v-for="one in differences ?? []"
        :key="one"
        class="mt-2 border-l-4 p-2"
        :class="one.includes('in one thing') ? 'border-lichen bg-lichen-pale' : 'border-sap bg-sap-pale'"
        data-testid="difference"
      >
        {{ one }}
      </p>
    </fieldset>
    <fieldset>
      <legend class="font-bold">How many it takes</legend>
      <div class="mt-2 grid gap-4 sm:grid-cols-2 xl:grid-cols-4">
        <Field v-model="share" label="Root the usual way" unit="%" :error="sizeError('share')" />
        <Field v-model="otherShare" label="Would matter" unit="%" :error="sizeError('otherShare')" />
        <Choice
          v-model="power"
          label="Chance to find it"
          :options="[
            ['0.8', '80%'],
            ['0.9', '90%'],
          ]"
        />
        <Choice
          v-model="significance"
          label="Wrong alarm at most"
          :options="[
            ['0.1', '10%'],
            ['0.05', '5%'],
            ['0.01', '1%'],
          ]"
        />
      </div>
      <p v-if="size.data.value && !size.error.value" class="mt-2" data-testid="trial-size">
        {{ size.data.value.sentence }}
      </p>
    </fieldset>
    <fieldset>
      <legend class="font-bold">Where: the places are listed first, then dealt</legend>
      <div class="mt-2 max-w-sm"><PickOne v-model="species" label="Species" :options="speciesOptions" /></div>
      <p v-if="species && !mothers.length" class="mt-2">No mother of it is in use.</p>
      <MotherPlaces v-for="line in mothers" :key="line.mother.code" :line="line" @put="put" />
      <p v-if="error('places')" class="font-bold text-rust" role="alert">{{ error('places') }}</p>
      <p class="mt-3 font-bold" data-testid="places-total">
        {{ inAll === 1 ? 'One place' : `${inAll} places` }} on
        {{ onMothers === 1 ? 'one mother' : `${onMothers} mothers`
        }}<template v-if="chosen.length >= 2 && inAll"
          >: {{ Math.floor(inAll / chosen.length) }} or so in each arm</template
        >
      </p>
    </fieldset>
    <ProblemNote :problem="problem" @retry="begin" />
    <div class="flex gap-2">
      <button class="btn btn-main" :disabled="saving || chosen.length < 2 || !inAll" data-testid="deal">
        Deal the places
      </button>
      <button type="button" class="btn" @click="emit('close')">Back</button>
    </div>
  </form>
</template>
