<script setup lang="ts">
import { RadioGroup, RadioGroupLabel, RadioGroupOption } from '@headlessui/vue'

/** One of a few, as buttons: a tap or an arrow key, not a list to open. Each may say more, and one be marked as best. */
const value = defineModel<string>({ required: true })
defineProps<{ label: string; options: [string, string][]; hideLabel?: boolean; marked?: string | null }>()
</script>

<template>
  <RadioGroup v-model="value">
    <RadioGroupLabel as="p" :class="hideLabel ? 'sr-only' : 'mb-1 font-bold'">{{ label }}</RadioGroupLabel>
    <div class="flex flex-wrap gap-2">
      <RadioGroupOption
        v-for="([code, text], index) in options"
        :key="code"
        as="button"
        type="button"
        :value="code"
        class="chip"
        :class="{ 'flex-col items-start py-1': $slots.more, 'border-2 border-lichen': code === marked }"
        :data-choice="code"
      >
        <span>{{ text }}</span>
        <span v-if="$slots.more" class="text-sm font-normal"><slot name="more" :index="index" /></span>
      </RadioGroupOption>
    </div>
  </RadioGroup>
</template>
