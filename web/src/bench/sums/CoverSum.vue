<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Schemas } from '@/shared/api/client'
import { useSession } from '@/shared/session'
import Choice from '@/shared/ui/Choice.vue'
import DayField from '@/shared/ui/DayField.vue'
import PickOne from '@/shared/ui/PickOne.vue'
import { capital, COVERS } from '@/shared/words'
import SumCard from './SumCard.vue'
import { useSum } from './useSum'

/** Which cover suits this place in these weeks. */
const props = defineProps<{
  species: Schemas['SpeciesView'][]
  places: Schemas['PlaceView'][]
  recipes: Schemas['RecipeView'][]
  begin: Record<string, string>
}>()
const session = useSession()
const place = ref(props.begin.place || String(props.places[0]?.id ?? ''))
const code = ref(props.begin.species || (props.species[0]?.profile.code ?? ''))
const cover = ref<string>(
  props.recipes.find((one) => String(one.id) === props.begin.recipe)?.recipe.cover ?? 'FOIL',
)
const from = ref(session.today)
const algae = ref('no')
const body = computed(() =>
  place.value && code.value
    ? {
        placeId: Number(place.value),
        speciesCode: code.value,
        cover: cover.value,
        from: from.value || null,
        algae: algae.value === 'yes',
      }
    : null,
)
const { answer, problem, error, ask } = useSum('/api/v1/sums/cover', body)
</script>

<template>
  <SumCard name="cover" title="Cover" :problem="problem" @retry="ask">
    <PickOne
      v-model="place"
      label="Place"
      :options="places.map((one) => [String(one.id), one.name] as [string, string])"
    />
    <PickOne
      v-model="code"
      label="Species"
      :options="species.map((one) => [one.profile.code, capital(one.profile.common)] as [string, string])"
    />
    <PickOne v-model="cover" label="Cover planned" :options="COVERS" />
    <DayField v-model="from" ahead label="From" :error="error('from')" />
    <Choice
      v-model="algae"
      label="Algae in the ball?"
      :options="[
        ['no', 'No'],
        ['yes', 'Yes'],
      ]"
    />
    <template #answer>
      <p
        v-if="answer"
        class="border-l-4 p-2 text-lg font-bold"
        :class="answer.suits ? 'border-lichen bg-lichen-pale' : 'border-sap bg-sap-pale'"
        data-testid="cover-answer"
      >
        {{ answer.sentence }}
      </p>
      <p v-else-if="!places.length">Add a place in House first: the answer rests on its weather.</p>
    </template>
  </SumCard>
</template>
