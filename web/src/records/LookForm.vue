<script setup lang="ts">
import { RadioGroup, RadioGroupLabel, RadioGroupOption } from '@headlessui/vue'
import { computed, nextTick, ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { STAGES } from '@/shared/api/codes'
import { CONDITIONS, STAGE_HINTS, STAGE_WORDS } from '@/shared/words'
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
  wrong?: { stage: string; sectors: number[]; fillPercent: number; conditions: string[] }
}>()
const emit = defineEmits<{ keep: [what: NewRecord]; other: [kind: string] }>()

const { t } = useI18n()
const stage = ref('')
const sectors = ref<number[]>([])
const fill = ref(0)
const conditions = ref<string[]>([])
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
  sectors.value = [...layer.sectors]
  fill.value = layer.fillPercent
  conditions.value = [...layer.conditions]
  note.value = ''
  noting.value = false
  photo.value = null
}

function isAs(layer: Card): boolean {
  return (
    stage.value === (isLastLikely(layer) ? layer.stage : likeliestOf(layer).stage) &&
    Number(fill.value) === layer.fillPercent &&
    String(sectors.value) === String(layer.sectors) &&
    String([...conditions.value].sort()) === String([...layer.conditions].sort())
  )
}

beginWith(props.layer)
if (props.wrong) {
  stage.value = props.wrong.stage
  sectors.value = [...props.wrong.sectors]
  fill.value = props.wrong.fillPercent
  conditions.value = [...props.wrong.conditions]
}
// what was touched but not kept stays when something else is recorded meanwhile
watch(
  () => props.layer,
  (now, before) => {
    if (isAs(before) || isAs(now)) beginWith(now)
  },
)
const isAsLastTime = computed(
  () => isAs(props.layer) && props.layer.lookedOn !== null && isLastLikely(props.layer),
)
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
    : isAsLastTime.value
      ? t('look.same')
      : t('look.keep', { stage: STAGE_WORDS[stage.value] }),
)
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
  emit('keep', {
    kind: 'LOOKED',
    details: {
      stage: stage.value,
      sectors: sectors.value,
      fillPercent: Number(fill.value),
      conditions: conditions.value,
    },
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
      </div>
      <p class="eyebrow mt-1">
        {{ STAGE_WORDS[stage] }}: {{ STAGE_HINTS[stage]
        }}<template v-if="layer.odds.length">. {{ $t('look.share') }}</template>
      </p>
    </RadioGroup>
    <div class="grid items-start gap-4 sm:grid-cols-[12rem_1fr]">
      <div>
        <p class="font-bold">Roots round the stem</p>
        <SectorRing v-model="sectors" class="mx-auto max-w-56 sm:max-w-48" />
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
        <label class="block">
          <span class="font-bold">How full is the ball? {{ fill }}%</span>
          <input
            v-model="fill"
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
              v-for="[code, text] in more ? CONDITIONS : CONDITIONS.slice(0, COMMON)"
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
