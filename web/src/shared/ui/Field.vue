<script setup lang="ts">
import { useId } from 'vue'

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
const about = useId()
</script>

<template>
  <div class="grid content-start gap-1">
    <label class="grid gap-1">
      <span class="font-bold">{{ label }}</span>
      <span class="flex items-center gap-2">
        <input
          v-model="value"
          class="input"
          :type="type ?? 'text'"
          :inputmode="inputmode ?? 'text'"
          :aria-invalid="error ? 'true' : undefined"
          :aria-describedby="error || hint ? about : undefined"
        />
        <span v-if="unit" class="shrink-0 text-muted">{{ unit }}</span>
      </span>
    </label>
    <span v-if="error" :id="about" class="text-sm font-bold text-rust" role="alert">{{ error }}</span>
    <span v-else-if="hint" :id="about" class="eyebrow">{{ hint }}</span>
  </div>
</template>
