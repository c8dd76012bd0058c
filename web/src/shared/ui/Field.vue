<script setup lang="ts">
/** A labelled input with its unit and what is wrong with it. */
const value = defineModel<string>({ required: true })
defineProps<{
  label: string
  unit?: string
  error?: string
  type?: string
  hint?: string
  inputmode?: 'decimal' | 'text'
}>()
</script>

<template>
  <label class="grid content-start gap-1">
    <span class="font-bold">{{ label }}</span>
    <span class="flex items-center gap-2">
      <input
        v-model="value"
        class="input"
        :type="type ?? 'text'"
        :inputmode="inputmode ?? 'text'"
        :aria-invalid="error ? 'true' : undefined"
      />
      <span v-if="unit" class="shrink-0 text-muted">{{ unit }}</span>
    </span>
    <span v-if="error" class="text-sm font-bold text-rust" role="alert">{{ error }}</span>
    <span v-else-if="hint" class="eyebrow">{{ hint }}</span>
  </label>
</template>
