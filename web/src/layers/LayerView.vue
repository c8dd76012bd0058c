<script setup lang="ts">
import { computed, ref } from 'vue'
import { dayText, daysBetween } from '@/shared/dates'
import { show } from '@/shared/quantity'
import { useSession } from '@/shared/session'
import { capital, CONDITIONS, METHODS, RUNGS, STAGE_STATES, WORKS, word } from '@/shared/words'
import ProblemNote from '@/shared/ui/ProblemNote.vue'
import StemDrawing from '@/stem/StemDrawing.vue'
import AfterForm from './AfterForm.vue'
import LookForm from './LookForm.vue'
import OtherForm from './OtherForm.vue'
import ProgressBand from './ProgressBand.vue'
import Reasons from './Reasons.vue'
import Records from './Records.vue'
import TrialNote from './TrialNote.vue'
import { useLayer, type NewRecord } from './useLayer'

/** What about this one? */
const props = defineProps<{ code: string }>()
const session = useSession()
const { layer, loadError, reload, saving, problem, record, undo } = useLayer(props.code)
const showWhy = ref(false)
const other = ref<string>('')
const workOf = computed(() => WORKS.find(([code]) => code === layer.value?.advice.step)?.[0])
const tones: Record<string, string> = {
  CALM: 'border-lichen bg-lichen-pale',
  ACT: 'border-sap bg-sap-pale',
  URGENT: 'border-rust bg-rust-pale',
  DONE: 'border-bark bg-card',
}

async function keep(what: NewRecord): Promise<boolean> {
  const done = await record(what)
  if (done) other.value = ''
  return done
}

function begin(): void {
  const step = layer.value?.advice.step
  if (!step) return
  if (workOf.value) void keep({ kind: 'TENDED', details: { work: workOf.value, cover: null } })
  else if (step === 'RERING') other.value = 'RERUNG'
  else if (step === 'LOST' || step === 'ABANDON') other.value = 'LOST'
  else other.value = 'SEVERED'
}

/** A limb that was pinned down or darkened and made no roots can still be ringed. */
const mayBecomeAir = computed(
  () =>
    ['GROUND', 'FOIL_START'].includes(layer.value?.recipe.method ?? '') &&
    ['RERING', 'ABANDON'].includes(layer.value?.advice.step ?? ''),
)

const beginLabel = computed(() => {
  const step = layer.value?.advice.step ?? ''
  if (workOf.value) return `Done: ${word(WORKS, workOf.value).toLowerCase()}`
  if (step === 'RERING') return 'Record the new ring'
  if (step === 'LOST' || step === 'ABANDON') return 'Record the loss'
  if (step.startsWith('SEVER') || step === 'GAMBLE' || step === 'RESCUE') {
    return ['JAR', 'CUTTING'].includes(layer.value?.recipe.method ?? '')
      ? 'Record taking it up'
      : 'Record the severing'
  }
  return ''
})

const dueWater = computed(() =>
  layer.value?.jobs.find((job) => job.code === 'TOP_UP' && job.from <= layer.value!.asOf),
)

function topUp(): void {
  void keep({ kind: 'TOPPED_UP', details: { waterMl: Math.round(layer.value!.suggested.waterMl) } })
}

function doAlso(code: string): void {
  const work = code === 'COVER_NOW' ? 'COVER' : code
  void keep({
    kind: 'TENDED',
    details: { work, cover: code === 'COVER_NOW' ? 'FOIL' : code === 'COVER' ? 'BLACK' : null },
  })
}
</script>

