<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { type Schemas } from '@/shared/api/client'
import { useMethods } from '@/shared/api/methods'
import Choice from '@/shared/ui/Choice.vue'
import WhenDone from '@/records/WhenDone.vue'
import { addDays } from '@/shared/dates'
import { useSession } from '@/shared/session'
import PickOne from '@/shared/ui/PickOne.vue'
import MotherPick from './MotherPick.vue'
import type { BenchHead } from './useBench'
import { allPlaces, houseSupplies, allHands } from '@/shared/api/nursery'

/** What all rows of a batch have in common. */
const head = defineModel<BenchHead>({ required: true })
const emit = defineEmits<{ mother: [] }>()
const props = defineProps<{
  mothers: Schemas['MotherView'][]
  species: Schemas['SpeciesView'][]
  recipes: Schemas['RecipeView'][]
}>()
const { data: places } = useQuery(allPlaces)
const { data: supplies } = useQuery(houseSupplies)
const { data: hands } = useQuery(allHands)
const recipeOptions = computed<[string, string][]>(() =>
  props.recipes.map((one) => [String(one.id), one.name] as [string, string]),
)
const recipe = computed(() => props.recipes.find((one) => String(one.id) === head.value.recipeId))
const ways = useMethods()
const session = useSession()
const { t } = useI18n()
/** As far back as a batch may be dated, days. */
const MAX_DAYS_BACK = 3 * 365
const setOn = computed({
  get: () => (head.value.setOn === '' ? session.today : head.value.setOn),
  set: (day: string | null) => (head.value.setOn = day),
})
const way = computed(() => ways.method(recipe.value?.recipe.method))
/** What is cut off when it is set leaves its mother as she is. */
const asksForShoot = computed(() => way.value?.staysOnMother ?? true)
const shootLabel = computed(() =>
  way.value?.buriesTheBase
    ? 'A leafy shoot of the plant stays in the light?'
    : 'A live leafy shoot stays below every ring?',
)
const hormones = computed<[string, string][]>(() => {
  const kept = supplies.value?.hormones ?? []
  if (!recipe.value?.recipe.hormonePpm || !kept.length) return []
  return [
    ['', 'Not said'],
    ...kept.map((one) => [one.name, `${one.name}${one.lot ? `, lot ${one.lot}` : ''}`] as [string, string]),
  ]
})
watch(
  hands,
  (known) => {
    if (known && !head.value.hand) head.value.hand = known.mine
  },
  { immediate: true },
)
</script>

<template>
  <div
    class="mt-4 grid gap-4 sm:grid-cols-2 xl:grid-cols-[minmax(0,2fr)_minmax(0,1.3fr)_minmax(0,1.2fr)_minmax(0,1.3fr)]"
  >
    <MotherPick
      v-model="head.motherId"
      :mothers="mothers"
      :species="species"
      :places="places ?? []"
      @update:model-value="emit('mother')"
    />
    <PickOne v-model="head.recipeId" label="Recipe" :options="recipeOptions" />
    <label class="grid content-start gap-1">
      <span class="font-bold">Hand</span>
      <input v-model="head.hand" class="input" list="hands" maxlength="60" autocomplete="off" />
      <datalist id="hands">
        <option v-for="one in hands?.known ?? []" :key="one" :value="one" />
      </datalist>
    </label>
    <PickOne v-if="hormones.length" v-model="head.hormone" label="Hormone from" :options="hormones" />
    <WhenDone
      v-model="setOn"
      class="sm:col-span-2"
      :label="t('bench.setOn')"
      :today="session.today"
      :earliest="addDays(session.today, -MAX_DAYS_BACK)"
    />
    <Choice
      v-if="head.motherId && asksForShoot"
      v-model="head.shootBelow"
      class="sm:col-span-2"
      :label="shootLabel"
      :options="[
        ['yes', 'Yes'],
        ['no', 'No'],
      ]"
    />
  </div>
</template>
