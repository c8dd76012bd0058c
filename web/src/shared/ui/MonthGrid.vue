<script setup lang="ts">
import { computed, nextTick, onMounted, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { addDays, longDay, monthText, weekdayText } from '@/shared/dates'

/** A month to click, by weeks from Monday; the arrows go from day to day, Page Up and Page Down from month to month. */
const props = defineProps<{
  day: string
  today: string
  min?: string | undefined
  max?: string | undefined
}>()
const emit = defineEmits<{ pick: [day: string] }>()
const { t } = useI18n()
const grid = ref<HTMLElement | null>(null)
const at = ref(clamped(props.day))
const WEEK = 7
const MONDAY = '2026-07-06'

function clamped(day: string): string {
  if (props.min && day < props.min) return props.min
  return props.max && day > props.max ? props.max : day
}

const weeks = computed(() => {
  const first = `${at.value.slice(0, 7)}-01`
  const weekday = (new Date(`${first}T00:00:00Z`).getUTCDay() + 6) % WEEK
  let day = addDays(first, -weekday)
  const all: string[][] = []
  do {
    all.push(Array.from({ length: WEEK }, (_, i) => addDays(day, i)))
    day = addDays(day, WEEK)
  } while (day.slice(0, 7) === at.value.slice(0, 7))
  return all
})

const isOut = (day: string) => (!!props.min && day < props.min) || (!!props.max && day > props.max)

/** The same day of another month, or that month's last. */
function month(by: number): string {
  const [year, of, day] = at.value.split('-').map(Number) as [number, number, number]
  const last = new Date(Date.UTC(year, of + by, 0)).getUTCDate()
  return new Date(Date.UTC(year, of - 1 + by, Math.min(day, last))).toISOString().slice(0, 10)
}

async function go(day: string): Promise<void> {
  at.value = clamped(day)
  await nextTick()
  grid.value?.querySelector<HTMLElement>(`[data-day="${at.value}"]`)?.focus()
}

const MOVES: Record<string, () => string> = {
  ArrowLeft: () => addDays(at.value, -1),
  ArrowRight: () => addDays(at.value, 1),
  ArrowUp: () => addDays(at.value, -WEEK),
  ArrowDown: () => addDays(at.value, WEEK),
  PageUp: () => month(-1),
  PageDown: () => month(1),
}

function key(event: KeyboardEvent): void {
  const move = MOVES[event.key]
  if (!move) return
  event.preventDefault()
  void go(move())
}

onMounted(() => void go(at.value))
</script>

<template>
  <div>
    <div class="flex items-center justify-between">
      <button
        type="button"
        class="btn min-h-12 px-3"
        :aria-label="t('when.monthBefore')"
        @click="go(month(-1))"
      >
        ‹
      </button>
      <b aria-live="polite">{{ monthText(at) }}</b>
      <button
        type="button"
        class="btn min-h-12 px-3"
        :aria-label="t('when.monthAfter')"
        @click="go(month(1))"
      >
        ›
      </button>
    </div>
    <table ref="grid" class="mt-2 border-collapse" @keydown="key">
      <thead>
        <tr>
          <th v-for="i in WEEK" :key="i" scope="col" class="w-11 text-center text-sm font-normal text-muted">
            {{ weekdayText(addDays(MONDAY, i - 1)).slice(0, 2) }}
          </th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="week in weeks" :key="week[0]">
          <td v-for="one in week" :key="one" class="p-0">
            <button
              v-if="one.slice(0, 7) === at.slice(0, 7)"
              type="button"
              class="size-11 border-2"
              :class="[
                one === day ? 'border-lichen bg-lichen-pale font-bold' : 'border-transparent',
                isOut(one) ? 'text-muted line-through' : 'cursor-pointer',
                one === today ? 'underline' : '',
              ]"
              :data-day="one"
              :tabindex="one === at ? 0 : -1"
              :disabled="isOut(one)"
              :aria-label="`${weekdayText(one)} ${longDay(one)}`"
              :aria-current="one === today ? 'date' : undefined"
              @click="emit('pick', one)"
            >
              {{ Number(one.slice(8)) }}
            </button>
          </td>
        </tr>
      </tbody>
    </table>
  </div>
</template>
