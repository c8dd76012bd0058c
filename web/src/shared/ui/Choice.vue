<script setup lang="ts">
/** One of a few, as buttons: a tap, not a list to open. */
const value = defineModel<string>({ required: true })
defineProps<{ label: string; options: [string, string][]; hideLabel?: boolean }>()
</script>

<template>
  <div role="radiogroup" :aria-label="label">
    <p v-if="!hideLabel" class="mb-1 font-bold" aria-hidden="true">{{ label }}</p>
    <div class="flex flex-wrap gap-2">
      <button
        v-for="[code, text] in options"
        :key="code"
        type="button"
        role="radio"
        class="chip"
        :aria-checked="value === code"
        @click="value = code"
      >
        {{ text }}
      </button>
    </div>
  </div>
</template>
