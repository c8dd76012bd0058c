<script setup lang="ts">
import { RadioGroup, RadioGroupLabel, RadioGroupOption } from '@headlessui/vue'

/** One of a few, as buttons: a tap or an arrow key, not a list to open. */
const value = defineModel<string>({ required: true })
defineProps<{ label: string; options: [string, string][]; hideLabel?: boolean }>()
</script>

<template>
  <RadioGroup v-model="value">
    <RadioGroupLabel as="p" :class="hideLabel ? 'sr-only' : 'mb-1 font-bold'">{{ label }}</RadioGroupLabel>
    <div class="flex flex-wrap gap-2">
      <RadioGroupOption
        v-for="[code, text] in options"
        :key="code"
        as="button"
        type="button"
        :value="code"
        class="chip"
      >
        {{ text }}
      </RadioGroupOption>
    </div>
  </RadioGroup>
</template>
