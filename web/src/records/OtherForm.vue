<script setup lang="ts">
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { Problem } from '@/shared/api/client'
import { useMethods } from '@/shared/api/methods'
import { toSend, typed, unitOf } from '@/shared/quantity'
import { useSession } from '@/shared/session'
import Choice from '@/shared/ui/Choice.vue'
import Field from '@/shared/ui/Field.vue'
import PickOne from '@/shared/ui/PickOne.vue'
import SeverForm from './SeverForm.vue'
import { CAUSES, COVERS, WORKS } from '@/shared/words'
import MadeBy from './MadeBy.vue'
import WholeLimb from './WholeLimb.vue'
import type { Card } from '@/shared/device/useCards'
import type { NewRecord } from './newRecord'

/** Whatever is recorded beside a look: water, a new ring, other work, the severing, a loss. */
const props = defineProps<{ layer: Card; kind: string; saving: boolean; problem: unknown }>()
const emit = defineEmits<{ keep: [what: NewRecord]; close: [] }>()
const session = useSession()
const ways = useMethods()
const { t } = useI18n()

const water = ref(typed(Math.round(props.layer.suggested.waterMl), 'volume', session.units))
const ring = ref(typed(Math.round(props.layer.suggested.ringMm), 'length', session.units))
const work = ref(WORKS.find(([code]) => code === props.layer.advice.step)?.[0] ?? 'REWET')
const cover = ref('BLACK')
const leavesBefore = ref(String(props.layer.drawing.leavesBeyond))
const leavesLeft = ref(String(props.layer.drawing.leavesBeyond))
const cause = ref('DRIED')
const note = ref('')
/** the recipe that it goes by from now on; empty for the one that it goes by */
const recipe = ref('')
/** all that stand on its limb */
const together = ref([props.layer.code])

/** Whether there is a ball on a limb, rather than roots in the ground, a pot or a tent. */
const hangs = props.layer.recipe.way.hangs
const titles: Record<string, string> = {
  TOPPED_UP: hangs ? 'Top up the ball' : t('other.water'),
  RERUNG: 'Ring it again',
  STOOD_IN_WATER: t('madeBy.inWater'),
  TENDED: 'What was done?',
  SEVERED: t('other.takeUp'),
  LOST: 'Record it as lost',
}
const error = (field: string) => (props.problem instanceof Problem ? props.problem.of(field) : undefined)

const details = computed<Record<string, unknown>>(() => {
  switch (props.kind) {
    case 'TOPPED_UP':
      return { waterMl: toSend(water.value, 'volume', session.units) }
    case 'RERUNG':
      return {
        ringMm: toSend(ring.value, 'length', session.units),
        ...(recipe.value ? { recipeId: Number(recipe.value) } : {}),
      }
    case 'STOOD_IN_WATER':
      return { recipeId: recipe.value ? Number(recipe.value) : null, leavesLeft: null }
    case 'TENDED':
      return { work: work.value, cover: work.value === 'COVER' ? cover.value : null }
    case 'SEVERED':
      return { leavesBefore: Number(leavesBefore.value), leavesLeft: Number(leavesLeft.value) }
    default:
      return { cause: cause.value }
  }
})

function keep(): void {
  const all = props.kind === 'STOOD_IN_WATER' ? { codes: together.value } : {}
  emit('keep', { kind: props.kind, details: details.value, note: note.value.trim(), ...all })
}
</script>

<template>
  <SeverForm
    v-if="kind === 'SEVERED' && layer.recipe.way.staysOnMother"
    :layer="layer"
    :saving="saving"
    :problem="problem"
    @keep="emit('keep', $event)"
    @close="emit('close')"
  />
  <form v-else class="panel grid gap-4" @submit.prevent="keep">
    <h2 class="text-lg">{{ titles[kind] }}</h2>
    <Field
      v-if="kind === 'TOPPED_UP'"
      v-model="water"
      label="Water"
      :unit="unitOf('volume', session.units)"
      :error="error('waterMl')"
      :hint="hangs ? 'What the ball has lost since it was last wet.' : t('other.lostWater')"
    />
    <template v-if="kind === 'RERUNG'">
      <Field
        v-model="ring"
        label="New ring"
        :unit="unitOf('length', session.units)"
        :error="error('ringMm')"
        :hint="layer.drawing.ringMm ? t('madeBy.wider') : t('madeBy.first')"
      />
      <MadeBy
        v-if="layer.recipe.way.staysOnMother"
        v-model="recipe"
        :may-stay="layer.recipe.method !== 'FOIL_START'"
        :fits="(one) => one.recipe.method === 'AIR' && ways.wound(one.recipe.wound)?.ring === true"
        :now="layer.recipe"
        :error="error('details.recipeId')"
      />
      <p class="border-l-4 border-sap bg-sap-pale p-2">
        <b>Caution:</b> cut away from the hand; a thin branch can snap. Clean the blade between mothers.
      </p>
    </template>
    <template v-if="kind === 'STOOD_IN_WATER'">
      <WholeLimb v-model="together" :layer="layer" />
      <MadeBy
        v-model="recipe"
        :fits="(one) => one.recipe.method === 'JAR'"
        :now="layer.recipe"
        :error="error('details.recipeId')"
      />
      <p class="border-l-4 border-sap bg-sap-pale p-2">{{ t('madeBy.inWaterHow') }}</p>
    </template>
    <template v-if="kind === 'TENDED'">
      <PickOne v-model="work" label="Work" :options="WORKS.filter(([code]) => code !== 'TIDY_STUB')" />
      <Choice v-if="work === 'COVER'" v-model="cover" label="New cover" :options="COVERS" />
    </template>
    <template v-if="kind === 'SEVERED'">
      <div class="grid gap-4 sm:grid-cols-2">
        <Field
          v-model="leavesBefore"
          label="Leaves on it"
          inputmode="decimal"
          :error="error('leavesBefore')"
        />
        <Field v-model="leavesLeft" label="Leaves left on" inputmode="decimal" :error="error('leavesLeft')" />
      </div>
    </template>
    <PickOne v-if="kind === 'LOST'" v-model="cause" label="Why" :options="CAUSES" />
    <label class="grid gap-1">
      <span class="font-bold">Note</span>
      <input v-model="note" class="input" maxlength="1000" />
    </label>
    <div class="flex gap-2">
      <button
        class="btn btn-main"
        :disabled="saving || (kind === 'STOOD_IN_WATER' && !recipe)"
        data-testid="keep-other"
      >
        Keep
      </button>
      <button type="button" class="btn" @click="emit('close')">Back</button>
    </div>
  </form>
</template>
