<script setup lang="ts">
import { ref } from 'vue'
import type { Schemas } from '@/shared/api/client'
import { number, toSend, typed, unitOf } from '@/shared/quantity'
import { useSession } from '@/shared/session'
import BothSides from '@/shared/ui/BothSides.vue'
import DayField from '@/shared/ui/DayField.vue'
import Field from '@/shared/ui/Field.vue'
import PickOne from '@/shared/ui/PickOne.vue'
import ProblemNote from '@/shared/ui/ProblemNote.vue'
import { useEdit } from '@/shared/useEdit'
import { capital, MEDIA, WRAPS } from '@/shared/words'
import IngredientRows from './IngredientRows.vue'
import { put } from '@/shared/api/client'

/** Mixes, containers and hormones. */
const props = defineProps<{ supplies: Schemas['SuppliesView'] }>()
const emit = defineEmits<{ saved: []; close: [] }>()
const session = useSession()
const { saving, problem, stale, send, error, version, mineCounts } = useEdit<Schemas['SuppliesView']>(
  props.supplies.version,
  save,
)
const units = session.units

const medium = ref('COIR_PERLITE')
const mixes = ref(
  Object.fromEntries(
    MEDIA.map(([code]) => {
      const mix = props.supplies.mixes[code]!
      return [
        code,
        {
          ingredients: mix.ingredients.map(rowOf),
          additives: mix.additives.map((one) => ({
            name: one.name,
            perLitre: String(one.perLitre),
            unit: one.unit as string,
          })),
        },
      ]
    }),
  ),
)
const containers = ref(
  props.supplies.containers.map((one) => ({
    name: one.name,
    wrap: one.wrap as string,
    volume: typed(one.volumeMl, 'volume', units),
    mass: typed(one.massG, 'mass', units),
    length: typed(one.lengthMm, 'length', units),
    across: typed(one.acrossMm, 'length', units),
  })),
)
const hormones = ref(
  props.supplies.hormones.map((one) => ({
    name: one.name,
    form: one.form as string,
    ppm: String(one.ppm),
    lot: one.lot,
    expiresOn: one.expiresOn ?? '',
  })),
)
const pots = ref(
  props.supplies.pots.map((one) => ({
    name: one.name,
    across: typed(one.diameterMm, 'length', units),
    deep: typed(one.depthMm, 'length', units),
    volume: typed(one.volumeMl, 'volume', units),
    mass: typed(one.massG, 'mass', units),
  })),
)
const potting = ref(props.supplies.pottingMix.ingredients.map(rowOf))
const KINDS = WRAPS.filter(([code]) => ['SLIT_BAG', 'VENTED_BAG', 'HINGED_POD', 'SPLIT_POT'].includes(code))
const FORMS: [string, string][] = [
  ['POWDER', 'Powder'],
  ['GEL', 'Gel'],
  ['LIQUID', 'Liquid'],
]
const DOSES: [string, string][] = [
  ['G', 'g a litre'],
  ['ML', 'mL a litre'],
]
const media = MEDIA.map(([code, name]): [string, string] => [code, capital(name)])

function rowOf(one: Schemas['Ingredient']) {
  return { name: one.name, parts: String(one.parts), swelling: String(one.swelling) }
}

function ingredientsOf(rows: ReturnType<typeof rowOf>[]) {
  return rows
    .filter((one) => one.name.trim())
    .map((one) => ({ name: one.name.trim(), parts: number(one.parts), swelling: number(one.swelling) }))
}

