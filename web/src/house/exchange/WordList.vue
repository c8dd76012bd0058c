<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { watch } from 'vue'
import { meaning } from './meaning'
import type { Name } from './useNames'
import { importWords } from '@/shared/api/exchange'

/** What the file's own words mean here: each is found once, however many rows have it. */
const props = defineProps<{
  fileId: string
  from: string
  names: Name[]
  closed: boolean
  /** what a word is that none of the names is meant by; empty if it must be one of them */
  fresh: string
  values: Record<string, string>
}>()
const emit = defineEmits<{ change: [values: Record<string, string>] }>()
const { data: words } = useQuery(
  importWords(
    () => props.fileId,
    () => props.from,
  ),
)
const known = (word: string) => props.names.some(([value]) => value === word)

// what a word plainly means is filled in, to be seen and changed
watch(
  () => words.value && props.names.length > 0,
  (ready) => {
    if (!ready) return
    const values = { ...props.values }
    for (const { word } of words.value ?? []) {
      const meant = values[word] || known(word) ? undefined : meaning(word, props.names)
      if (meant) values[word] = meant
    }
    if (Object.keys(values).length > Object.keys(props.values).length) emit('change', values)
  },
  { immediate: true },
)

function set(word: string, meant: string): void {
  const values = { ...props.values }
  if (meant === '' || meant === word) delete values[word]
  else values[word] = meant
  emit('change', values)
}
const text = (event: Event) => (event.target as HTMLInputElement | HTMLSelectElement).value
</script>

<template>
  <ul class="max-h-80 overflow-y-auto border-l-2 border-line pl-3" data-testid="words">
    <li v-for="one in words" :key="one.word" class="grid items-center gap-2 py-1 sm:grid-cols-[1fr_15rem]">
      <span class="break-words"
        >“{{ one.word }}”
        <span class="text-muted">in {{ one.rows }} {{ one.rows === 1 ? 'row' : 'rows' }}</span></span
      >
      <select
        v-if="closed"
        class="input"
        :value="values[one.word] ?? (known(one.word) ? one.word : '')"
        :aria-label="`${one.word} means`"
        @change="set(one.word, text($event))"
      >
        <option value="">{{ known(one.word) ? one.word : fresh || 'Choose what it means' }}</option>
        <option v-for="[value, word] in names" :key="value" :value="value">{{ word }}</option>
      </select>
      <input
        v-else
        class="input"
        :value="values[one.word] ?? ''"
        :aria-label="`${one.word} means`"
        :placeholder="one.word"
        @change="set(one.word, text($event))"
      />
    </li>
    <li v-if="words && words.length >= 200" class="text-muted">and more: the first 200 are shown</li>
  </ul>
</template>
