<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { trialOfLayer } from '@/shared/api/layers'

/** The trial that a layer is part of, if any. */
const props = defineProps<{ code: string }>()
const { data: trial } = useQuery(trialOfLayer(props.code))
</script>

<template>
  <p v-if="trial" class="basis-full text-muted" data-testid="trial">
    Part of the trial
    <RouterLink class="link" :to="{ name: 'trial', params: { id: String(trial.trialId) } }">{{
      trial.trial
    }}</RouterLink>, dealt arm {{ trial.arm }} ({{ trial.assigned }}){{
      trial.asAssigned ? '' : ' and set with another recipe'
    }}.
  </p>
</template>