async function save(): Promise<void> {
  const saved = await send((commandId) =>
    put('/api/v1/supplies', {
      body: {
        mixes: Object.fromEntries(
          Object.entries(mixes.value).map(([code, mix]) => [
            code,
            {
              ingredients: ingredientsOf(mix.ingredients),
              additives: mix.additives
                .filter((one) => one.name.trim())
                .map((one) => ({ name: one.name.trim(), perLitre: number(one.perLitre), unit: one.unit })),
            },
          ]),
        ),
        containers: containers.value.map((one) => ({
          name: one.name.trim(),
          wrap: one.wrap,
          volumeMl: toSend(one.volume, 'volume', units),
          massG: toSend(one.mass, 'mass', units),
          lengthMm: toSend(one.length, 'length', units),
          acrossMm: toSend(one.across, 'length', units),
        })),
        hormones: hormones.value.map((one) => ({
          name: one.name.trim(),
          form: one.form,
          ppm: toSend(one.ppm, 'concentration', units),
          lot: one.lot.trim(),
          expiresOn: one.expiresOn || null,
        })),
        pots: pots.value.map((one) => ({
          name: one.name.trim(),
          diameterMm: toSend(one.across, 'length', units),
          depthMm: toSend(one.deep, 'length', units),
          volumeMl: toSend(one.volume, 'volume', units),
          massG: toSend(one.mass, 'mass', units),
        })),
        pottingMix: {
          ingredients: ingredientsOf(potting.value),
          additives: props.supplies.pottingMix.additives,
        },
        version: version.value,
      },
      commandId,
    }),
  )
  if (saved) emit('saved')
}
</script>

