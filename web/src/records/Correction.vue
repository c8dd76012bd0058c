<script setup lang="ts">
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Schemas } from '@/shared/api/client'
import { addDays, dayText } from '@/shared/dates'
import type { Card } from '@/shared/device/useCards'
import { KINDS } from '@/shared/words'
import DayField from '@/shared/ui/DayField.vue'
import LookForm from './LookForm.vue'
import SettingForm from './SettingForm.vue'
import type { NewRecord } from './newRecord'

/** A record that was made wrong, to be put right: a look and a setting field by field, of all others the day. */
const props = defineProps<{ layer: Card; wrong: Schemas['RecordView']; saving: boolean; problem: unknown }>()
const emit = defineEmits<{ keep: [what: NewRecord]; close: [] }>()
const { t } = useI18n()
const day = ref(props.wrong.on)
const MAX_DAYS_BACK = 4 * 365
const earliest = computed(() =>
  props.wrong.kind === 'SET' ? addDays(props.layer.asOf, -MAX_DAYS_BACK) : props.layer.setOn,
)

/** It stands in the place of the wrong one: at its hour, unless it was another day. */
function keep(what: NewRecord): void {
  emit('keep', {
    ...what,
    note: what.note || props.wrong.note,
    corrects: props.wrong.id,
    ...(day.value === props.wrong.on ? { occurredAt: props.wrong.occurredAt } : { occurredOn: day.value }),
  })
}
</script>

<template>
  <section class="panel grid gap-4" aria-labelledby="correct-title">
    <h2 id="correct-title" class="text-lg">
      {{
        t('correct.title', {
          what: KINDS[wrong.kind],
          day: dayText(wrong.on, layer.asOf),
        })
      }}
    </h2>
    <DayField
      v-model="day"
      class="max-w-xs"
      :label="t('correct.day')"
      :min="earliest"
      :max="layer.asOf"
      :hint="t('when.hint')"
    />
    <LookForm
      v-if="wrong.kind === 'LOOKED'"
      :layer="layer"
      :wrong="wrong.details as Schemas['Looked']"
      :saving="saving || !day"
      @keep="keep"
    >
      <button type="button" class="btn" @click="emit('close')">{{ t('correct.back') }}</button>
    </LookForm>
    <SettingForm
      v-else-if="wrong.kind === 'SET'"
      :layer="layer"
      :wrong="wrong.details as Schemas['Setting']"
      :saving="saving || !day"
      :problem="problem"
      @keep="keep"
    >
      <button type="button" class="btn" @click="emit('close')">{{ t('correct.back') }}</button>
    </SettingForm>
    <div v-else class="flex gap-2">
      <button
        type="button"
        class="btn btn-main"
        :disabled="saving || !day || day === wrong.on"
        data-testid="keep-day"
        @click="keep({ kind: wrong.kind, details: wrong.details as Record<string, unknown> })"
      >
        {{ t('look.keepCorrection') }}
      </button>
      <button type="button" class="btn" @click="emit('close')">{{ t('correct.back') }}</button>
    </div>
  </section>
</template>
