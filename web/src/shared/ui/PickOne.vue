<script setup lang="ts">
import { useId } from 'vue'

/** One of many, from a list. */
const value = defineModel<string>({ required: true })
defineProps<{ label: string; options: [string, string][]; error?: string }>()
const about = useId()
</script>

<template>
  <div class="grid content-start gap-1">
    <label class="grid gap-1">
      <span class="font-bold">{{ label }}</span>
      <select
        v-model="value"
        class="input"
        :aria-invalid="error ? 'true' : undefined"
        :aria-describedby="error ? about : undefined"
      >
        <option v-for="[code, text] in options" :key="code" :value="code">{{ text }}</option>
      </select>
    </label>
    <span v-if="error" :id="about" class="text-sm font-bold text-rust" role="alert">{{ error }}</span>
  </div>
</template>
