<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Schemas } from '@/shared/api/client'
import { number, show, toSend, unitOf } from '@/shared/quantity'
import { useSession } from '@/shared/session'
import Choice from '@/shared/ui/Choice.vue'
import Field from '@/shared/ui/Field.vue'
import PickOne from '@/shared/ui/PickOne.vue'
import { capital, WOODS } from '@/shared/words'
import SumCard from './SumCard.vue'
import { useSum } from './useSum'

/** How much of the stock, or of the powder. */
const props = defineProps<{ species: Schemas['SpeciesView'][]; begin: Record<string, string> }>()
const session = useSession()
const stock = ref('LIQUID')
const strength = ref('1 %')
const purity = ref('98')
const target = ref(props.begin.ppm || '3000')
const volume = ref(session.units.system === 'US' ? '2' : '50')
const code = ref(props.begin.species ?? '')
const wood = ref(props.begin.wood || 'ONE_TWO')
const options = computed<[string, string][]>(() => [
  ['', 'Not said'],
  ...props.species.map((one): [string, string] => [one.profile.code, capital(one.profile.common)]),
])
const body = computed(() => ({
  stock: stock.value,
  stockPpm: stock.value === 'LIQUID' ? toSend(strength.value, 'concentration', session.units) : null,
  purityPercent: stock.value === 'SOLID' ? number(purity.value) : null,
  targetPpm: toSend(target.value, 'concentration', session.units),
  volumeMl: toSend(volume.value, 'volume', session.units),
  speciesCode: code.value || null,
  wood: wood.value,
}))
const { answer, problem, error, ask } = useSum('/api/v1/sums/hormone', body)
const mg = (value: number) =>
  value < 1000 ? `${Number(value.toPrecision(4))} mg` : `${Number((value / 1000).toPrecision(4))} g`
</script>

<template>
  <SumCard name="hormone" title="Hormone" :problem="problem" @retry="ask">
    <Choice
      v-model="stock"
      label="What is at hand"
      :options="[
        ['LIQUID', 'A liquid'],
        ['SOLID', 'A powder to dissolve'],
      ]"
    />
    <Field
      v-if="stock === 'LIQUID'"
      v-model="strength"
      label="Its strength"
      unit="ppm"
      hint="Or in %"
      :error="error('stockPpm')"
    />
    <Field v-else v-model="purity" label="Its purity" unit="%" :error="error('purityPercent')" />
    <Field v-model="target" label="Strength wanted" unit="ppm" hint="Or in %" :error="error('targetPpm')" />
    <Field
      v-model="volume"
      label="How much of it"
      :unit="unitOf('volume', session.units)"
      :error="error('volumeMl')"
    />
    <PickOne v-model="code" label="For" :options="options" />
    <PickOne v-if="code" v-model="wood" label="Wood" :options="WOODS" />
    <template #answer>
      <template v-if="answer">
        <p class="text-lg font-bold" data-testid="hormone-answer">
          <template v-if="answer.stockMl !== null && answer.stockMl !== undefined"
            >{{ show(answer.stockMl, 'volume', session.units) }} of the stock, filled up with
            {{ show(answer.diluentMl ?? 0, 'volume', session.units) }}.</template
          >
          <template v-else>{{ mg(answer.solidMg ?? 0) }} of the powder, dissolved and filled up.</template>
        </p>
        <p>That is {{ Number(answer.targetPercent.toPrecision(4)) }} %.</p>
        <p
          v-if="answer.band"
          class="mt-2 border-l-4 p-2"
          :class="answer.band.fit === 'IN_BAND' ? 'border-lichen bg-lichen-pale' : 'border-sap bg-sap-pale'"
        >
          {{ answer.band.sentence }}
        </p>
        <p
          v-for="one in answer.cautions"
          :key="one"
          class="mt-2 border-l-4 border-sap bg-sap-pale p-2 text-sm"
        >
          <b>Caution:</b> {{ one }}
        </p>
      </template>
    </template>
  </SumCard>
</template>
