<script setup lang="ts">
import { restsOn } from '@/shared/words'
import { computed, ref } from 'vue'
import { saveFile } from '@/shared/api/file'
import type { Schemas } from '@/shared/api/client'
import { useMethods } from '@/shared/api/methods'
import { dayText } from '@/shared/dates'
import { useSession } from '@/shared/session'
import ProblemNote from '@/shared/ui/ProblemNote.vue'
import StemDrawing from '@/stem/StemDrawing.vue'
import RowSums from './RowSums.vue'
import type { BenchRow } from './useBench'
import { fetchFile } from '@/shared/api/client'

/** The row in hand: its branch to scale, on the screen and one to one on paper, and its sums. */
const props = defineProps<{
  number: number
  row: BenchRow
  taken: { leaves: number; leanDeg: number }
  sums: Schemas['BranchPreview']
  recipe: Schemas['RecipeView']
  /** the row as it is sent */
  body: Record<string, unknown>
  sumsQuery: Record<string, string>
}>()
const session = useSession()
const ways = useMethods()
const problem = ref<unknown>(null)
const drawing = computed<Schemas['Drawing']>(() => ({
  ball: props.sums.ball,
  ringMm: ways.wound(props.recipe.recipe.wound)?.ring ? props.sums.ball.ringMm : 0,
  aboveMm: props.sums.aboveMm,
  belowMm: props.sums.belowMm,
  position: (props.row.position || null) as Schemas['Drawing']['position'],
  wood: (props.row.wood || 'ONE_TWO') as Schemas['Drawing']['wood'],
  leavesBeyond: Number(props.row.leaves || props.taken.leaves),
  leanDeg: Number(props.row.lean || props.taken.leanDeg),
  load: props.sums.load,
  propped: props.sums.load.verdict !== 'FINE',
  cover: props.recipe.recipe.cover,
  method: props.recipe.recipe.method ?? 'AIR',
  wrapped: ways.method(props.recipe.recipe.method)?.wrapped ?? true,
}))

async function print(): Promise<void> {
  problem.value = null
  try {
    saveFile(await fetchFile('/set-drawings', props.body), `branch-${props.number}.pdf`)
  } catch (failure) {
    problem.value = failure
  }
}
</script>

<template>
  <section aria-labelledby="cuts-title">
    <h2 id="cuts-title" class="text-base">Branch {{ number }}, to scale</h2>
    <StemDrawing
      class="max-h-80"
      :drawing="drawing"
      :sectors="[0, 0, 0, 0, 0, 0, 0, 0]"
      :fill-percent="0"
      stage="NONE"
    />
    <p class="mt-2 flex flex-wrap gap-2">
      <button type="button" class="btn" data-testid="drawing-pdf" @click="print">
        Draw it 1:1 with a ruler (PDF)
      </button>
      <RouterLink
        class="btn inline-flex items-center"
        data-testid="to-sums"
        :to="{ name: 'sums', query: sumsQuery }"
        >Its sums</RouterLink
      >
    </p>
    <ProblemNote :problem="problem" class="mt-2" @retry="print" />
    <RowSums :row="sums" :ring-mm="drawing.ringMm" />
    <p v-if="sums.ready50On" class="mt-3">
      Likely full about <b>{{ dayText(sums.ready50On, session.today) }}</b>, between
      {{ dayText(sums.ready10On, session.today) }} and {{ dayText(sums.ready90On, session.today) }} ({{
        restsOn(sums.ownRecords)
      }}).
    </p>
  </section>
</template>
