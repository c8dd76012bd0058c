<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import AdviceBox from '@/layers/AdviceBox.vue'
import RecordForms from '@/records/RecordForms.vue'
import { onDay, type NewRecord } from '@/records/newRecord'
import { dayText, daysBetween } from '@/shared/dates'
import { newCommandId } from '@/shared/api/client'
import type { Outcome } from '@/shared/device/outbox'
import { useOutbox } from '@/shared/device/outbox'
import type { Card } from '@/shared/device/useCards'
import { useSession } from '@/shared/session'
import { toast } from '@/shared/ui/toasts'
import ProblemNote from '@/shared/ui/ProblemNote.vue'
import { capital, CONDITIONS, KINDS, METHODS, RUNGS, STAGE_STATES, word } from '@/shared/words'
import StemDrawing from '@/stem/StemDrawing.vue'
import PutOff from './PutOff.vue'

/** One layer before one's eyes: what it is, what to expect, and a record in a few taps. */
const props = defineProps<{ layer: Card; why: string; next: string; left: number; nextRoundOn: string }>()
const emit = defineEmits<{ go: [code: string]; skip: [] }>()
/** the day of the round, where it is typed from paper; empty for today */
const day = defineModel<string | null>('day', { default: '' })
const session = useSession()
const outbox = useOutbox()
const saving = ref(false)
const problem = ref<unknown>(null)
const other = ref('')
const puttingOff = ref(false)
/** what was kept just now: the layer's card then stands for what comes next */
const kept = ref<{ kind: string; id: string; waits: boolean } | null>(null)
const again = ref(false)

watch(
  () => props.layer.code,
  () => {
    kept.value = null
    again.value = false
    other.value = ''
    puttingOff.value = false
    problem.value = null
    window.scrollTo(0, 0)
  },
)

const lastSeen = computed(() => {
  const layer = props.layer
  if (!layer.lookedOn)
    return `Not looked at since ${layer.ringedOn === layer.setOn ? 'it was set' : 'the new ring'}`
  const found = layer.conditions.map((one) => word(CONDITIONS, one).toLowerCase())
  return [
    `${capital(STAGE_STATES[layer.stage] ?? '')} on ${dayText(layer.lookedOn, layer.asOf)}`,
    layer.fillPercent ? `${layer.fillPercent}% full` : '',
    ...found,
  ]
    .filter(Boolean)
    .join(', ')
})
/** Where a look is all that is due, "wait" is no advice. */
const isOnlyALook = computed(
  () =>
    props.layer.advice.tone === 'CALM' && props.layer.jobs[0]?.code === 'LOOK' && !props.layer.alsoDo.length,
)
const age = computed(() => {
  const days = daysBetween(props.layer.ringedOn, props.layer.asOf)
  return `${days} days since ${props.layer.drawing.ringMm ? 'the ring' : 'it was set'}`
})

async function keep(what: NewRecord): Promise<void> {
  saving.value = true
  problem.value = null
  const id = newCommandId()
  const outcome: Outcome = await outbox
    .record({
      id,
      codes: [props.layer.code],
      ...onDay(what, day.value, props.layer.asOf),
      seenRevision: what.kind === 'WITHDRAWN' ? 0 : props.layer.revision,
    })
    .finally(() => (saving.value = false))
  if (outcome && 'problem' in outcome) {
    problem.value = outcome.problem
    return
  }
  kept.value = { kind: what.kind, id, waits: outcome === null }
  other.value = ''
  puttingOff.value = false
  again.value = false
  window.scrollTo(0, 0)
  if (outcome && 'recorded' in outcome.answer && outcome.answer.recorded.conflict)
    toast('Kept, but it does not fit what was recorded before.')
}

/** Also what has not gone yet is taken back by a record after it: it may have arrived all the same. */
async function undo(): Promise<void> {
  if (!kept.value) return
  await keep({ kind: 'WITHDRAWN', details: {}, corrects: kept.value.id })
  if (!problem.value && !kept.value?.waits) kept.value = null
}
</script>

