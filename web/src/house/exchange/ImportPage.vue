<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed, ref, toRef, watch } from 'vue'
import { useRouter } from 'vue-router'
import { remove } from '@/shared/api/client'
import ProblemNote from '@/shared/ui/ProblemNote.vue'
import ImportOutcome from './ImportOutcome.vue'
import MappingTable from './MappingTable.vue'
import NurseryImport from './NurseryImport.vue'
import { TABLES } from './words'
import { useImport } from './useImport'
import { fileTables } from '@/shared/api/exchange'

/** One file: what is in it, which of its columns is which, what would become of its rows; and then taking them. */
const props = defineProps<{ fileId: string }>()
const router = useRouter()
const { file, error, problem, atWork, mapping, look, take, stop, readAs } = useImport(toRef(props, 'fileId'))
const { data: tables } = useQuery(fileTables)
const table = computed(() => tables.value?.find((one) => one.name === mapping.value?.table))
const missing = computed(
  () =>
    table.value?.columns.filter(
      (column) => column.needed && !mapping.value?.columns.some((one) => one.column === column.name),
    ) ?? [],
)
/** Whether the mapping was changed since the file was looked through. */
const changed = ref(false)
watch(mapping, (_now, before) => (changed.value = before !== null), { deep: true })

async function lookAgain(): Promise<void> {
  // a look that never began says nothing of how the file is read now
  if (await look()) changed.value = false
}

// what can be told is told without asking: a mapping that is whole is tried at once
let tried = false
watch([file, table], () => {
  if (tried || !file.value || file.value.state !== 'HERE') return
  if (file.value.nursery || (table.value && !missing.value.length && file.value.header.length)) {
    tried = true
    void lookAgain()
  }
})

const good = computed(() => {
  const outcome = file.value?.outcome
  return !!outcome && !outcome.badRows && !outcome.broken && file.value?.state === 'LOOKED' && !changed.value
})

async function forget(): Promise<void> {
  await remove('/api/v1/imports/{fileId}', { path: { fileId: props.fileId } }).catch(() => undefined)
  await router.push({ name: 'records' })
}
</script>

<template>
  <p><RouterLink class="link" :to="{ name: 'records' }">Records in and out</RouterLink></p>
  <h1 class="text-2xl break-words">{{ file?.name ?? 'A file' }}</h1>
  <ProblemNote :problem="error" />
  <template v-if="file">
    <ImportOutcome
      :file="file"
      :table="mapping?.table ?? ''"
      :changed="changed"
      :missing="file.nursery ? [] : missing.map((one) => one.name)"
      @stop="stop"
    />
    <ProblemNote :problem="problem" />
    <NurseryImport v-if="file.nursery" :file="file" :at-work="atWork" @take="take" />
    <div
      v-else-if="file.header.length && file.state !== 'TAKEN'"
      class="mt-4 flex flex-wrap items-center gap-2"
    >
      <button v-if="good" class="btn btn-main" :disabled="atWork" data-testid="take" @click="take()">
        Take them in
      </button>
      <button
        v-else
        class="btn btn-main"
        :disabled="atWork || missing.length > 0"
        data-testid="look"
        @click="lookAgain"
      >
        Look through it
      </button>
      <button class="btn" :disabled="atWork" @click="forget">Leave it</button>
    </div>

    <section
      v-if="mapping && table && file.header.length && file.state !== 'TAKEN'"
      class="mt-6"
      aria-labelledby="columns-title"
    >
      <h2 id="columns-title" class="border-b-2 border-ink pb-1 text-lg">How it is read</h2>
      <p v-if="file.remembered" class="mt-2" data-testid="remembered">
        A file with these columns was taken in before: it is read in the same way.
      </p>
      <div class="mt-3 flex flex-wrap items-end gap-x-6 gap-y-3">
        <label class="grid gap-1">
          <span class="font-bold">A row of it is</span>
          <select
            class="input"
            :value="mapping.table"
            data-testid="table"
            @change="readAs(($event.target as HTMLSelectElement).value)"
          >
            <option v-for="one in tables" :key="one.name" :value="one.name">
              {{ TABLES[one.name]?.[0] ?? one.name }}: {{ TABLES[one.name]?.[1] }}
            </option>
          </select>
        </label>
        <label class="flex min-h-12 items-center gap-2">
          <input v-model="mapping.decimalComma" type="checkbox" class="size-5 accent-lichen" />
          <span>Its numbers have a comma: 12,5</span>
        </label>
      </div>
      <MappingTable v-model="mapping" class="mt-4" :file="file" :table="table" />
    </section>
  </template>
</template>
