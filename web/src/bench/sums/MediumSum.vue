<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import type { Schemas } from '@/shared/api/client'
import { litres, show, toSend, typed, unitOf } from '@/shared/quantity'
import { useSession } from '@/shared/session'
import Field from '@/shared/ui/Field.vue'
import PickOne from '@/shared/ui/PickOne.vue'
import { MEDIA } from '@/shared/words'
import SumCard from './SumCard.vue'
import { useSum } from './useSum'

/** What goes into the mix. */
const props = defineProps<{ from: { ml: number; medium: string } | null }>()
const session = useSession()
const medium = ref('MOSS')
const amount = ref(session.units.system === 'US' ? '10' : '400')
/** What the ball asks for is taken over until somebody types an amount of their own. */
const isOwn = ref(false)
watch(
  () => props.from,
  (from) => {
    if (!from || isOwn.value) return
    medium.value = from.medium
    amount.value = typed(Math.round(from.ml), 'volume', session.units)
  },
  { immediate: true },
)
const body = computed(() => ({
  medium: medium.value,
  mixMl: toSend(amount.value, 'volume', session.units),
}))
const { answer, problem, error, ask } = useSum('/api/v1/sums/medium', body)
const dose = (one: Schemas['DoseView']) =>
  show(one.amount, one.unit === 'G' ? 'mass' : 'volume', session.units)
</script>

<template>
  <SumCard name="medium" title="Medium" :problem="problem" @retry="ask">
    <PickOne v-model="medium" label="Mix" :options="MEDIA" />
    <Field
      v-model="amount"
      label="In the balls"
      :unit="unitOf('volume', session.units)"
      hint="Or in L, quarts, gallons"
      :error="error('mixMl')"
      @input="isOwn = true"
    />
    <template #answer>
      <template v-if="answer">
        <p class="text-lg font-bold" data-testid="medium-answer">
          <template v-for="(one, index) in answer.ingredients" :key="one.name"
            >{{ index ? ' and ' : '' }}{{ litres(one.wetLitres, session.units) }} of
            {{ one.name.toLowerCase() }}</template
          >.
        </p>
        <p>
          With what is lost in handling: {{ show(answer.withHandlingMl, 'volume', session.units) }} in all.
        </p>
        <p
          v-for="one in answer.ingredients.filter((each) => each.dryLitres !== each.wetLitres)"
          :key="one.name"
        >
          {{ one.name }}: {{ litres(one.dryLitres, session.units) }} dry, out of its bag.
        </p>
        <p v-for="one in answer.doses" :key="one.name">{{ one.name }}: {{ dose(one) }}, by its label.</p>
        <p>
          Squeezed it weighs {{ show(answer.wetG, 'mass', session.units) }}, of which
          {{ show(answer.waterG, 'mass', session.units) }} is water.
        </p>
        <p class="mt-2 border-l-4 border-water bg-water-pale p-2">
          <b>Moisture:</b> {{ answer.moistureTest }}
        </p>
        <p
          v-for="one in answer.cautions"
          :key="one"
          class="mt-2 border-l-4 border-sap bg-sap-pale p-2 text-sm"
        >
          <b>Caution:</b> {{ one }}
        </p>
        <p class="mt-2 text-sm text-muted">
          Parts, swelling and additives are the house’s:
          <RouterLink class="link" :to="{ name: 'house', hash: '#supplies-title' }"
            >Supplies in House</RouterLink
          >
        </p>
      </template>
    </template>
  </SumCard>
</template>
