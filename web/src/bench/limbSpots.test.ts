import { describe, expect, it } from 'vitest'
import type { Schemas } from '@/shared/api/client'
import { fromLimb } from './limbSpots'
import type { BenchRow } from './useBench'
import { METRIC, US } from '@/testing/readers'

const stand = {
  limb: { id: 4, diameterMm: 15, wood: 'ONE_TWO', leanDeg: 20 },
  lengthMm: 1200,
  leaves: 40,
  ballMm: 78,
  spots: [1002, 724],
} as unknown as Schemas['LimbStand']
const onIt = { limb: '4' } as BenchRow

describe('a limb on record', () => {
  it('fills the row with its measures and the first free place from the tip', () => {
    expect(fromLimb(stand, [], METRIC)).toEqual({
      limb: '4',
      diameter: '15',
      wood: 'ONE_TWO',
      lean: '20',
      // leaves beyond the ring are not counted by picking a limb
      fromUnion: '1002',
    })
  })

  it('gives the next row the next place, and the last one to those for whom there is none', () => {
    expect(fromLimb(stand, [onIt], METRIC).fromUnion).toBe('724')
    expect(fromLimb(stand, [onIt, onIt], METRIC).fromUnion).toBe('724')
  })

  it('fills in the units of the reader, and no place where there is none', () => {
    expect(fromLimb(stand, [], US).diameter).toBe('0.591')
    expect(fromLimb({ ...stand, spots: [] }, [], METRIC).fromUnion).toBeUndefined()
  })
})
