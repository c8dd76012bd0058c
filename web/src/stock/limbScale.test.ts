import { describe, expect, it } from 'vitest'
import type { Schemas } from '@/shared/api/client'
import { halfThickness, limbScale, spread } from './limbScale'

const limb = {
  lengthMm: 1000,
  limb: { diameterMm: 18 },
  balls: [] as object[],
} as unknown as Schemas['LimbStand']

describe('the picture of a limb', () => {
  it('has its tip on the left and its union where the stem begins', () => {
    const scale = limbScale(limb, 800)
    expect(scale.x(0)).toBe(14)
    expect(scale.x(1000)).toBeCloseTo(800 - 14 - 26)
  })

  it('is to one scale in both directions, and tapers to the tip', () => {
    const scale = limbScale(limb, 800)
    expect(2 * halfThickness(limb, 1000, scale)).toBeCloseTo(18 * scale.perMm)
    expect(halfThickness(limb, 0, scale)).toBeLessThan(halfThickness(limb, 1000, scale))
  })

  it('makes room for the thickest ball', () => {
    const ball = { diameterMm: 140 } as Schemas['BallOn']
    expect(limbScale({ ...limb, balls: [ball] }, 800).height).toBeGreaterThan(limbScale(limb, 800).height)
  })

  it('spreads nodes evenly', () => {
    expect(spread(4, 800)).toEqual([100, 300, 500, 700])
    expect(spread(0, 800)).toEqual([])
  })
})
