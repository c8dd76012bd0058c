<script setup lang="ts">
import { computed, reactive, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Schemas } from '@/shared/api/client'
import { show, toSend, typed, unitOf } from '@/shared/quantity'
import { useSession } from '@/shared/session'
import Field from '@/shared/ui/Field.vue'
import PickOne from '@/shared/ui/PickOne.vue'
import { TIES } from '@/shared/words'

/** The ball as it was wrapped, where it is not the one that was asked for: of any shape, a bag or pod by its volume. */
const props = defineProps<{
  /** what the sums ask for, to be seen where nothing is typed */
  asked: Schemas['RingAndBall'] | null
  error: (field: string) => string | undefined
}>()
/** as it is sent; null where nothing was said */
const ball = defineModel<Record<string, unknown> | null>({ required: true })
const { t } = useI18n()
const session = useSession()
const before = ball.value as Partial<Schemas['BallAsWrapped']> | null
const text = (value: unknown, what: 'length' | 'volume') =>
  typeof value === 'number' ? typed(value, what, session.units) : String(value ?? '')
const made = reactive({
  volume: text(before?.volumeMl, 'volume'),
  length: text(before?.lengthMm, 'length'),
  across: text(before?.acrossMm, 'length'),
  tie: String(before?.tie ?? ''),
})
const sent = (value: string, what: 'length' | 'volume') =>
  value.trim() ? toSend(value, what, session.units) : null
watch(made, () => {
  const now = {
    volumeMl: sent(made.volume, 'volume'),
    lengthMm: sent(made.length, 'length'),
    acrossMm: sent(made.across, 'length'),
    tie: made.tie || null,
  }
  ball.value = Object.values(now).some((one) => one !== null) ? now : null
})
const taken = computed(() => {
  const asked = props.asked
  if (!asked) return { volume: '', length: '', across: '' }
  return {
    volume: t('notSaid.takenShort', { taken: show(asked.mediumMl, 'volume', session.units) }),
    length: t('notSaid.takenShort', { taken: show(asked.ballLengthMm, 'length', session.units) }),
    across: t('notSaid.takenShort', { taken: show(asked.ballDiameterMm, 'length', session.units) }),
  }
})
</script>

<template>
  <fieldset class="grid gap-3 sm:grid-cols-4" data-testid="ball-made">
    <legend class="mb-1 font-bold">{{ t('made.ball') }}</legend>
    <Field
      v-model="made.volume"
      :label="t('made.volume')"
      :unit="unitOf('volume', session.units)"
      :hint="taken.volume"
      :error="error('wrapped.volumeMl')"
    />
    <Field
      v-model="made.length"
      :label="t('made.length')"
      :unit="unitOf('length', session.units)"
      :hint="taken.length"
      :error="error('wrapped.lengthMm')"
    />
    <Field
      v-model="made.across"
      :label="t('made.across')"
      :unit="unitOf('length', session.units)"
      :hint="taken.across"
      :error="error('wrapped.acrossMm')"
    />
    <PickOne v-model="made.tie" :label="t('made.tie')" :options="[['', t('notSaid.option')], ...TIES]" />
  </fieldset>
</template>
