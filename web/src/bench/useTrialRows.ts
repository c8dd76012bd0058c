import { watch } from 'vue'
import { useRoute } from 'vue-router'
import { useQuery } from '@tanstack/vue-query'
import { api, type Schemas } from '@/shared/api/client'
import type { BatchBody } from './useBench'

/** The free places of one arm of a trial on one mother, as rows to be set; they come with the address of the page. */
export function useTrialRows(lay: (batch: BatchBody) => void): void {
  const route = useRoute()
  const { trial, arm, mother } = route.query
  const { data } = useQuery({
    queryKey: ['trials', 'page', String(trial)],
    queryFn: () => api<Schemas['TrialPage']>('GET', `/trials/${String(trial)}`),
    enabled: trial !== undefined,
  })
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
      if (!places.length || !recipeId) return
      lay({
        motherId: Number(mother),
        recipeId,
        rows: places.map((one) => ({
          limbId: one.limbId,
          trialSlotId: one.slotId,
          diameterMm: '',
          wood: 'ONE_TWO',
          position: 'BELOW_NODE',
          leavesBeyond: 8,
          fromUnionMm: 400,
          leanDeg: 30,
        })),
      })
    },
    { immediate: true },
  )
}
