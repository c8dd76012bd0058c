import type { Schemas } from '@/shared/api/client'

/** Where things of a limb lie in the picture: the tip on the left, the union on the right, all to one scale. */
export interface LimbScale {
  perMm: number
  left: number
  middle: number
  height: number
  x(fromTipMm: number): number
}

const MARGIN = 14
/** Above the limb: numbers and codes of the balls; under it: the free places and the ruler. */
const ABOVE = 46
const BELOW = 90
const THICKEST_MM = 90

export function limbScale(stand: Schemas['LimbStand'], width: number): LimbScale {
  const perMm = (width - 2 * MARGIN - 26) / stand.lengthMm
  const thick =
    Math.max(THICKEST_MM, stand.limb.diameterMm, ...stand.balls.map((ball) => ball.diameterMm)) * perMm
  return {
    perMm,
    left: MARGIN,
    middle: ABOVE + thick / 2,
    height: ABOVE + thick + BELOW,
    x: (fromTipMm) => MARGIN + fromTipMm * perMm,
  }
}

/** Half the limb's thickness there, in pixels: it tapers to a third at the tip, and never thinner than it can be seen. */
export function halfThickness(stand: Schemas['LimbStand'], fromTipMm: number, scale: LimbScale): number {
  const share = fromTipMm / stand.lengthMm
  return Math.max(1.2, (stand.limb.diameterMm * (1 / 3 + (2 / 3) * share) * scale.perMm) / 2)
}

/** Evenly spread places along the limb, mm from its tip. */
export function spread(count: number, lengthMm: number): number[] {
  return Array.from({ length: count }, (_, i) => ((i + 0.5) * lengthMm) / count)
}
