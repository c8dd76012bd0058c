<script setup lang="ts">
import { computed } from 'vue'
import type { Schemas } from '@/shared/api/client'
import { capital } from '@/shared/words'
import { columnWords, count, TABLES } from './words'

/** What would become of the rows, or became of them, in a sentence; and every cell that is in the way. */
const props = defineProps<{
  file: Schemas['ImportView']
  table: string
  changed: boolean
  missing: string[]
}>()
defineEmits<{ stop: [] }>()
const outcome = computed(() => props.file.outcome)
const rows = (n: number) => count(n, 'row', 'rows')
const parts = computed(() => {
  const o = outcome.value
  if (!o) return ''
  return [
    o.fresh && `${count(o.fresh, 'is', 'are')} new`,
    o.changed && `${count(o.changed, 'changes', 'change')} what is here`,
    o.same && `${count(o.same, 'is', 'are')} here already`,
  ]
    .filter(Boolean)
    .join(', ')
})
const mothers = computed(() => {
  const o = outcome.value
  if (!o?.mothersMade) return ''
  const rest = o.mothersMade - o.mothers.length
  return `${o.mothers.join(', ')}${rest ? ` and ${rest} more` : ''}`
})
const name = computed(() => (TABLES[props.table]?.[0] ?? 'rows').toLowerCase())
</script>

<template>
  <div class="mt-3" aria-live="polite" data-testid="import-outcome">
    <template v-if="file.state === 'LOOKING' || file.state === 'TAKING'">
      <p class="text-lg">
        {{ file.state === 'TAKING' ? 'Taking it in' : 'Looking through it' }}: {{ rows(file.done) }} so far.
        <template v-if="file.cancelled">It is stopping.</template>
      </p>
      <progress class="mt-2 h-2 w-full" aria-label="Working" />
      <button class="btn mt-2" :disabled="file.cancelled" @click="$emit('stop')">
        Stop{{ file.state === 'TAKING' ? ', and take back what was written' : '' }}
      </button>
    </template>
    <p v-else-if="file.state === 'TAKEN'" class="text-lg" data-testid="taken">
      <b>Done.</b>
      <template v-if="file.nursery">
        The nursery of the file is here now. Sign in again if you are asked to.</template
      >
      <template v-else>
        Of {{ rows(outcome?.rows ?? 0) }}, {{ parts || 'none was new' }}.
        <template v-if="mothers">
          Made with them: {{ mothers }}. Count their leafy shoots in
          <RouterLink class="link" :to="{ name: 'stock' }">Stock</RouterLink>, so that their room is known.
        </template></template
      >
      <RouterLink v-if="table === 'layers' || table === 'records'" class="link ml-2" :to="{ name: 'layers' }"
        >See the layers</RouterLink
      >
    </p>
    <p v-else-if="file.state === 'FAILED'" class="text-lg" role="alert">
      It was cut off, and nothing was written. Look through it again.
    </p>
    <template v-else-if="outcome && !changed">
      <p v-if="outcome.broken" class="border-l-4 border-rust bg-rust-pale p-3" role="alert">
        {{ outcome.broken }}
      </p>
      <p v-if="outcome.badRows" class="text-lg" role="alert" data-testid="bad-rows">
        <b>{{ capital(rows(outcome.badRows)) }} of {{ outcome.rows }} can’t be taken, so nothing will be.</b>
        Mend {{ outcome.badRows === 1 ? 'it' : 'them' }} in the file and choose it again, or change how it is
        read below.
      </p>
      <p v-else-if="!outcome.broken && outcome.rows" class="text-lg" data-testid="good-rows">
        <template v-if="file.nursery">
          The file is sound: {{ rows(outcome.rows) }} of {{ file.name }} can take the place of this nursery.
        </template>
        <template v-else>
          <b>All {{ rows(outcome.rows) }} can be taken</b> as {{ name }}: {{ parts }}.
        </template>
      </p>
      <p v-else-if="!outcome.broken" class="text-lg" role="alert">There is a header in it, and no row.</p>
      <p v-if="mothers && !outcome.badRows" class="mt-1" data-testid="new-mothers">
        {{ capital(count(outcome.mothersMade, 'mother is', 'mothers are')) }} not here yet and
        {{ outcome.mothersMade === 1 ? 'is' : 'are' }} made with them: {{ mothers }}. Is each of them one
        plant, written the same way throughout?
      </p>
      <ul
        v-if="outcome.bad.length"
        class="mt-2 max-h-72 overflow-y-auto border-y border-line"
        tabindex="0"
        aria-label="What is wrong"
        data-testid="bad-cells"
      >
        <li
          v-for="bad in outcome.bad"
          :key="`${bad.line} ${bad.column} ${bad.message}`"
          class="border-b border-line py-1 last:border-0"
        >
          <b
            ><template v-if="bad.line">Line {{ bad.line }}</template
            ><template v-if="bad.column">{{ bad.line ? ', ' : '' }}{{ columnWords(bad.column) }}</template></b
          ><template v-if="bad.value"> (“{{ bad.value }}”)</template>: {{ bad.message }}
        </li>
      </ul>
    </template>
    <p v-else-if="missing.length" class="text-lg">
      Say below where
      <template v-for="(one, i) in missing" :key="one"
        ><template v-if="i">{{ i === missing.length - 1 ? ' and ' : ', ' }}</template
        ><b>{{ columnWords(one) }}</b></template
      >
      {{ missing.length === 1 ? 'comes' : 'come' }} from.
    </p>
    <p v-else class="text-lg">
      Look through it to see what would become of every row. Nothing is written by that.
    </p>
  </div>
</template>
