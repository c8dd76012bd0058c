<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { type Schemas, put } from '@/shared/api/client'
import { number } from '@/shared/quantity'
import { useSession } from '@/shared/session'
import BothSides from '@/shared/ui/BothSides.vue'
import Field from '@/shared/ui/Field.vue'
import ProblemNote from '@/shared/ui/ProblemNote.vue'
import { toast } from '@/shared/ui/toasts'
import { useEdit } from '@/shared/useEdit'
import { houseSupplies } from '@/shared/api/nursery'
import { housePrices } from '@/shared/api/house'

/** What the house pays: what layers cost is reckoned from it. */
const session = useSession()
const { data: list, error: loadError, refetch } = useQuery(housePrices)
const { saving, problem, stale, send, error, version, mineCounts } = useEdit<Schemas['PricesView']>(0, save)
const editing = ref(false)
const currency = ref('')
type Plain = keyof Omit<Schemas['Prices'], 'ingredientsALitre'>
const PLAIN: [Plain, string][] = [
  ['workAnHour', 'An hour of work'],
  ['filmAM2', 'Film, a square metre'],
  ['foilAM2', 'Foil, a square metre'],
  ['tie', 'A tie'],
  ['container', 'A pod, pot or bag'],
  ['label', 'A label'],
  ['hormoneAMl', 'Hormone, a millilitre'],
]
const plain = ref<Record<string, string>>({})
const media = ref<Record<string, string>>({})
const { data: supplies } = useQuery(houseSupplies)
/** What the mixes of the house are made of, and what has a price already. */
const names = computed(() =>
  [
    ...new Set([
      ...Object.values(supplies.value?.mixes ?? {}).flatMap((mix) => mix.ingredients.map((one) => one.name)),
      ...Object.keys(list.value?.prices.ingredientsALitre ?? {}),
    ]),
  ].sort((a, b) => a.localeCompare(b)),
)
const text = (price: number | undefined) => (price ? String(price) : '')
const set = computed(() => {
  const prices = list.value?.prices
  if (!prices) return []
  return [
    ...PLAIN.filter(([key]) => prices[key] > 0).map(([key, label]) => `${label}: ${prices[key]}`),
    ...Object.entries(prices.ingredientsALitre)
      .filter(([, price]) => price > 0)
      .map(([name, price]) => `A litre of ${name.toLowerCase()}: ${price}`),
  ]
})

function open(): void {
  if (!list.value) return
  currency.value = list.value.currency
  version.value = list.value.version
  plain.value = Object.fromEntries(PLAIN.map(([key]) => [key, text(list.value!.prices[key])]))
  media.value = Object.fromEntries(
    names.value.map((name) => [name, text(list.value!.prices.ingredientsALitre[name])]),
  )
  editing.value = true
}

async function save(): Promise<void> {
  const priced = Object.entries(media.value).filter(([, price]) => price.trim())
  const saved = await send((commandId) =>
    put('/api/v1/prices', {
      body: {
        currency: currency.value.trim(),
        prices: {
          ...(Object.fromEntries(PLAIN.map(([key]) => [key, number(plain.value[key] ?? '') ?? 0])) as Record<
            Plain,
            number | string
          >),
          ingredientsALitre: Object.fromEntries(priced.map(([name, price]) => [name, number(price)])),
        },
        version: version.value,
      },
      commandId,
    }),
  )
  if (!saved) return
  editing.value = false
  toast('Saved.')
}
</script>

<template>
  <section class="mt-8" aria-labelledby="prices-title">
    <div class="flex items-center justify-between border-b-2 border-ink pb-1">
      <h2 id="prices-title" class="text-lg">Prices</h2>
      <button v-if="session.isOwner && list && !editing" class="btn" @click="open">Edit the prices</button>
    </div>
    <ProblemNote :problem="loadError" @retry="refetch()" />
    <template v-if="!editing">
      <p v-if="list && !set.length" class="mt-2 text-muted">
        No price yet. With them, Season says what the layers cost that it asks for.
      </p>
      <p v-else class="mt-2">
        {{ set.join('; ') }}<template v-if="list?.currency"> ({{ list.currency }})</template>.
      </p>
    </template>
    <form v-else class="panel mt-3 grid gap-4" aria-label="Prices" @submit.prevent="save">
      <div class="grid gap-4 sm:grid-cols-2 lg:grid-cols-4">
        <Field
          v-model="currency"
          label="Money"
          hint="As it stands after an amount"
          :error="error('currency')"
        />
        <Field
          v-for="[key, label] in PLAIN"
          :key="key"
          v-model="plain[key]!"
          :label="label"
          inputmode="decimal"
          :error="error(key)"
        />
      </div>
      <fieldset>
        <legend class="font-bold">A litre, as it is bought, of</legend>
        <div class="mt-2 grid gap-4 sm:grid-cols-2 lg:grid-cols-5">
          <Field v-for="name in names" :key="name" v-model="media[name]!" :label="name" inputmode="decimal" />
        </div>
      </fieldset>
      <ProblemNote :problem="problem" @retry="save" />
      <BothSides v-if="stale" @mine="mineCounts"
        >an hour of work at {{ stale.prices.workAnHour }}, and other prices</BothSides
      >
      <div class="flex gap-2">
        <button class="btn btn-main" :disabled="saving" data-testid="save-prices">Save the prices</button>
        <button type="button" class="btn" @click="editing = false">Back</button>
      </div>
    </form>
  </section>
</template>
