<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { useMethods } from '@/shared/api/methods'
import { houseSupplies } from '@/shared/api/nursery'
import type { Card } from '@/shared/device/useCards'
import { number, show, toSend, unitOf } from '@/shared/quantity'
import { useSession } from '@/shared/session'
import Field from '@/shared/ui/Field.vue'
import PickOne from '@/shared/ui/PickOne.vue'
import { MEDIA, WOUNDS } from '@/shared/words'
import BallMade from './BallMade.vue'
import MadeBy from './MadeBy.vue'

/** A ring cut again, as it was really cut: what is left as it stands is taken as the recipe has it. */
const props = defineProps<{ layer: Card; error: (field: string) => string | undefined }>()
const { t } = useI18n()
const session = useSession()
const ways = useMethods()
const { data: supplies } = useQuery(houseSupplies)
const ring = ref('')
const recipe = ref('')
const wound = ref('')
const hormone = ref('')
const medium = ref('')
const ball = ref<Record<string, unknown> | null>(null)
const nurse = ref('')

/** Bark is cut here: not so for a cutting that is cut afresh. */
const isRing = computed(() => props.layer.recipe.way.staysOnMother)
const asRecipe = computed((): [string, string] => ['', t('made.asRecipe')])
const hormones = computed<[string, string][]>(() => [
  asRecipe.value,
  ['0', t('made.noHormone')],
  ...(supplies.value?.hormones ?? []).map(
    (one) => [one.name, `${one.name}${one.lot ? `, lot ${one.lot}` : ''}`] as [string, string],
  ),
])

function details(): Record<string, unknown> {
  const kept = supplies.value?.hormones.find((one) => one.name === hormone.value)
  return {
    ringMm: ring.value.trim() ? toSend(ring.value, 'length', session.units) : null,
    ...(recipe.value ? { recipeId: Number(recipe.value) } : {}),
    wound: wound.value || null,
    hormonePpm: hormone.value === '0' ? 0 : kept ? number(String(kept.ppm)) : null,
    hormone: kept ? `${kept.name}${kept.lot ? `, lot ${kept.lot}` : ''}` : null,
    ballMedium: medium.value || null,
    wrapped: ball.value,
    nurseRoots: nurse.value ? nurse.value === 'YES' : null,
  }
}
defineExpose({ details })
</script>

<template>
  <Field
    v-model="ring"
    :label="t('made.ringAgain')"
    :unit="unitOf('length', session.units)"
    :error="error('ringMm')"
    :hint="
      t('notSaid.takenShort', { taken: show(layer.suggested.ringMm, 'length', session.units) }) +
      '. ' +
      (layer.drawing.ringMm ? t('madeBy.wider') : t('madeBy.first'))
    "
  />
  <template v-if="isRing">
    <MadeBy
      v-model="recipe"
      :may-stay="layer.recipe.method !== 'FOIL_START'"
      :fits="(one) => one.recipe.method === 'AIR' && ways.wound(one.recipe.wound)?.ring === true"
      :now="layer.recipe"
      :error="error('details.recipeId')"
    />
    <p class="eyebrow">{{ t('made.tryOther') }}</p>
    <div class="grid gap-3 sm:grid-cols-3">
      <PickOne
        v-model="wound"
        :label="t('made.wound')"
        :options="[asRecipe, ...WOUNDS.filter(([code]) => ways.wound(code)?.ring)]"
        :error="error('wound')"
      />
      <PickOne v-model="hormone" :label="t('made.hormone')" :options="hormones" />
      <PickOne v-model="medium" :label="t('made.medium')" :options="[asRecipe, ...MEDIA]" />
    </div>
    <BallMade v-model="ball" :asked="layer.drawing.ball" :error="error" />
    <PickOne
      v-model="nurse"
      class="max-w-md"
      :label="t('made.nurseRoots')"
      :options="[
        ['', t('notSaid.option')],
        ['YES', t('made.nurseKept')],
        ['NO', t('made.nurseNone')],
      ]"
    />
  </template>
  <p class="border-l-4 border-sap bg-sap-pale p-2">
    <b>{{ t('made.caution') }}</b> {{ t('made.cautionCut') }}
  </p>
</template>
