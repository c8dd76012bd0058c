<script setup lang="ts">
import { Popover, PopoverButton, PopoverPanel } from '@headlessui/vue'
import { computed, ref, useId, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { longDay, weekdayText } from '@/shared/dates'
import { readDay } from '@/shared/day'
import { useSession } from '@/shared/session'
import MonthGrid from './MonthGrid.vue'

/**
 * A day, as the rest of the product shows it. It is typed as people say it, or picked from a month; what can be read in
 * two ways is asked.
 */
const props = defineProps<{
  label: string
  hideLabel?: boolean
  error?: string | undefined
  hint?: string
  min?: string | undefined
  max?: string | undefined
  /** whether a day without its year lies ahead */
  ahead?: boolean
  disabled?: boolean
}>()
/** as 2026-07-10; empty while there is none, or none that is understood */
const day = defineModel<string>({ required: true })
/** what was typed and is no day yet; empty otherwise */
const unread = defineModel<string>('unread', { default: '' })
/** somebody is done with typing it, or has picked it */
const emit = defineEmits<{ settled: [day: string] }>()
const { t } = useI18n()
const session = useSession()
const about = useId()
const typed = ref(day.value ? longDay(day.value) : '')

const isIn = (one: string) => (!props.min || one >= props.min) && (!props.max || one <= props.max)
const read = computed(() => {
  const now = readDay(typed.value, session.today, props.ahead)
  if (now.is !== 'two') return now
  // one that can't be meant leaves no question
  const possible = now.days.filter(isIn)
  return possible.length === 1 ? { is: 'day' as const, day: possible[0]! } : now
})
const says = computed(() => {
  if (read.value.is === 'none') return t('when.noSuchDay')
  if (read.value.is === 'unreadable') return t('when.unreadable')
  if (read.value.is !== 'day' || isIn(read.value.day)) return ''
  if (props.min && props.max)
    return t('when.between', { first: longDay(props.min), last: longDay(props.max) })
  return props.max
    ? t('when.latest', { last: longDay(props.max) })
    : t('when.earliest', { first: longDay(props.min!) })
})
const isGood = computed(() => read.value.is === 'day' && isIn(read.value.day))

watch(read, (now) => {
  const next = now.is === 'day' && isIn(now.day) ? now.day : ''
  if (next !== day.value) day.value = next
  unread.value = next ? '' : typed.value.trim()
})
watch(day, (now) => {
  const isRead = read.value.is === 'day' && read.value.day === now
  if (now && !isRead) typed.value = longDay(now)
  if (!now && isGood.value) typed.value = ''
})

/** What was understood stands there as everything else shows a day. */
function settle(): void {
  if (!isGood.value || read.value.is !== 'day') return
  const one = read.value.day
  typed.value = longDay(one)
  emit('settled', one)
}

function pick(one: string): void {
  typed.value = longDay(one)
  day.value = one
  unread.value = ''
  emit('settled', one)
}
</script>

<template>
  <div class="grid content-start gap-1">
    <div class="grid gap-1">
      <label :for="`${about}-day`" :class="hideLabel ? 'sr-only' : 'font-bold'">{{ label }}</label>
      <Popover v-slot="{ close }" class="relative flex items-stretch gap-1">
        <input
          :id="`${about}-day`"
          v-model="typed"
          class="input min-w-36"
          autocomplete="off"
          :placeholder="t('when.example')"
          :disabled="disabled"
          :aria-invalid="error || says ? 'true' : undefined"
          :aria-describedby="about"
          @change="settle"
        />
        <PopoverButton
          class="btn min-h-12 shrink-0 px-3"
          :disabled="disabled"
          :aria-label="t('when.pick', { label })"
        >
          <svg
            viewBox="0 0 20 20"
            class="size-5"
            aria-hidden="true"
            fill="none"
            stroke="currentColor"
            stroke-width="2"
          >
            <path d="M2 4h16v14H2zM2 8h16M6 1v4M14 1v4" />
          </svg>
        </PopoverButton>
        <PopoverPanel
          focus
          class="absolute top-full left-0 z-20 mt-1 border-2 border-bark bg-card p-3 shadow-lg"
        >
          <MonthGrid
            :day="day || max || session.today"
            :today="session.today"
            :min="min"
            :max="max"
            @pick="(pick($event), close())"
          />
        </PopoverPanel>
      </Popover>
    </div>
    <div :id="about" aria-live="polite">
      <p v-if="error || says" class="text-sm font-bold text-rust">{{ error || says }}</p>
      <div
        v-else-if="read.is === 'two'"
        class="flex flex-wrap items-center gap-2 text-sm"
        data-testid="which-day"
      >
        <b>{{ t('when.which') }}</b>
        <button v-for="one in read.days" :key="one" type="button" class="chip" @click="pick(one)">
          {{ longDay(one) }}
        </button>
      </div>
      <p v-else-if="read.is === 'day' && typed !== longDay(read.day)" class="eyebrow" data-testid="read-day">
        {{ weekdayText(read.day) }} {{ longDay(read.day) }}
      </p>
      <p v-else-if="hint" class="eyebrow">{{ hint }}</p>
    </div>
  </div>
</template>