<template>
  <form class="panel grid gap-6" aria-label="Supplies" @submit.prevent="save">
    <fieldset>
      <legend class="font-bold">Mixes, by parts of volume</legend>
      <div class="mt-2 max-w-sm"><PickOne v-model="medium" label="Mix" :options="media" /></div>
      <IngredientRows
        :key="medium"
        v-model="mixes[medium]!.ingredients"
        :error="(index, field) => error(`mixes.${medium}.ingredients[${index}].${field}`)"
      />
      <div
        v-for="(one, index) in mixes[medium]!.additives"
        :key="`${medium}-plus-${index}`"
        class="mt-3 grid items-start gap-4 sm:grid-cols-[2fr_1fr_1fr_auto]"
      >
        <Field v-model="one.name" label="Additive" />
        <Field
          v-model="one.perLitre"
          label="By its label"
          inputmode="decimal"
          :error="error(`mixes.${medium}.additives[${index}].perLitre`)"
        />
        <PickOne v-model="one.unit" label="Unit" :options="DOSES" />
        <button
          type="button"
          class="link min-h-12 sm:mt-6"
          @click="mixes[medium]!.additives.splice(index, 1)"
        >
          Take it out
        </button>
      </div>
      <div class="mt-2 flex flex-wrap gap-4">
        <button
          type="button"
          class="link min-h-10"
          @click="mixes[medium]!.ingredients.push({ name: '', parts: '1', swelling: '1' })"
        >
          One more ingredient
        </button>
        <button
          type="button"
          class="link min-h-10"
          @click="mixes[medium]!.additives.push({ name: '', perLitre: '', unit: 'G' })"
        >
          An additive
        </button>
      </div>
    </fieldset>
    <fieldset>
      <legend class="font-bold">Pods, bags and pots</legend>
      <div
        v-for="(one, index) in containers"
        :key="index"
        class="mt-3 grid items-start gap-4 sm:grid-cols-2 lg:grid-cols-[2fr_1.4fr_1fr_1fr_1fr_1fr_auto]"
      >
        <Field v-model="one.name" label="Container" :error="error(`containers[${index}].name`)" />
        <PickOne v-model="one.wrap" label="Kind" :options="KINDS" />
        <Field
          v-model="one.volume"
          label="Holds"
          :unit="unitOf('volume', units)"
          :error="error(`containers[${index}].volumeMl`)"
        />
        <Field
          v-model="one.mass"
          label="Weighs"
          :unit="unitOf('mass', units)"
          :error="error(`containers[${index}].massG`)"
        />
        <Field
          v-model="one.length"
          label="Long"
          :unit="unitOf('length', units)"
          :error="error(`containers[${index}].lengthMm`)"
        />
        <Field
          v-model="one.across"
          label="Across"
          :unit="unitOf('length', units)"
          :error="error(`containers[${index}].acrossMm`)"
        />
        <button type="button" class="link min-h-12 lg:mt-6" @click="containers.splice(index, 1)">
          Take it out
        </button>
      </div>
      <button
        type="button"
        class="link mt-2 min-h-10"
        @click="
          containers.push({ name: '', wrap: 'HINGED_POD', volume: '', mass: '', length: '', across: '' })
        "
      >
        One more container
      </button>
    </fieldset>
    <fieldset>
      <legend class="font-bold">Pots for severed plants</legend>
      <div
        v-for="(one, index) in pots"
        :key="index"
        class="mt-3 grid items-start gap-4 sm:grid-cols-2 lg:grid-cols-[2fr_1fr_1fr_1fr_1fr_auto]"
      >
        <Field v-model="one.name" label="Pot" :error="error(`pots[${index}].name`)" />
        <Field
          v-model="one.across"
          label="Across its rim"
          :unit="unitOf('length', units)"
          :error="error(`pots[${index}].diameterMm`)"
        />
        <Field
          v-model="one.deep"
          label="Deep"
          :unit="unitOf('length', units)"
          :error="error(`pots[${index}].depthMm`)"
        />
        <Field
          v-model="one.volume"
          label="Holds"
          :unit="unitOf('volume', units)"
          :error="error(`pots[${index}].volumeMl`)"
        />
        <Field
          v-model="one.mass"
          label="Weighs"
          :unit="unitOf('mass', units)"
          :error="error(`pots[${index}].massG`)"
        />
        <button type="button" class="link min-h-12 lg:mt-6" @click="pots.splice(index, 1)">
          Take it out
        </button>
      </div>
      <button
        type="button"
        class="link mt-2 min-h-10"
        @click="pots.push({ name: '', across: '', deep: '', volume: '', mass: '' })"
      >
        One more pot
      </button>
    </fieldset>
    <fieldset>
      <legend class="font-bold">The light mix that pots are filled up with</legend>
      <IngredientRows
        v-model="potting"
        :error="(index, field) => error(`pottingMix.ingredients[${index}].${field}`)"
      />
      <button
        type="button"
        class="link mt-2 min-h-10"
        @click="potting.push({ name: '', parts: '1', swelling: '1' })"
      >
        One more ingredient
      </button>
    </fieldset>
    <fieldset>
      <legend class="font-bold">Hormones</legend>
      <div
        v-for="(one, index) in hormones"
        :key="index"
        class="mt-3 grid items-start gap-4 sm:grid-cols-2 lg:grid-cols-[2fr_1fr_1fr_1fr_1.4fr_auto]"
      >
        <Field v-model="one.name" label="Pack" :error="error(`hormones[${index}].name`)" />
        <PickOne v-model="one.form" label="Form" :options="FORMS" />
        <Field
          v-model="one.ppm"
          label="IBA"
          unit="ppm"
          hint="Or in %"
          :error="error(`hormones[${index}].ppm`)"
        />
        <Field v-model="one.lot" label="Lot" />
        <DayField
          v-model="one.expiresOn"
          ahead
          label="Good until"
          :error="error(`hormones[${index}].expiresOn`)"
        />
        <button type="button" class="link min-h-12 lg:mt-6" @click="hormones.splice(index, 1)">
          Take it out
        </button>
      </div>
      <button
        type="button"
        class="link mt-2 min-h-10"
        @click="hormones.push({ name: '', form: 'POWDER', ppm: '', lot: '', expiresOn: '' })"
      >
        One more pack
      </button>
    </fieldset>
    <ProblemNote :problem="problem" @retry="save" />
    <BothSides v-if="stale" @mine="mineCounts"
      >{{ stale.containers.length }} containers and {{ stale.hormones.length }} hormones, and what is in the
      mixes</BothSides
    >
    <div class="flex gap-2">
      <button class="btn btn-main" :disabled="saving" data-testid="save-supplies">Save the supplies</button>
      <button type="button" class="btn" @click="emit('close')">Back</button>
    </div>
  </form>
</template>
