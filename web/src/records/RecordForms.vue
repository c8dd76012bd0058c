<script setup lang="ts">
import { computed } from 'vue'
import type { Card } from '@/shared/device/useCards'
import AfterForm from './AfterForm.vue'
import LookForm from './LookForm.vue'
import OtherForm from './OtherForm.vue'
import type { NewRecord } from './newRecord'
import WhenDone from './WhenDone.vue'

/** What may be recorded of a layer as it stands: on its mother, after severance, or the other work that was asked for. */
const props = defineProps<{ layer: Card; saving: boolean; problem: unknown; thumb?: boolean }>()
const emit = defineEmits<{ keep: [what: NewRecord] }>()
/** the day on which it was done; null while what was typed is none. A page that leaves it alone begins with today. */
const day = defineModel<string | null>('day', { default: '' })
const on = computed({
  get: () => (day.value === '' ? props.layer.asOf : day.value),
  set: (now: string | null) => (day.value = now),
})
/** a record other than a look; empty for none */
const other = defineModel<string>('other', { required: true })
</script>

<template>
  <WhenDone v-model="on" class="mb-4" :today="layer.asOf" :earliest="layer.setOn" />
  <OtherForm
    v-if="other"
    :key="other"
    :layer="layer"
    :kind="other"
    :saving="saving || on === null"
    :problem="problem"
    @keep="emit('keep', $event)"
    @close="other = ''"
  />
  <LookForm
    v-else-if="layer.phase === 'ON_MOTHER'"
    :key="layer.code"
    :thumb="thumb"
    :layer="layer"
    :saving="saving || on === null"
    @keep="emit('keep', $event)"
    @other="other = $event"
  >
    <slot />
  </LookForm>
  <template v-else>
    <AfterForm
      v-if="layer.phase === 'SEVERED' || layer.phase === 'POTTED'"
      :key="layer.code"
      :layer="layer"
      :saving="saving || on === null"
      :problem="problem"
      @keep="emit('keep', $event)"
      @other="other = $event"
    />
    <div v-if="$slots.default" class="flex gap-4"><slot /></div>
  </template>
</template>
