<script setup lang="ts">
import { RadioGroup, RadioGroupLabel, RadioGroupOption } from '@headlessui/vue'
import { computed, nextTick, ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { STAGES } from '@/shared/api/codes'
import type { Schemas } from '@/shared/api/client'
import Choice from '@/shared/ui/Choice.vue'
import { CONDITIONS, OPENERS, SIDES, STAGE_HINTS, STAGE_WORDS } from '@/shared/words'
import SectorRing from '@/stem/SectorRing.vue'
import type { Card } from '@/shared/device/useCards'
import PhotoButton from './PhotoButton.vue'
import StagePicture from './StagePicture.vue'
import type { NewRecord } from './newRecord'

/** A look in a few taps; it begins with what was seen last time. */
const props = defineProps<{
  layer: Card
  saving: boolean
  /** whether what keeps it stays where the thumb is */
  thumb?: boolean
  /** a look that was recorded wrong, to be put right */
  wrong?: Schemas['Looked']
}>()
const emit = defineEmits<{ keep: [what: NewRecord]; other: [kind: string] }>()

const { t } = useI18n()
/** In place of a stage: the wrap alone was looked at. */
const WRAP = 'WRAP'
const stage = ref('')
/** null while nobody has touched them: then they are as last time, or not said */
const sectors = ref<number[] | null>(null)
const fill = ref<number | null>(null)
const conditions = ref<string[]>([])
const openedBy = ref('')
const bareSide = ref('')
const note = ref('')
const noting = ref(false)
const photo = ref<Blob | null>(null)
const noteField = ref<HTMLInputElement | null>(null)

/** From this chance on the stage of last time is offered again; below it what is likeliest now is. */
const LIKELY = 0.2

function likeliestOf(layer: Card): { stage: string; p: number } {
  return layer.odds.reduce((a, b) => (b.p > a.p ? b : a), { stage: layer.stage as string, p: 0 })
}

function isLastLikely(layer: Card): boolean {
  const last = layer.odds.find((one) => one.stage === layer.stage)
  // what was seen today is what is there today
  return !layer.lookedOn || layer.lookedOn === layer.asOf || !last || last.p >= LIKELY
}

function beginWith(layer: Card): void {
  stage.value = isLastLikely(layer) ? layer.stage : likeliestOf(layer).stage
  sectors.value = null
  fill.value = null
  conditions.value = [...layer.conditions]
  openedBy.value = ''
  bareSide.value = ''
  note.value = ''
  noting.value = false
  photo.value = null
}

function isAs(layer: Card): boolean {
  return (
    stage.value === (isLastLikely(layer) ? layer.stage : likeliestOf(layer).stage) &&
    fill.value === null &&
    sectors.value === null &&
    String([...conditions.value].sort()) === String([...layer.conditions].sort())
  )
}

beginWith(props.layer)
if (props.wrong) {
  stage.value = props.wrong.stage
  sectors.value = props.wrong.sectors ? [...props.wrong.sectors] : null
  fill.value = props.wrong.fillPercent ?? null
  conditions.value = [...props.wrong.conditions]
  openedBy.value = props.wrong.openedBy ?? ''
  bareSide.value = props.wrong.bareSide ?? ''
}
// what was touched but not kept stays when something else is recorded meanwhile
watch(
  () => props.layer,
  (now, before) => {
    if (isAs(before) || isAs(now)) beginWith(now)
  },
)
const isWrapOnly = computed(() => stage.value === WRAP)
const isAsLastTime = computed(
  () => isAs(props.layer) && props.layer.lookedOn !== null && isLastLikely(props.layer),
)
/** What was found last, which a look that finds the same finds again; a new stage has not been looked round yet. */
const asLast = computed(() => (props.wrong ? null : stage.value === props.layer.stage ? props.layer : null))
const shownSectors = computed({
  get: () => sectors.value ?? asLast.value?.sectors ?? NONE_SEEN,
  set: (now: number[]) => (sectors.value = now),
})
const shownFill = computed({
  get: () => fill.value ?? asLast.value?.fillPercent ?? 0,
  set: (now: number | string) => (fill.value = Number(now)),
})
const NONE_SEEN = Array<number>(8).fill(0)
const fillSaid = computed(() =>
  fill.value !== null
    ? `${fill.value}%`
    : asLast.value?.fillPercent !== null && asLast.value
      ? t('look.asLast', { what: `${asLast.value.fillPercent}%` })
      : t('notSaid.option').toLowerCase(),
)
const sectorsSaid = computed(() =>
  sectors.value ? '' : asLast.value?.sectors ? t('look.sectorsAsLast') : t('look.sectorsNotSaid'),
)
/** A side is bare where roots stand on others. */
const mayBeBare = computed(() => sectors.value?.some((one) => one > 0) && sectors.value.includes(0))
/** What is to be found today, in hundredths; nothing where no heat has been counted. */
const odds = computed(() =>
  Object.fromEntries(
    props.layer.odds.map((one) => [one.stage, one.p > 0 && one.p < 0.005 ? '<1' : Math.round(one.p * 100)]),
  ),
)
const likeliest = computed(() => (props.layer.odds.length ? likeliestOf(props.layer) : { stage: '', p: 0 }))
const keepWords = computed(() =>
  props.wrong
    ? t('look.keepCorrection')
    : isWrapOnly.value
      ? t('look.keepWrap')
      : isAsLastTime.value
        ? t('look.same')
        : t('look.keep', { stage: STAGE_WORDS[stage.value] }),
)
/** Of a wrap that is not opened only some things show. */
const offered = computed(() =>
  isWrapOnly.value ? CONDITIONS.filter(([code]) => !UNDER_THE_WRAP.includes(code)) : CONDITIONS,
)
const UNDER_THE_WRAP = ['ROT', 'BRIDGED']
// the six that are met most often stand open, the rest one tap away
const COMMON = 6
const more = ref(CONDITIONS.slice(COMMON).some(([code]) => conditions.value.includes(code)))

function water(): void {
  if (props.layer.recipe.method !== 'JAR') emit('other', 'TOPPED_UP')
  else emit('keep', { kind: 'TENDED', details: { work: 'CHANGE_WATER', cover: null } })
}

const isCutOff = computed(() => !props.layer.recipe.way.staysOnMother)

function toggle(code: string): void {
  conditions.value = conditions.value.includes(code)
    ? conditions.value.filter((one) => one !== code)
    : [...conditions.value, code]
}

async function addNote(): Promise<void> {
  noting.value = true
  await nextTick()
  noteField.value?.focus()
}

function keep(): void {
  const found = conditions.value.filter((code) => offered.value.some(([one]) => one === code))
  const opened = found.includes('WRAP_OPEN') ? openedBy.value || null : null
  emit('keep', {
    ...(isWrapOnly.value
      ? { kind: 'WRAP_SEEN', details: { conditions: found, openedBy: opened } }
      : {
          kind: 'LOOKED',
          details: {
            stage: stage.value,
            // who says that it is as last time has seen it so
            sectors: sectors.value ?? (isAsLastTime.value ? props.layer.sectors : null),
            fillPercent: fill.value ?? (isAsLastTime.value ? props.layer.fillPercent : null),
            conditions: found,
            openedBy: opened,
            bareSide: mayBeBare.value ? bareSide.value || null : null,
          },
        }),
    note: note.value.trim(),
    photo: photo.value,
  })
}
</script>

<template>
  <form class="grid gap-4" @submit.prevent="keep">
    <RadioGroup v-model="stage">
      <RadioGroupLabel as="p" class="mb-1 font-bold">{{ $t('look.whatDoYouSee') }}</RadioGroupLabel>
      <div class="grid grid-cols-3 gap-1 sm:flex sm:*:grow">
        <RadioGroupOption
          v-for="one in STAGES"
          :key="one"
          as="button"
          type="button"
          :value="one"
          class="chip min-h-20 flex-col justify-center gap-0 px-1 py-1"
          :class="{ 'border-2 border-sap': one === likeliest.stage }"
          :aria-label="STAGE_WORDS[one]"
        >
          <StagePicture :stage="one" />
          <span>{{ STAGE_WORDS[one] }}</span>
          <span v-if="layer.odds.length" class="text-sm" data-testid="odds">{{ odds[one] }}%</span>
        </RadioGroupOption>
        <RadioGroupOption
          v-if="layer.drawing.wrapped && !wrong"
          as="button"
          type="button"
          :value="WRAP"
          class="chip min-h-12 justify-center px-2 py-1 max-sm:col-span-3"
        >
          {{ t('look.wrapOnly') }}
        </RadioGroupOption>
      </div>
      <p v-if="isWrapOnly" class="eyebrow mt-1">{{ t('look.wrapHint') }}</p>
      <p v-else class="eyebrow mt-1">
        {{ STAGE_WORDS[stage] }}: {{ STAGE_HINTS[stage]
        }}<template v-if="layer.odds.length">. {{ $t('look.share') }}</template>
      </p>
    </RadioGroup>
    <div class="grid items-start gap-4" :class="isWrapOnly ? '' : 'sm:grid-cols-[12rem_1fr]'">
      <div v-if="!isWrapOnly">
        <p class="font-bold">Roots round the stem</p>
        <SectorRing
          v-model="shownSectors"
          class="mx-auto max-w-56 sm:max-w-48"
          :class="{ 'opacity-60': !sectors }"
        />
        <p v-if="sectorsSaid" class="eyebrow text-center" data-testid="sectors-said">{{ sectorsSaid }}</p>
        <div class="mt-1 flex items-center gap-1" role="group" aria-label="The same all round">
          <span class="text-sm text-muted">All round</span>
          <button
            v-for="density in [0, 1, 2, 3]"
            :key="density"
            type="button"
            class="chip min-w-10 justify-center px-2"
            :aria-label="`${density} all round`"
            @click="sectors = Array(8).fill(density)"
          >
            {{ density }}
          </button>
        </div>
      </div>
      <div class="grid gap-3">
        <label v-if="!isWrapOnly" class="block">
          <span class="font-bold"
            >How full is the ball? <span data-testid="fill-said">{{ fillSaid }}</span></span
          >
          <input
            v-model="shownFill"
            type="range"
            min="0"
            max="100"
            step="5"
            class="mt-1 h-12 w-full accent-lichen"
          />
        </label>
        <div role="group" aria-label="Anything wrong?">
          <p class="mb-1 font-bold" aria-hidden="true">Anything wrong?</p>
          <div class="flex flex-wrap gap-1.5">
            <button
              v-for="[code, text] in more ? offered : offered.slice(0, COMMON)"
              :key="code"
              type="button"
              class="chip"
              :aria-pressed="conditions.includes(code)"
              @click="toggle(code)"
            >
              {{ text }}
            </button>
            <button v-if="!more" type="button" class="link min-h-12 px-2" @click="more = true">More…</button>
          </div>
        </div>
        <Choice
          v-if="conditions.includes('WRAP_OPEN')"
          v-model="openedBy"
          :label="t('look.openedBy')"
          :options="[...OPENERS, ['', t('look.notKnown')]]"
        />
        <Choice
          v-if="mayBeBare && !isWrapOnly"
          v-model="bareSide"
          :label="t('look.bareSide')"
          :options="[...SIDES, ['', t('notSaid.option')]]"
        />
      </div>
    </div>
    <div class="flex flex-wrap items-center gap-4">
      <PhotoButton v-if="!wrong" v-model="photo" />
      <button v-if="!noting" type="button" class="link min-h-12" @click="addNote">Add a note</button>
    </div>
    <label v-if="noting" class="grid gap-1">
      <span class="font-bold">Note</span>
      <input ref="noteField" v-model="note" class="input" maxlength="1000" />
    </label>
    <div class="flex flex-wrap items-center gap-2" :class="{ 'thumb-bar': thumb }">
      <button
        class="btn btn-main min-h-14 grow px-4 text-lg sm:grow-0 sm:px-6"
        :disabled="saving"
        data-testid="keep-look"
      >
        {{ keepWords }}
      </button>
      <slot></slot>
    </div>
    <div
      v-if="!wrong"
      class="flex flex-wrap items-center gap-2 border-t border-line pt-3"
      role="group"
      aria-label="Something else was done"
    >
      <button v-if="layer.drawing.ball.mediumMl" type="button" class="btn" :disabled="saving" @click="water">
        {{ layer.recipe.method === 'JAR' ? t('jobs.CHANGE_WATER') : isCutOff ? 'Water' : 'Top up' }}
      </button>
      <button
        v-if="layer.drawing.ringMm || isCutOff || layer.recipe.method === 'FOIL_START'"
        type="button"
        class="btn"
        :disabled="saving"
        @click="emit('other', 'RERUNG')"
      >
        {{ isCutOff ? 'Fresh cut' : layer.drawing.ringMm ? 'Ring again' : t('madeBy.ringHere') }}
      </button>
      <button type="button" class="btn" :disabled="saving" @click="emit('other', 'TENDED')">
        Other work
      </button>
      <button type="button" class="btn" :disabled="saving" @click="emit('other', 'SEVERED')">Sever</button>
      <button
        v-if="layer.recipe.way.standsInWater"
        type="button"
        class="btn"
        :disabled="saving"
        @click="emit('other', 'STOOD_IN_WATER')"
      >
        {{ t('madeBy.inWaterShort') }}
      </button>
      <button type="button" class="btn btn-rust" :disabled="saving" @click="emit('other', 'LOST')">
        Lost
      </button>
    </div>
  </form>
</template>
