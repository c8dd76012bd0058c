<script setup lang="ts">
import { computed } from 'vue'
import type { Card } from '@/shared/device/useCards'
import PlantForm from './PlantForm.vue'
import PotForm from './PotForm.vue'
import ReleaseForm from './ReleaseForm.vue'
import type { NewRecord } from './newRecord'

/** After severance: pot, ladder, what is seen, release. */
const props = defineProps<{ layer: Card; saving: boolean; problem: unknown }>()
const emit = defineEmits<{ keep: [what: NewRecord]; other: [kind: string] }>()
const mayPot = computed(() => props.layer.phase === 'SEVERED' || props.layer.plant?.mossSince)
</script>

<template>
  <PotForm
    v-if="mayPot"
    :layer="layer"
    :saving="saving"
    :problem="problem"
    @keep="emit('keep', $event)"
    @other="emit('other', $event)"
  />
  <div v-if="layer.phase !== 'SEVERED'" class="grid gap-5">
    <PlantForm :layer="layer" :saving="saving" @keep="emit('keep', $event)" />
    <ReleaseForm
      :layer="layer"
      :saving="saving"
      :problem="problem"
      @keep="emit('keep', $event)"
      @other="emit('other', $event)"
    />
  </div>
</template>
