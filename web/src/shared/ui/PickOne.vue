<script setup lang="ts">
/** One of many, from a list. */
const value = defineModel<string>({ required: true })
defineProps<{ label: string; options: [string, string][]; error?: string }>()
</script>

<template>
  <label class="grid content-start gap-1">
    <span class="font-bold">{{ label }}</span>
    <select v-model="value" class="input" :aria-invalid="error ? 'true' : undefined">
      <option v-for="[code, text] in options" :key="code" :value="code">{{ text }}</option>
    </select>
    <span v-if="error" class="text-sm font-bold text-rust" role="alert">{{ error }}</span>
  </label>
</template>