<template>
  <article :aria-label="`Layer ${layer.code}`" class="flex min-h-[68dvh] flex-col gap-3 lg:min-h-0">
    <header class="flex items-baseline gap-x-3">
      <h1 class="text-4xl whitespace-nowrap">{{ layer.code }}</h1>
      <p class="min-w-0 grow">
        <b>{{ layer.mother.place }}</b> · {{ capital(layer.species.common)
        }}<template v-if="layer.mother.variety"> ‘{{ layer.mother.variety }}’</template> ·
        {{ layer.mother.code }}<template v-if="layer.mother.limb"> ({{ layer.mother.limb }})</template>
        <template v-if="layer.recipe.method !== 'AIR'">
          · {{ word(METHODS, layer.recipe.method).toLowerCase() }}</template
        >
        <template v-for="label in layer.mother.formerLabels" :key="label.label">
          · label may say ‘{{ label.label }}’</template
        >
      </p>
    </header>

    <section
      v-if="kept"
      class="grid gap-1 border-l-8 border-lichen bg-card p-4"
      role="status"
      data-testid="kept"
    >
      <p class="flex flex-wrap items-center gap-x-4">
        <b>{{ KINDS[kept.kind] }}: kept.</b>
        <button v-if="kept.kind !== 'WITHDRAWN'" class="link min-h-10" :disabled="saving" @click="undo">
          Undo
        </button>
      </p>
      <p v-if="kept.waits" data-testid="follows">
        No connection: it is safe on this device and is sent by itself. The next step and its date follow
        then.
      </p>
    </section>

    <AdviceBox
      v-if="kept ? !kept.waits : !isOnlyALook"
      :layer="layer"
      :saving="saving"
      @keep="keep"
      @other="((other = $event), (again = true))"
    />

    <div v-if="!kept || again" class="grid grid-cols-[5.5rem_1fr] gap-3 md:grid-cols-[9rem_1fr]">
      <StemDrawing
        small
        class="max-h-32 md:max-h-40"
        :drawing="layer.drawing"
        :sectors="layer.sectors"
        :fill-percent="layer.fillPercent"
        :stage="layer.stage"
        :severed="layer.plant !== null"
      />
      <div class="grid content-center gap-1">
        <p v-if="why"><b>Why now:</b> {{ why }}</p>
        <p v-if="layer.plant">
          {{ word(RUNGS, layer.plant.rung) }} since {{ dayText(layer.plant.rungSince, layer.asOf) }}, severed
          {{ dayText(layer.plant.severedOn, layer.asOf) }}
        </p>
        <template v-else>
          <p><b>Last seen:</b> {{ lastSeen }}</p>
          <p class="text-muted">{{ age }}</p>
        </template>
        <RouterLink
          class="link inline-flex min-h-10 items-center"
          :to="{ name: 'layer', params: { code: layer.code } }"
          >Its whole page</RouterLink
        >
      </div>
    </div>

    <ProblemNote :problem="problem" />

    <template v-if="session.mayRecord">
      <template v-if="!kept || again">
        <PutOff
          v-if="puttingOff"
          :layer="layer"
          :next-round-on="nextRoundOn"
          :saving="saving"
          @keep="keep"
          @close="puttingOff = false"
        />
        <RecordForms
          v-else
          v-model:day="day"
          v-model:other="other"
          thumb
          :layer="layer"
          :saving="saving"
          :problem="problem"
          @keep="keep"
        >
          <button type="button" class="btn px-3" @click="emit('skip')">Skip</button>
          <button v-if="layer.jobs.length" type="button" class="btn px-3" @click="puttingOff = true">
            Later
          </button>
        </RecordForms>
      </template>
      <div v-if="kept" class="thumb-bar mt-auto flex lg:mt-0 flex-wrap items-center gap-3">
        <button
          v-if="next"
          class="btn btn-main min-h-14 grow px-6 text-lg sm:grow-0"
          data-testid="next"
          @click="emit('go', next)"
        >
          Next: {{ next }}<span class="font-normal">({{ left }} left)</span>
        </button>
        <p v-else class="min-h-14 content-center text-lg font-bold" data-testid="all-done">
          That was the last one.
        </p>
        <button v-if="!again" class="link min-h-12" @click="again = true">Record more here</button>
      </div>
    </template>
    <button v-else-if="next" class="btn justify-self-start" data-testid="next" @click="emit('go', next)">
      Next: {{ next }}
    </button>
  </article>
</template>
