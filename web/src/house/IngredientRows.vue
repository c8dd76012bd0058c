<script setup lang="ts">
import Field from '@/shared/ui/Field.vue'

/** The ingredients of a mix, by parts of volume. */
interface Row {
  name: string
  parts: string
  swelling: string
}
const rows = defineModel<Row[]>({ required: true })
defineProps<{ error: (index: number, field: 'parts' | 'swelling') => string | undefined }>()

function takeOut(index: number): void {
  rows.value = rows.value.filter((_, i) => i !== index)
}
</script>

<template>
  <div
    v-for="(one, index) in rows"
    :key="index"
    class="mt-3 grid items-start gap-4 sm:grid-cols-[2fr_1fr_1fr_auto]"
  >
    <Field v-model="one.name" label="Ingredient" />
    <Field v-model="one.parts" label="Parts" inputmode="decimal" :error="error(index, 'parts')" />
    <Field
      v-model="one.swelling"
      label="Swells"
      hint="Wet litres from a dry one"
      inputmode="decimal"
      :error="error(index, 'swelling')"
    />
    <button v-if="rows.length > 1" type="button" class="link min-h-12 sm:mt-6" @click="takeOut(index)">
      Take it out
    </button>
  </div>
</template>
