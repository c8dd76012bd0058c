<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { addDays, longDay, weekdayText } from '@/shared/dates'
import Choice from '@/shared/ui/Choice.vue'
import DayField from '@/shared/ui/DayField.vue'

/** When it was done: today, yesterday, or a day that is typed, as of a round on paper. */
const props = defineProps<{ today: string; earliest: string; label?: string }>()
/** the day; null while what is typed is none */
const day = defineModel<string | null>({ required: true })
const { t } = useI18n()
const OTHER = 'OTHER'
const yesterday = computed(() => addDays(props.today, -1))
const chosen = ref(wayOf(day.value))
const typed = ref(chosen.value === OTHER ? (day.value ?? '') : '')

function wayOf(one: string | null): string {
  return one === props.today || one === yesterday.value ? one : OTHER
}

const ways = computed<[string, string][]>(() => [
  [props.today, t('when.today')],
  ...(yesterday.value >= props.earliest ? [[yesterday.value, t('when.yesterday')] as [string, string]] : []),
  [OTHER, t('when.otherDay')],
])
watch([chosen, typed], ([way, other]) => {
  day.value = way === OTHER ? other || null : way
})
watch(
  () => props.today,
  (now, before) => {
    if (chosen.value === before) chosen.value = now
  },
)
</script>

<template>
  <div class="flex flex-wrap items-center gap-x-3 gap-y-2" data-testid="when">
    <b aria-hidden="true">{{ label ?? t('when.label') }}</b>
    <Choice v-model="chosen" hide-label :label="label ?? t('when.label')" :options="ways" />
    <DayField
      v-if="chosen === OTHER"
      v-model="typed"
      :label="t('when.day')"
      :min="earliest"
      :max="today"
      :hint="t('when.hint')"
    />
    <p v-if="day && day !== today" class="w-full font-bold" data-testid="dated">
      {{ t('when.dated', { day: `${weekdayText(day)} ${longDay(day)}` }) }}
    </p>
  </div>
</template>
