<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import type { Schemas } from '@/shared/api/client'
import type { Source } from './mapping'
import WordList from './WordList.vue'
import { isClosed, useNames } from './useNames'
import { codeWords, columnWords } from './words'

/** One column of the table: a column of the file, or the same in every row. */
const props = defineProps<{
  column: Schemas['ColumnView']
  file: Schemas['ImportView']
  source: Source | null
  /** whether a mother that is not here is made with its layers */
  makesMothers: boolean
}>()
const emit = defineEmits<{ change: [source: Source | null] }>()
const ALWAYS = '\u0000always'
const names = useNames(() => props.column)
const words = ref(false)
const from = computed(() => (props.source ? (props.source.from ?? ALWAYS) : ''))
const sample = computed(() => {
  const index = props.file.header.indexOf(props.source?.from ?? '')
  const some = props.file.sample.map((row) => row[index] ?? '').filter((text) => text.trim() !== '')
  return [...new Set(some)].slice(0, 3).join(' · ')
})
const DATES: [string, string][] = [
  ['YEAR_MONTH_DAY', '2026-07-10'],
  ['DAY_MONTH_YEAR', '10.07.2026 (day first)'],
  ['MONTH_DAY_YEAR', '07/10/2026 (month first)'],
]
const hint = computed(() => {
  const { codes, kind, range, example } = props.column
  if (codes.length) return codes.map(codeWords).join(', ')
  if (kind === 'NAME') return range || 'the name of one that is here'
  return range || (kind === 'TEXT' ? 'any text' : `like ${example}`)
})
const hasWords = computed(
  () =>
    props.source?.from &&
    (isClosed(props.column) || props.column.kind === 'NAME') &&
    props.column.name !== 'code',
)
const fresh = computed(() => (props.makesMothers && props.column.name === 'mother' ? 'A new mother' : ''))

const same = (code: string, word: string) =>
  code === word || code === word.toUpperCase().replaceAll(/[\s-]+/g, '_')
// words that mean nothing here yet ask for their meaning by themselves
watch(
  [names, () => props.source?.from],
  () => {
    const index = props.file.header.indexOf(props.source?.from ?? '')
    const unknown = (row: string[]) => {
      const word = (row[index] ?? '').trim()
      return word !== '' && !props.source?.values[word] && !names.value.some(([value]) => same(value, word))
    }
    if (hasWords.value && names.value.length && props.file.sample.some(unknown)) words.value = true
  },
  { immediate: true },
)

function choose(value: string): void {
  if (value === '') emit('change', null)
  else
    emit('change', {
      column: props.column.name,
      from: value === ALWAYS ? null : value,
      always: value === ALWAYS ? (props.source?.always ?? '') : null,
      unit: props.source?.unit ?? null,
      dates: props.source?.dates ?? null,
      values: {},
    })
}

function edit(part: Partial<Source>): void {
  if (props.source) emit('change', { ...props.source, ...part })
}
const text = (event: Event) => (event.target as HTMLInputElement | HTMLSelectElement).value
</script>

<template>
  <li
    class="grid items-start gap-x-4 gap-y-1 border-b border-line py-2 sm:grid-cols-[11rem_15rem_1fr]"
    :data-column="column.name"
  >
    <span class="flex min-h-12 items-center gap-1"
      ><b>{{ columnWords(column.name) }}</b>
      <span v-if="column.needed" class="text-muted"> (needed)</span></span
    >
    <select
      class="input"
      :value="from"
      :aria-label="`${columnWords(column.name)} comes from`"
      @change="choose(text($event))"
    >
      <option value="">{{ column.needed ? 'Choose its column' : 'Not in the file' }}</option>
      <option v-for="name in file.header" :key="name" :value="name">{{ name }}</option>
      <option :value="ALWAYS">The same in every row</option>
    </select>
    <div class="grid gap-2">
      <template v-if="from === ALWAYS">
        <select
          v-if="isClosed(column)"
          class="input"
          :value="source?.always ?? ''"
          :aria-label="`${columnWords(column.name)} in every row`"
          @change="edit({ always: text($event) })"
        >
          <option value="">Choose</option>
          <option v-for="[value, word] in names" :key="value" :value="value">{{ word }}</option>
        </select>
        <input
          v-else
          class="input"
          :value="source?.always ?? ''"
          :placeholder="column.example"
          :aria-label="`${columnWords(column.name)} in every row`"
          @change="edit({ always: text($event) })"
        />
      </template>
      <template v-else-if="source">
        <div class="flex min-h-12 flex-wrap items-center gap-x-4 gap-y-2">
          <span class="text-muted break-all">{{ sample || 'empty in the first rows' }}</span>
          <label v-if="column.units.length > 1" class="flex items-center gap-2">
            <span>in</span>
            <select
              class="input w-28"
              :value="source.unit ?? column.units[0]"
              :aria-label="`Unit of ${columnWords(column.name)}`"
              @change="edit({ unit: text($event) === column.units[0] ? null : text($event) })"
            >
              <option v-for="unit in column.units" :key="unit" :value="unit">{{ unit }}</option>
            </select>
          </label>
          <label v-if="column.kind === 'DATE'" class="flex items-center gap-2">
            <span>written</span>
            <select
              class="input w-56"
              :value="source.dates ?? 'YEAR_MONTH_DAY'"
              :aria-label="`How ${columnWords(column.name)} is written`"
              @change="edit({ dates: text($event) as Source['dates'] })"
            >
              <option v-for="[value, word] in DATES" :key="value" :value="value">{{ word }}</option>
            </select>
          </label>
          <button v-if="hasWords" class="link min-h-10" :aria-expanded="words" @click="words = !words">
            {{ words ? 'Close its words' : 'What its words mean' }}
          </button>
        </div>
        <WordList
          v-if="words && hasWords"
          :file-id="file.id"
          :from="source.from ?? ''"
          :names="names"
          :closed="isClosed(column)"
          :fresh="fresh"
          :values="source.values"
          @change="edit({ values: $event })"
        />
      </template>
      <span v-else class="flex min-h-12 items-center text-muted">{{ hint }}</span>
    </div>
  </li>
</template>
