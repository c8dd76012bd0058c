<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { useRoute } from 'vue-router'
import { dayText, daysBetween } from '@/shared/dates'
import type { Schemas } from '@/shared/api/client'
import { useSession } from '@/shared/session'
import { capital, CONDITIONS, METHODS, RUNGS, STAGE_STATES, word } from '@/shared/words'
import ProblemNote from '@/shared/ui/ProblemNote.vue'
import StemDrawing from '@/stem/StemDrawing.vue'
import AdviceBox from './AdviceBox.vue'
import Learned from './Learned.vue'
import Correction from '@/records/Correction.vue'
import Photos from './Photos.vue'
import ProgressBand from './ProgressBand.vue'
import RecordForms from '@/records/RecordForms.vue'
import Reasons from './Reasons.vue'
import Records from './Records.vue'
import TrialNote from './TrialNote.vue'
import { onDay, type NewRecord } from '@/records/newRecord'
import { takenAs } from './takenAs'
import { useLayer } from './useLayer'

/** What about this one? */
const props = defineProps<{ code: string }>()
const session = useSession()
const { t } = useI18n()
const { layer, loadError, reload, saving, problem, record, undo } = useLayer(props.code)
const showWhy = ref(false)
/** the shed's lists lead to the form that they speak of */
const asked = ref<HTMLElement | null>(null)
const other = ref(session.mayRecord ? String(useRoute().query.do ?? '') : '')
/** a record that is being corrected */
const wrong = ref<Schemas['RecordView'] | null>(null)

// on a phone the drawing stands above the form that one was led to
watch(asked, (form) => {
  if (form && other.value && window.innerWidth < 640) form.scrollIntoView()
})

function beginCorrecting(one: Schemas['RecordView']): void {
  wrong.value = one
  other.value = ''
  window.scrollTo(0, 0)
}

/** What nobody measured, with what it is taken as. */
const unmeasured = computed(() =>
  (layer.value?.unmeasured ?? [])
    .map((one) => t(`notSaid.${one.what}`, { taken: takenAs(one, session.units) }))
    .join(', '),
)

async function correct(what: NewRecord): Promise<void> {
  if (await record(what)) wrong.value = null
}

/** the day on which it was done; empty for today */
const day = ref<string | null>('')

async function keep(what: NewRecord): Promise<boolean> {
  const done = await record(onDay(what, day.value, layer.value?.asOf ?? ''))
  if (done) {
    other.value = ''
    day.value = ''
  }
  return done
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
          {{ ` · ${word(METHODS, layer.recipe.method).toLowerCase()}` }}</template
        >
        ·
        <RouterLink class="link" :to="{ name: 'layers', query: { batch: layer.batchId } }"
          >its batch</RouterLink
        >
        ·
        <RouterLink class="link" :to="{ name: 'labels', query: { codes: layer.code } }" data-testid="label"
          >print its label</RouterLink
        >
      </p>
      <TrialNote :code="layer.code" />
    </header>

    <div class="mt-3">
      <AdviceBox :layer="layer" :saving="saving" @keep="keep" @other="((other = $event), (wrong = null))">
        <template #why>
          <button
            v-if="layer.rules.length"
            class="link -my-2 min-h-12 font-bold"
            :aria-expanded="showWhy"
            data-testid="why"
            @click="showWhy = !showWhy"
          >
            {{ showWhy ? 'Hide why' : 'Why' }}
          </button>
        </template>
        <Reasons
          v-if="showWhy"
          :rules="layer.rules"
          :coming="layer.coming"
          :changes="layer.changes"
          :today="layer.asOf"
          class="mt-2"
        />
      </AdviceBox>
      <div
        v-if="layer.limbLoad"
        class="mt-2 flex flex-wrap items-center justify-between gap-2 border-l-8 border-sap bg-sap-pale py-1 pr-2 pl-4"
        data-testid="limb-load"
      >
        <span>{{ layer.limbLoad.sentence }}</span>
        <span v-if="session.mayRecord" class="flex gap-2">
          <button
            v-for="work in ['REST_TIP', 'PROP']"
            :key="work"
            type="button"
            class="btn"
            :disabled="saving"
            :data-testid="`limb-${work}`"
            @click="keep({ kind: 'TENDED', details: { work, cover: null }, codes: layer.limbLoad.codes })"
          >
            {{ t(work === 'PROP' ? 'load.propped' : 'load.restsNow') }}
          </button>
        </span>
      </div>
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
        <p v-if="unmeasured" class="mt-1 text-center text-sm text-muted" data-testid="unmeasured">
          {{ t('notSaid.note', { list: unmeasured }) }}
        </p>
        <p v-if="layer.conditions.length" class="text-center font-bold text-rust">
          {{ layer.conditions.map((one) => word(CONDITIONS, one)).join(', ') }}
        </p>
        <p v-if="layer.plant" class="text-center">
          Severed {{ dayText(layer.plant.severedOn, layer.asOf) }} · {{ word(RUNGS, layer.plant.rung) }} since
          {{ dayText(layer.plant.rungSince, layer.asOf) }}
        </p>
      </div>
      <div v-if="session.mayRecord" ref="asked">
        <Correction
          v-if="wrong"
          :key="wrong.id"
          :layer="layer"
          :wrong="wrong"
          :saving="saving"
          :problem="problem"
          @keep="correct"
          @close="wrong = null"
        />
        <RecordForms
          v-else
          v-model:other="other"
          v-model:day="day"
          :layer="layer"
          :saving="saving"
          :problem="problem"
          @keep="keep"
        />
      </div>
    </div>

    <ProgressBand v-if="layer.forecast" :layer="layer" class="mt-6" />
    <Learned v-if="layer.estimates.length" :layer="layer" class="mt-6" />
    <Photos :code="layer.code" :today="layer.asOf" :may-change="session.mayRecord" class="mt-8" />
    <Records
      :layer="layer"
      :may-undo="session.mayRecord"
      class="mt-8"
      @undo="undo"
      @correct="beginCorrecting"
    />
  </article>
</template>
