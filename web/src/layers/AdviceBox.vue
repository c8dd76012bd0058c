<script setup lang="ts">
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { dayText } from '@/shared/dates'
import type { Card } from '@/shared/device/useCards'
import { show } from '@/shared/quantity'
import { useSession } from '@/shared/session'
import { word, WORKS } from '@/shared/words'
import type { NewRecord } from '@/records/newRecord'

/** What to do with it now, in a sentence, with what is to be done beside; each of it recorded where it stands. */
const props = defineProps<{ layer: Card; saving: boolean }>()
const emit = defineEmits<{ keep: [what: NewRecord]; other: [kind: string] }>()
const session = useSession()
const { t } = useI18n()

/** The work of the step, while it is to be done: what was done, or is not wanted yet, is not asked for. */
const workOf = computed(() => {
  const { jobs, advice, asOf } = props.layer
  const isDue = jobs.some((job) => job.code === advice.step && job.from <= asOf)
  return isDue ? WORKS.find(([code]) => code === advice.step)?.[0] : undefined
})
const tones: Record<string, string> = {
  CALM: 'border-lichen bg-lichen-pale',
  ACT: 'border-sap bg-sap-pale',
  URGENT: 'border-rust bg-rust-pale',
  DONE: 'border-bark bg-card',
}
const isCutOff = computed(() => !props.layer.recipe.way.staysOnMother)

function begin(): void {
  const step = props.layer.advice.step
  if (!step) return
  if (workOf.value) emit('keep', { kind: 'TENDED', details: { work: workOf.value, cover: null } })
  else if (step === 'RERING') emit('other', 'RERUNG')
  else if (step === 'LOST' || step === 'ABANDON') emit('other', 'LOST')
  else emit('other', 'SEVERED')
}

/** A limb that was pinned down or darkened and made no roots can still be ringed. */
const mayBecomeAir = computed(
  () =>
    (props.layer.recipe.way.goesOnAsAir &&
      ['RERING', 'ABANDON', 'NEXT_SEASON'].includes(props.layer.advice.step ?? '')) ||
    (props.layer.recipe.method === 'FOIL_START' && props.layer.stage !== 'NONE'),
)

const beginLabel = computed(() => {
  const step = props.layer.advice.step ?? ''
  if (workOf.value) return `Done: ${word(WORKS, workOf.value).toLowerCase()}`
  if (step === 'RERING') return isCutOff.value ? 'Record the fresh cut' : 'Record the new ring'
  if (step === 'LOST' || step === 'ABANDON') return 'Record the loss'
  if (step.startsWith('SEVER') || step === 'GAMBLE' || step === 'RESCUE') {
    return isCutOff.value ? 'Record taking it up' : 'Record the severing'
  }
  return ''
})

const dueWater = computed(() =>
  props.layer.jobs.find((job) => job.code === 'TOP_UP' && job.from <= props.layer.asOf),
)
const dueStub = computed(() => props.layer.jobs.find((job) => job.code === 'TIDY_STUB'))
const leader = ref('')
const due = (job: { daysLate: number; by: string }) =>
  job.daysLate ? t('late', job.daysLate) : `by ${dayText(job.by, props.layer.asOf)}`

function topUp(): void {
  if (props.layer.recipe.method === 'JAR') {
    emit('keep', { kind: 'TENDED', details: { work: 'CHANGE_WATER', cover: null } })
    return
  }
  emit('keep', { kind: 'TOPPED_UP', details: { waterMl: Math.round(props.layer.suggested.waterMl) } })
}

function doAlso(also: Card['alsoDo'][number]): void {
  const work = also.code === 'COVER_NOW' ? 'COVER' : also.code
  emit('keep', { kind: 'TENDED', details: { work, cover: also.cover } })
}
</script>

<template>
  <section class="border-l-8 p-4" :class="tones[layer.advice.tone]" data-testid="advice">
    <p class="text-xl font-bold">{{ layer.advice.headline }}</p>
    <p v-for="reason in layer.advice.because" :key="reason">{{ reason }}</p>
    <p v-if="layer.species.hazards && layer.phase === 'ON_MOTHER'" class="mt-1">
      <b>Caution:</b> {{ layer.species.hazards }}.
    </p>
    <div class="flex flex-wrap items-center gap-x-4" :class="{ 'mt-2': session.mayRecord && beginLabel }">
      <button
        v-if="session.mayRecord && beginLabel"
        class="btn btn-main"
        :disabled="saving"
        data-testid="do-step"
        @click="begin"
      >
        {{ beginLabel }}
      </button>
      <button
        v-if="session.mayRecord && mayBecomeAir"
        type="button"
        class="btn"
        :disabled="saving"
        data-testid="as-air"
        @click="emit('other', 'RERUNG')"
      >
        {{ t('madeBy.ringHere') }}
      </button>
      <slot name="why"></slot>
    </div>
    <slot></slot>
  </section>

  <ul v-if="layer.alsoDo.length" class="mt-2 grid gap-2">
    <li
      v-for="also in layer.alsoDo"
      :key="also.code"
      class="flex flex-wrap items-center justify-between gap-2 border-l-8 border-sap bg-sap-pale py-1 pr-2 pl-4"
    >
      <span>{{ also.sentence }}</span>
      <button
        v-if="session.mayRecord && also.code === 'PROP'"
        type="button"
        class="btn"
        :disabled="saving"
        data-testid="rest-tip"
        @click="emit('keep', { kind: 'TENDED', details: { work: 'REST_TIP', cover: null } })"
      >
        {{ t('load.restsNow') }}
      </button>
      <button
        v-if="session.mayRecord"
        class="btn"
        :disabled="saving"
        :data-testid="`also-${also.code}`"
        @click="doAlso(also)"
      >
        {{ also.code === 'PROP' ? t('load.propped') : 'Done' }}
      </button>
    </li>
  </ul>

  <div
    v-if="dueWater"
    class="mt-2 flex flex-wrap items-center justify-between gap-2 border-l-8 border-water bg-water-pale py-1 pr-2 pl-4"
  >
    <span>
      <b>{{ dueWater.label }}</b><template v-if="layer.recipe.method !== 'JAR'">
        {{ ` ${show(layer.suggested.waterMl, 'volume', session.units)}` }}</template
      >: {{ due(dueWater) }}.
    </span>
    <button v-if="session.mayRecord" class="btn" :disabled="saving" data-testid="top-up" @click="topUp">
      Done
    </button>
  </div>
  <div
    v-if="dueStub"
    class="mt-2 flex flex-wrap items-center justify-between gap-2 border-l-8 border-bark bg-card py-1 pr-2 pl-4"
  >
    <span>
      <b>{{ layer.mother.code }}:</b> shorten the stub to a bud or shoot and note the new leader,
      {{ due(dueStub) }}.
      <template v-if="layer.plant?.motherAgainOn"
        >That limb may be ringed again from about
        {{ dayText(layer.plant.motherAgainOn, layer.asOf) }}.</template
      >
    </span>
    <form
      v-if="session.mayRecord"
      class="flex grow flex-wrap items-center justify-end gap-2"
      @submit.prevent="
        emit('keep', { kind: 'TENDED', details: { work: 'TIDY_STUB', cover: null }, note: leader.trim() })
      "
    >
      <label class="grow basis-40 sm:max-w-72">
        <span class="sr-only">New leader</span>
        <input v-model="leader" class="input" maxlength="200" placeholder="New leader" />
      </label>
      <button class="btn" :disabled="saving" data-testid="tidy-stub">Done</button>
    </form>
  </div>
</template>
