<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Schemas } from '@/shared/api/client'
import type { FileMapping, Source } from './mapping'
import MappingRow from './MappingRow.vue'

/** Each column of the table, and where in the file it comes from. */
const mapping = defineModel<FileMapping>({ required: true })
const props = defineProps<{ file: Schemas['ImportView']; table: Schemas['TableView'] }>()
const all = ref(false)
const open = computed(() => props.table.columns.filter((column) => !column.readOnly))
const of = (name: string) => mapping.value.columns.find((one) => one.column === name) ?? null
const shown = computed(() =>
  open.value.filter((column) => all.value || column.needed || of(column.name) !== null),
)
const makesMothers = computed(() => props.table.name === 'layers' && of('species') !== null)
const unused = computed(() =>
  props.file.header.filter((name) => name && !mapping.value.columns.some((one) => one.from === name)),
)

function set(name: string, source: Source | null): void {
  const others = mapping.value.columns.filter((one) => one.column !== name)
  mapping.value = { ...mapping.value, columns: source ? [...others, source] : others }
}
</script>

<template>
  <div>
    <ul>
      <MappingRow
        v-for="column in shown"
        :key="`${table.name} ${column.name}`"
        :column="column"
        :file="file"
        :source="of(column.name)"
        :makes-mothers="makesMothers"
        @change="set(column.name, $event)"
      />
    </ul>
    <p class="mt-3 flex flex-wrap items-center gap-x-4">
      <button v-if="shown.length < open.length" class="btn" @click="all = true">
        {{ open.length - shown.length }} more columns
      </button>
      <span v-if="unused.length" class="text-muted" data-testid="unused"
        >Not read of the file: {{ unused.join(', ') }}</span
      >
    </p>
  </div>
</template>
