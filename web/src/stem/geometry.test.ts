import { describe, expect, it } from 'vitest'
import { stemGeometry } from './geometry'

const drawing = {
  ball: {
    diameterMm: 20,
    ringMm: 37.5,
    ballLengthMm: 87.5,
    ballDiameterMm: 100,
    mediumMl: 300,
    filmCm2: 700,
  },
  ringMm: 37.5,
  aboveMm: 30,
  belowMm: 20,
  position: 'BELOW_NODE' as const,
  wood: 'ONE_TWO' as const,
  leavesBeyond: 8,
  leanDeg: 30,
  load: { massG: 130, stressMpa: 1, utilisation: 0.1, deflectionMm: 3, verdict: 'FINE' as const },
  propped: false,
  cover: 'FOIL' as const,
  method: 'AIR' as const,
  wrapped: true,
}

describe('the stem drawing', () => {
  it('keeps every millimetre: the ring as it was cut, 30 above it and 20 below', () => {
    const stem = stemGeometry(drawing, [0, 0, 0, 0, 0, 0, 0, 0], 0, 'NONE')
    expect(stem.ring?.height).toBe(37.5)
    expect(stem.ball.length).toBe(87.5)
    expect(stem.ring!.top - stem.ball.top).toBe(30)
    expect(stem.ball.diameter).toBe(100)
    expect(stem.limb.width).toBe(20)
  })

  it('draws no roots that nobody looked at', () => {
    expect(stemGeometry(drawing, null, null, 'ROOTED').roots).toHaveLength(0)
  })

  it('draws no ring where nothing was cut, and no roots before there are any', () => {
    const stem = stemGeometry({ ...drawing, ringMm: 0 }, [1, 1, 1, 1, 1, 1, 1, 1], 20, 'CALLUS')
    expect(stem.ring).toBeNull()
    expect(stem.roots).toHaveLength(0)
  })

  it('draws more roots where more were seen, none beyond the ball', () => {
    const few = stemGeometry(drawing, [1, 0, 0, 0, 0, 0, 0, 0], 10, 'INITIALS')
    const full = stemGeometry(drawing, [3, 3, 3, 3, 3, 3, 3, 3], 100, 'FILLED')
    expect(full.roots.length).toBeGreaterThan(few.roots.length)
    for (const path of full.roots) {
      const end = Number(path.split(' ').at(-2))
      expect(Math.abs(end - full.centre)).toBeLessThanOrEqual(50)
    }
  })
})
