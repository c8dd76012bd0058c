import type { Schemas } from '@/shared/api/client'

type Drawing = Schemas['Drawing']

/** Where everything of a stem drawing lies, in millimetres of the branch; y grows from the tip down. */
export interface StemGeometry {
  width: number
  height: number
  centre: number
  limb: { x: number; width: number }
  ball: { top: number; length: number; diameter: number }
  ring: { top: number; height: number } | null
  node: number
  roots: string[]
}

/** Bare limb above and below the ball, mm. */
const LIMB_ABOVE = 55
const LIMB_BELOW = 45
/** What is left under the ball of a severed layer, mm. */
const STUB = 15
/** The upper cut lies this far below a node, mm. */
const BELOW_NODE = 8

export function stemGeometry(
  drawing: Drawing,
  sectors: readonly number[],
  fillPercent: number,
  stage: string,
  severed = false,
): StemGeometry {
  const { ballLengthMm, ballDiameterMm, diameterMm } = drawing.ball
  // what was cut may differ from what the sums would cut today: the ball grows or shrinks with the ring
  const length = drawing.ringMm > 0 ? drawing.ringMm + drawing.aboveMm + drawing.belowMm : ballLengthMm
  const width = ballDiameterMm + 40
  const centre = width / 2
  const top = LIMB_ABOVE
  const upperCut = top + drawing.aboveMm
  const ring = drawing.ringMm > 0 ? { top: upperCut, height: drawing.ringMm } : null
  return {
    width,
    height: LIMB_ABOVE + length + (severed ? STUB : LIMB_BELOW),
    centre,
    limb: { x: centre - diameterMm / 2, width: diameterMm },
    ball: { top, length, diameter: ballDiameterMm },
    ring,
    node: nodeAt(drawing.position, upperCut, drawing.ringMm),
    roots:
      stage === 'NONE' || stage === 'CALLUS' ? [] : roots(drawing, sectors, fillPercent, upperCut, centre),
  }
}

function nodeAt(position: string, upperCut: number, ringMm: number): number {
  switch (position) {
    case 'BETWEEN_NODES':
      return upperCut - 24
    case 'NODE_IN_RING':
      return upperCut + ringMm / 2
    default:
      return upperCut - BELOW_NODE
  }
}

/** One stroke for each root that a sector's density stands for, as long as the ball is full. */
function roots(
  drawing: Drawing,
  sectors: readonly number[],
  fillPercent: number,
  upperCut: number,
  centre: number,
): string[] {
  const limb = drawing.ball.diameterMm / 2
  const reach = drawing.ball.ballDiameterMm / 2 - limb
  const paths: string[] = []
  sectors.forEach((density, sector) => {
    // seen from the side: sectors in front and behind fall near the limb, those at the sides far from it
    const angle = ((sector + 0.5) / sectors.length) * 2 * Math.PI
    const side = Math.sin(angle)
    for (let strand = 0; strand < density * 2; strand++) {
      const spread = 0.75 + 0.25 * Math.cos(strand * 2.4 + sector)
      const out = limb * Math.sign(side) + side * reach * (0.15 + (0.85 * fillPercent) / 100) * spread
      const drop = (strand - density) * 6 + 8 * Math.cos(sector + strand)
      const startX = centre + limb * Math.sign(side)
      const endX = centre + out
      const bendX = (startX + endX) / 2
      paths.push(
        `M${startX.toFixed(1)} ${upperCut.toFixed(1)}Q${bendX.toFixed(1)} ${(upperCut - 4 + drop / 3).toFixed(1)} ${endX.toFixed(1)} ${(upperCut + drop).toFixed(1)}`,
      )
    }
  })
  return paths
}