<template>
  <template v-if="!layer">
    <h1 class="text-4xl">{{ code }}</h1>
    <p v-if="!loadError" role="status" class="text-muted">Fetching it…</p>
    <template v-else>
      <ProblemNote :problem="loadError" class="mt-3" @retry="reload" />
      <RouterLink class="link mt-3 inline-flex min-h-12 items-center" :to="{ name: 'layers' }"
        >Find another in Layers</RouterLink
      >
    </template>
  </template>
  <article v-if="layer" :aria-label="`Layer ${layer.code}`">
    <header class="flex flex-wrap items-baseline gap-x-4">
      <h1 class="text-4xl">{{ layer.code }}</h1>
      <p class="text-muted">
        {{ capital(layer.species.common) }}
        <template v-if="layer.mother.variety"> ‘{{ layer.mother.variety }}’</template> · mother
        <RouterLink class="link" :to="{ name: 'mother', params: { id: String(layer.mother.id) } }">{{
          layer.mother.code
        }}</RouterLink><template v-if="layer.mother.limb"> ({{ layer.mother.limb }})</template
        ><template v-if="layer.mother.setAs">, set as {{ layer.mother.setAs }}</template
        >, {{ layer.mother.place }} · set {{ dayText(layer.setOn, layer.asOf) }},
        {{ daysBetween(layer.setOn, layer.asOf) }} days ago<template v-if="layer.recipe.method !== 'AIR'">
          · {{ word(METHODS, layer.recipe.method).toLowerCase() }}</template
        >
        ·
        <RouterLink class="link" :to="{ name: 'labels', query: { codes: layer.code } }" data-testid="label"
          >print its label</RouterLink
        >
      </p>
      <TrialNote :code="layer.code" />
    </header>

    <section class="mt-3 border-l-8 p-4" :class="tones[layer.advice.tone]" data-testid="advice">
      <p class="text-xl font-bold">{{ layer.advice.headline }}</p>
      <p v-for="reason in layer.advice.because" :key="reason">{{ reason }}</p>
      <p v-if="layer.species.hazards && layer.phase === 'ON_MOTHER'" class="mt-1">
        <b>Caution:</b> {{ layer.species.hazards }}.
      </p>
      <div
        v-if="(session.mayRecord && beginLabel) || layer.rules.length"
        class="flex flex-wrap items-center gap-x-4"
        :class="{ 'mt-2': session.mayRecord && beginLabel }"
      >
        <button
          v-if="session.mayRecord && beginLabel"
          class="btn btn-main"
          :disabled="saving"
          data-testid="do-step"
          @click="begin"
        >
          {{ beginLabel }}
        </button>
        <RouterLink
          v-if="session.mayRecord && mayBecomeAir"
          class="btn inline-flex items-center"
          data-testid="as-air"
          :to="{ name: 'bench', query: { mother: String(layer.mother.id) } }"
          >Set an air layer in its place</RouterLink
        >
        <button
          v-if="layer.rules.length"
          class="link -my-2 min-h-12 font-bold"
          :aria-expanded="showWhy"
          data-testid="why"
          @click="showWhy = !showWhy"
        >
          {{ showWhy ? 'Hide why' : 'Why' }}
        </button>
      </div>
      <Reasons
        v-if="showWhy"
        :rules="layer.rules"
        :coming="layer.coming"
        :changes="layer.changes"
        :today="layer.asOf"
        class="mt-2"
      />
    </section>

    <ul v-if="layer.alsoDo.length" class="mt-2 grid gap-2">
      <li
        v-for="also in layer.alsoDo"
        :key="also.code"
        class="flex flex-wrap items-center justify-between gap-2 border-l-8 border-sap bg-sap-pale py-1 pr-2 pl-4"
      >
        <span>{{ also.sentence }}</span>
        <button
          v-if="session.mayRecord"
          class="btn"
          :disabled="saving"
          :data-testid="`also-${also.code}`"
          @click="doAlso(also.code)"
        >
          Done
        </button>
      </li>
    </ul>

    <div
      v-if="dueWater"
      class="mt-2 flex flex-wrap items-center justify-between gap-2 border-l-8 border-water bg-water-pale py-1 pr-2 pl-4"
    >
      <span>
        <b>Top up</b> {{ show(layer.suggested.waterMl, 'volume', session.units) }}:
        {{ dueWater.daysLate ? `${dueWater.daysLate} days late` : `by ${dayText(dueWater.by, layer.asOf)}` }}.
      </span>
      <button v-if="session.mayRecord" class="btn" :disabled="saving" data-testid="top-up" @click="topUp">
        Done
      </button>
    </div>

    <ProblemNote :problem="problem" class="mt-3" />

    <div class="mt-4 grid gap-6 md:grid-cols-[minmax(14rem,1fr)_2fr]">
      <div>
        <div class="mx-auto max-w-sm">
          <StemDrawing
            class="max-h-72 md:max-h-[26rem]"
            :drawing="layer.drawing"
            :sectors="layer.sectors"
            :fill-percent="layer.fillPercent"
            :stage="layer.stage"
            :severed="layer.plant !== null"
          />
        </div>
        <p class="mt-2 text-center">
          {{ capital(STAGE_STATES[layer.stage] ?? '')
          }}<template v-if="layer.fillPercent">, {{ layer.fillPercent }}% full</template
          ><template v-if="layer.coverage">, widest gap {{ layer.widestGapDeg }}°</template>
        </p>
        <p v-if="layer.conditions.length" class="text-center font-bold text-rust">
          {{ layer.conditions.map((one) => word(CONDITIONS, one)).join(', ') }}
        </p>
        <p v-if="layer.plant" class="text-center">
          Severed {{ dayText(layer.plant.severedOn, layer.asOf) }} · {{ word(RUNGS, layer.plant.rung) }} since
          {{ dayText(layer.plant.rungSince, layer.asOf) }}
        </p>
      </div>
      <div v-if="session.mayRecord">
        <OtherForm
          v-if="other"
          :key="other"
          :layer="layer"
          :kind="other"
          :saving="saving"
          :problem="problem"
          @keep="keep"
          @close="other = ''"
        />
        <LookForm
          v-else-if="layer.phase === 'ON_MOTHER'"
          :layer="layer"
          :saving="saving"
          @keep="keep"
          @other="other = $event"
        />
        <AfterForm
          v-else-if="layer.phase === 'SEVERED' || layer.phase === 'POTTED'"
          :layer="layer"
          :saving="saving"
          :problem="problem"
          @keep="keep"
          @other="other = $event"
        />
      </div>
    </div>

    <ProgressBand v-if="layer.forecast" :layer="layer" class="mt-6" />
    <Records :layer="layer" :may-undo="session.mayRecord" class="mt-8" @undo="undo" />
  </article>
</template>
