<script setup lang="ts">
import { reactive, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { Problem, type Schemas } from '@/shared/api/client'
import type { Card } from '@/shared/device/useCards'
import { show, toSend, typed, unitOf } from '@/shared/quantity'
import { useSession } from '@/shared/session'
import Field from '@/shared/ui/Field.vue'
import PickOne from '@/shared/ui/PickOne.vue'
import { POSITIONS, WOODS } from '@/shared/words'
import BallMade from './BallMade.vue'
import type { NewRecord } from './newRecord'

/** A setting that was recorded wrong, to be put right field by field; what is emptied is not said. */
const props = defineProps<{ layer: Card; wrong: Schemas['Setting']; saving: boolean; problem: unknown }>()
const emit = defineEmits<{ keep: [what: NewRecord] }>()
const { t } = useI18n()
const session = useSession()
const length = (mm: unknown) => (typeof mm === 'number' ? typed(mm, 'length', session.units) : '')
const text = (value: number | string | boolean | null | undefined) =>
  value === null || value === undefined ? '' : String(value)
const set = reactive({
  diameter: length(props.wrong.diameterMm),
  ring: length(props.wrong.ringMm),
  wood: text(props.wrong.wood),
  position: text(props.wrong.position),
  leaves: text(props.wrong.leavesBeyond),
  fromUnion: length(props.wrong.fromUnionMm),
  lean: text(props.wrong.leanDeg),
  hollow: text(props.wrong.hollow),
  specimen: text(props.wrong.specimen),
  fruitToKeep: text(props.wrong.fruitToKeep),
  hand: text(props.wrong.hand),
})
const ball = ref<Record<string, unknown> | null>(props.wrong.wrapped ? { ...props.wrong.wrapped } : null)
const error = (field: string) => (props.problem instanceof Problem ? props.problem.of(field) : undefined)
const measured = (value: string) => (value.trim() ? toSend(value, 'length', session.units) : null)
const counted = (value: string) => (value.trim() ? Number(value) : null)
const YES_NO: [string, string][] = [
  ['true', t('notSaid.yes')],
  ['false', t('notSaid.no')],
]
const notSaid: [string, string] = ['', t('notSaid.option')]

function keep(): void {
  emit('keep', {
    kind: 'SET',
    details: {
      diameterMm: toSend(set.diameter, 'length', session.units),
      ringMm: measured(set.ring),
      wrapped: ball.value,
      wood: set.wood || null,
      position: set.position || null,
      leavesBeyond: counted(set.leaves),
      fromUnionMm: measured(set.fromUnion),
      leanDeg: counted(set.lean),
      hollow: set.hollow ? set.hollow === 'true' : null,
      school: props.wrong.school,
      specimen: set.specimen === 'true',
      fruitToKeep: set.fruitToKeep === 'true',
      hand: set.hand.trim() || null,
      hormone: props.wrong.hormone ?? null,
    },
  })
}
</script>

<template>
  <form class="grid gap-4" @submit.prevent="keep">
    <div class="grid gap-3 sm:grid-cols-3">
      <Field
        v-model="set.diameter"
        :label="t('made.diameter')"
        :unit="unitOf('length', session.units)"
        :error="error('diameterMm')"
      />
      <Field
        v-model="set.ring"
        :label="t('made.ring')"
        :unit="unitOf('length', session.units)"
        :hint="t('notSaid.takenShort', { taken: show(layer.drawing.ball.ringMm, 'length', session.units) })"
        :error="error('ringMm')"
      />
      <PickOne v-model="set.wood" :label="t('made.wood')" :options="[...WOODS, notSaid]" />
      <PickOne v-model="set.position" :label="t('made.position')" :options="[...POSITIONS, notSaid]" />
      <Field
        v-model="set.leaves"
        :label="t('made.leaves')"
        inputmode="decimal"
        :error="error('leavesBeyond')"
      />
      <Field
        v-model="set.fromUnion"
        :label="t('made.fromUnion')"
        :unit="unitOf('length', session.units)"
        :error="error('fromUnionMm')"
      />
      <Field
        v-model="set.lean"
        :label="t('made.lean')"
        unit="°"
        inputmode="decimal"
        :error="error('leanDeg')"
      />
      <PickOne v-model="set.hollow" :label="t('made.hollow')" :options="[...YES_NO, notSaid]" />
      <Field v-model="set.hand" :label="t('made.hand')" :error="error('hand')" />
      <PickOne v-model="set.specimen" :label="t('made.specimen')" :options="YES_NO" />
      <PickOne v-model="set.fruitToKeep" :label="t('made.fruitToKeep')" :options="YES_NO" />
    </div>
    <BallMade v-model="ball" :asked="layer.drawing.ball" :error="error" />
    <div class="flex gap-2">
      <button class="btn btn-main" :disabled="saving" data-testid="keep-setting">
        {{ t('look.keepCorrection') }}
      </button>
      <slot></slot>
    </div>
  </form>
</template>
