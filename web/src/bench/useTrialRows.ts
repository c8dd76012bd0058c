import type { Batch } from '@/shared/device/outbox'
import { watch, type Ref } from 'vue'
import { useRoute } from 'vue-router'
import { useQuery } from '@tanstack/vue-query'
import type { BenchRow } from './useBench'
import { trialPage } from '@/shared/api/trials'

/** The free places of one arm of a trial on one mother, as rows to be set; they come with the address of the page. */
export function useTrialRows(rows: Ref<BenchRow[]>, lay: (batch: Batch) => void): void {
  const route = useRoute()
  const { trial, arm, mother } = route.query
  const { data } = useQuery(trialPage(String(trial ?? '')))
  let laid = false
  watch(
    data,
    (page) => {
      if (!page || laid) return
      laid = true
      const places = page.places.filter(
        (one) => !one.layer && String(one.arm) === arm && String(one.motherId) === mother,
      )
      const recipeId = page.line.arms.find((one) => String(one.number) === arm)?.recipeId
      // after a reload what was typed for these places is on the bench already
      const onBench = rows.value.some((row) => places.some((one) => String(one.slotId) === row.slot))
      if (!places.length || !recipeId || onBench) return
      lay({
        motherId: Number(mother),
        recipeId,
        rows: places.map((one) => ({
          limbId: one.limbId,
          trialSlotId: one.slotId,
          diameterMm: '',
          wood: null,
          position: null,
          leavesBeyond: null,
          fromUnionMm: null,
          leanDeg: null,
          specimen: false,
          fruitToKeep: false,
        })),
      })
    },
    { immediate: true },
  )
}
