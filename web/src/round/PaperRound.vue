<script setup lang="ts">
import { computed, reactive, ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { STAGES } from '@/shared/api/codes'
import { addDays, longDay, weekdayText } from '@/shared/dates'
import { useOutbox } from '@/shared/device/outbox'
import { useSession } from '@/shared/session'
import DayField from '@/shared/ui/DayField.vue'
import { toast } from '@/shared/ui/toasts'
import { capital, CONDITIONS, STAGE_WORDS, WORKS } from '@/shared/words'
import { recordsOf, type PaperRow } from './paperRow'
import { useWalk } from './useWalk'

/** A round that was walked with paper, typed afterwards: all of it dated as it was walked. */
const { t } = useI18n()
const session = useSession()
const outbox = useOutbox()
const { round, jobs, cards } = useWalk(ref(''))
/** As far back as a round on paper is typed, days. */
const MAX_DAYS_BACK = 60
const day = ref('')
const more = ref('')
const saving = ref(false)
const rows = reactive<PaperRow[]>([])
const opened = ref('')
/** what was refused, by code */
const refused = ref<{ code: string; words: string }[]>([])

const blank = (code: string, job = ''): PaperRow => ({
  code,
  job,
  stage: '',
  fill: '',
  conditions: [],
  watered: false,
  done: false,
  note: '',
})
watch(
  jobs,
  (all) => {
    for (const job of all) if (!rows.some((row) => row.code === job.code)) rows.push(blank(job.code, job.job))
  },
  { immediate: true },
)
const due = (code: string) => jobs.value.find((one) => one.code === code)
const isWork = (job: string) => WORKS.some(([code]) => code === job)
/** What is off its mother is looked at on its own page. */
const isOnMother = (code: string) => (cards.get(code)?.phase ?? 'ON_MOTHER') === 'ON_MOTHER'
const filled = computed(() => rows.filter((row) => recordsOf(row).length))
const count = computed(() => filled.value.reduce((sum, row) => sum + recordsOf(row).length, 0))

function add(): void {
  const typed = more.value.trim().toUpperCase()
  if (!typed) return
  const code = typed.length === 5 && !typed.includes('-') ? `${typed.slice(0, 3)}-${typed.slice(3)}` : typed
  if (!rows.some((row) => row.code === code)) rows.push(blank(code))
  more.value = ''
}

function toggle(row: PaperRow, code: string): void {
  row.conditions = row.conditions.includes(code)
    ? row.conditions.filter((one) => one !== code)
    : [...row.conditions, code]
}

async function keep(): Promise<void> {
  if (!day.value) return
  saving.value = true
  refused.value = []
  const dated = day.value === session.today ? {} : { occurredOn: day.value }
  const all = count.value
  for (const row of [...filled.value]) {
    for (const what of recordsOf(row)) {
      const outcome = await outbox.record({ codes: [row.code], ...what, ...dated })
      if (outcome && 'problem' in outcome) {
        const words = [outcome.problem.detail, ...outcome.problem.violations.map((one) => one.message)]
        refused.value.push({ code: row.code, words: words.join(' ') })
      }
    }
    if (!refused.value.some((one) => one.code === row.code)) Object.assign(row, blank(row.code, row.job))
  }
  saving.value = false
  const kept = all - refused.value.length
  toast(t('paper.kept', { count: kept, day: longDay(day.value) }, kept))
}
</script>

<template>
  <h1 class="text-2xl">{{ t('paper.title') }}</h1>
  <p class="mt-1 max-w-3xl text-muted">{{ t('paper.how') }}</p>
  <DayField
    v-model="day"
    class="mt-4 max-w-xs"
    :label="t('paper.walkedOn')"
    :min="addDays(session.today, -MAX_DAYS_BACK)"
    :max="session.today"
    :hint="t('when.hint')"
  />
  <form class="mt-5" @submit.prevent="keep">
    <p v-if="round && !rows.length" class="panel">{{ t('paper.nothing') }}</p>
    <div
      v-for="row in rows"
      :key="row.code"
      role="group"
      :aria-label="row.code"
      class="grid grid-cols-2 items-end gap-x-3 gap-y-1 border-b border-line py-2 lg:grid-cols-[11rem_11rem_6rem_auto_auto_minmax(0,1fr)]"
      data-testid="paper-row"
    >
      <p class="col-span-2 lg:col-span-1">
        <b>{{ row.code }}</b>
        <span v-if="due(row.code)" class="block text-sm"
          >{{ capital(due(row.code)!.species) }}: {{ due(row.code)!.label.toLowerCase() }}</span
        >
      </p>
      <label v-if="isOnMother(row.code)" class="grid gap-1 text-sm">
        {{ t('paper.seen') }}
        <select v-model="row.stage" class="input">
          <option value="">{{ t('paper.notLooked') }}</option>
          <option v-for="stage in STAGES" :key="stage" :value="stage">{{ STAGE_WORDS[stage] }}</option>
          <option value="WRAP">{{ t('look.wrapOnly') }}</option>
        </select>
      </label>
      <label v-if="isOnMother(row.code)" class="grid gap-1 text-sm">
        {{ t('paper.fill') }}
        <input
          v-model="row.fill"
          class="input"
          inputmode="numeric"
          :disabled="!row.stage || row.stage === 'WRAP'"
          :placeholder="t('notSaid.option').toLowerCase()"
        />
      </label>
      <label v-if="isOnMother(row.code)" class="flex min-h-12 items-center gap-2">
        <input v-model="row.watered" type="checkbox" class="size-6 accent-lichen" />
        {{ t('paper.watered') }}
      </label>
      <label v-if="isWork(row.job)" class="flex min-h-12 items-center gap-2">
        <input v-model="row.done" type="checkbox" class="size-6 accent-lichen" />
        {{ t('paper.done', { what: due(row.code)?.label ?? '' }) }}
      </label>
      <div class="col-span-2 flex flex-wrap items-center gap-2 lg:col-span-1 lg:col-start-6">
        <button
          v-if="row.stage"
          type="button"
          class="link min-h-12 text-left"
          :aria-expanded="opened === row.code"
          @click="opened = opened === row.code ? '' : row.code"
        >
          {{
            row.conditions.length
              ? row.conditions.map((code) => CONDITIONS.find(([one]) => one === code)?.[1]).join(', ')
              : t('paper.nothingWrong')
          }}
        </button>
        <input
          v-model="row.note"
          class="input min-w-40 grow basis-40"
          maxlength="1000"
          :aria-label="t('paper.noteOn', { code: row.code })"
          :placeholder="t('paper.note')"
        />
      </div>
      <div
        v-if="opened === row.code"
        class="col-span-full flex flex-wrap gap-1.5"
        role="group"
        :aria-label="t('paper.wrongOn', { code: row.code })"
      >
        <button
          v-for="[code, text] in CONDITIONS"
          :key="code"
          type="button"
          class="chip"
          :aria-pressed="row.conditions.includes(code)"
          @click="toggle(row, code)"
        >
          {{ text }}
        </button>
      </div>
    </div>
    <div class="mt-3 flex flex-wrap items-end gap-2">
      <label class="grid gap-1">
        <span class="font-bold">{{ t('paper.another') }}</span>
        <input v-model="more" class="input" autocapitalize="characters" @keydown.enter.prevent="add" />
      </label>
      <button type="button" class="btn" @click="add">{{ t('paper.addRow') }}</button>
    </div>
    <ul v-if="refused.length" class="mt-4 border-l-8 border-rust bg-rust-pale p-3" role="alert">
      <li v-for="one in refused" :key="one.code">
        <b>{{ one.code }}</b> {{ one.words }}
      </li>
    </ul>
    <p class="mt-4">
      <button
        v-if="session.mayRecord"
        class="btn btn-main"
        :disabled="saving || !day || !count"
        data-testid="keep-paper"
      >
        {{
          day && count
            ? t('paper.keep', { count, day: `${weekdayText(day)} ${longDay(day)}` }, count)
            : t(day ? 'paper.keepNone' : 'paper.keepNoDay')
        }}
      </button>
    </p>
  </form>
</template>
