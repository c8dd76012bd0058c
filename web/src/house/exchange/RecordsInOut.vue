<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { ref } from 'vue'
import { useRouter } from 'vue-router'
import { useSession } from '@/shared/session'
import ProblemNote from '@/shared/ui/ProblemNote.vue'
import { sendFile } from './sendFile'
import { TABLES } from './words'
import { fileTables } from '@/shared/api/exchange'

/** The records are the nursery's own: out of here, and in again. */
const session = useSession()
const router = useRouter()
const { data: tables, error } = useQuery(fileTables)
const sending = ref('')
const problem = ref<unknown>(null)

async function choose(event: Event): Promise<void> {
  const input = event.target as HTMLInputElement
  const file = input.files?.[0]
  if (!file) return
  problem.value = null
  sending.value = file.name
  try {
    const id = await sendFile(file)
    await router.push({ name: 'import', params: { fileId: id } })
  } catch (failure) {
    problem.value = failure
  } finally {
    sending.value = ''
    input.value = ''
  }
}
</script>

<template>
  <h1 class="text-2xl">Records in and out</h1>
  <p class="mt-1 max-w-prose">
    What you record here is yours. Take it out whole or table by table, in files that any spreadsheet opens,
    and bring in what you kept before.
  </p>

  <section v-if="session.isOwner" class="mt-6" aria-labelledby="in-title">
    <h2 id="in-title" class="border-b-2 border-ink pb-1 text-lg">In</h2>
    <div class="panel mt-3 grid gap-2">
      <label class="grid gap-1">
        <span class="font-bold"
          >Choose a file: an old spreadsheet saved as CSV, or one that came from here</span
        >
        <span class="eyebrow"
          >Its columns may be called what you like. You see what would become of every row before anything is
          written.</span
        >
        <input
          type="file"
          accept=".csv,.txt,.tsv,.json,text/csv,application/json"
          class="file-input"
          data-testid="records-file"
          :disabled="sending !== ''"
          @change="choose"
        />
      </label>
      <p v-if="sending" role="status">Sending {{ sending }} …</p>
      <ProblemNote :problem="problem" />
    </div>
  </section>

  <section class="mt-8" aria-labelledby="out-title">
    <h2 id="out-title" class="border-b-2 border-ink pb-1 text-lg">Out</h2>
    <div v-if="session.isOwner" class="panel mt-3 flex flex-wrap items-center justify-between gap-3">
      <p class="max-w-prose">
        <b>The whole nursery in one file</b><br />
        Every record with its verdict, all photos, all tables; no passwords. Put into an empty Kind Girdle it
        is the same nursery.
      </p>
      <a class="btn btn-main" href="/api/v1/nursery-file" download="nursery.json" data-testid="whole-nursery"
        >Save the nursery</a
      >
    </div>
    <ProblemNote :problem="error" />
    <ul class="mt-3 grid gap-x-6 sm:grid-cols-2">
      <template v-for="one in tables" :key="one.name">
        <li
          v-if="session.isOwner || one.name !== 'people'"
          class="flex min-h-14 items-center justify-between gap-3 border-b border-line"
        >
          <span
            ><b>{{ TABLES[one.name]?.[0] ?? one.name }}</b
            ><br /><span class="text-muted">{{ TABLES[one.name]?.[1] }}</span></span
          >
          <a
            class="link inline-flex min-h-12 shrink-0 items-center"
            :href="`/api/v1/tables/${one.name}`"
            :download="`${one.name}.csv`"
            :aria-label="`Save as CSV: ${TABLES[one.name]?.[0] ?? one.name}`"
            >Save as CSV</a
          >
        </li>
      </template>
    </ul>
  </section>
</template>
