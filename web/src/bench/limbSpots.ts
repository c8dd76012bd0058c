import type { Schemas } from '@/shared/api/client'
import { typed } from '@/shared/quantity'
import type { Units } from '@/shared/session'
import type { BenchRow } from './useBench'

/** What a limb on record fills into a row: its measures, and the first free place that no other row takes. */
export function fromLimb(stand: Schemas['LimbStand'], others: BenchRow[], units: Units): Partial<BenchRow> {
  const { limb, spots } = stand
  const taken = others.filter((row) => row.limb === String(limb.id)).length
  const fromUnionMm = spots[taken] ?? spots.at(-1)
  const filled: Partial<BenchRow> = {
    limb: String(limb.id),
    diameter: typed(limb.diameterMm, 'length', units),
    wood: limb.wood,
    lean: String(limb.leanDeg),
  }
  if (fromUnionMm === undefined) return filled
  return { ...filled, fromUnion: typed(Math.round(fromUnionMm), 'length', units) }
}
