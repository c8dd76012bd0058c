<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed, useId, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { type Schemas } from '@/shared/api/client'
import type { Card } from '@/shared/device/useCards'
import { allRecipes } from '@/shared/api/nursery'

/** By which recipe of the house a layer goes on: wound, hormone, medium, wrap and cover are that recipe's. */
const props = defineProps<{
  fits: (recipe: Schemas['RecipeView']) => boolean
  now: Card['recipe']
  /** whether it may go on by the recipe of now */
  mayStay?: boolean
  error?: string
}>()
/** id of the recipe; empty for the one of now */
const chosen = defineModel<string>({ required: true })
const { t } = useI18n()
const id = useId()
const { data } = useQuery(allRecipes)
const fitting = computed(() => (data.value ?? []).filter(props.fits))
/** Whether the recipe of now is one for that: then nobody has to choose. */
const isFit = computed(() => fitting.value.some((one) => one.id === props.now.id))
const others = computed(() => fitting.value.filter((one) => one.id !== props.now.id))
watch(
  [isFit, others],
  ([fit, some]) => {
    if (!fit && !chosen.value) chosen.value = String(some[0]?.id ?? '')
  },
  { immediate: true },
)
</script>

<template>
  <div v-if="data" class="grid max-w-md gap-1">
    <label class="font-bold" :for="id">{{ t('madeBy.label') }}</label>
    <select v-if="fitting.length || mayStay" :id="id" v-model="chosen" class="input" data-testid="made-by">
      <option v-if="isFit || mayStay" value="">{{ t('madeBy.asBefore', { name: now.name }) }}</option>
      <option v-for="one in others" :key="one.name" :value="String(one.id)">{{ one.name }}</option>
    </select>
    <p v-else>
      {{ t('madeBy.none') }}
      <RouterLink class="link" :to="{ name: 'house', hash: '#recipes-title' }">{{
        t('madeBy.add')
      }}</RouterLink>
    </p>
    <span v-if="error" class="text-sm font-bold text-rust" role="alert">{{ error }}</span>
  </div>
</template>
