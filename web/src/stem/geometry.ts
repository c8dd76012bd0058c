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
  sectors: readonly number[] | null,
  fillPercent: number | null,
  stage: string,
  severed = false,
): StemGeometry {
  const { ballLengthMm, ballDiameterMm, diameterMm } = drawing.ball
  const length = ballLengthMm
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
      // roots that nobody looked at are not drawn
      stage === 'NONE' || stage === 'CALLUS' || !sectors
        ? []
        : roots(drawing, sectors, fillPercent ?? 0, upperCut, centre),
  }
}

function nodeAt(position: string | null, upperCut: number, ringMm: number): number {
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
  const reach = drawing.ball.ballDiameterMm / 2 - limb - 2
  const drop = drawing.ringMm + drawing.belowMm - 4
  const rise = drawing.aboveMm - 6
  const paths: string[] = []
  sectors.forEach((density, sector) => {
    // seen from the side: sectors in front and behind fall near the limb, those at the sides far from it
    const side = Math.sin(((sector + 0.5) / sectors.length) * 2 * Math.PI)
    for (let strand = 0; strand < density * 3; strand++) {
      const grown = (0.25 + (0.75 * fillPercent) / 100) * (0.7 + 0.3 * scatter(sector * 17 + strand))
      // most roots go down, some out, few up: an angle from -40 to 75 degrees below the level of the cut
      const angle = (-40 + 115 * scatter(sector * 7 + strand * 3 + 1)) * (Math.PI / 180)
      const out = side * reach * grown * Math.cos(angle * 0.8)
      const down = Math.sin(angle) * (angle > 0 ? drop : rise) * grown
      const startX = centre + limb * Math.sign(side)
      const endX = startX + out
      const bendX = startX + out * 0.55
      const bendY = upperCut + down * 0.25 - 3
      paths.push(`M${n(startX)} ${n(upperCut)}Q${n(bendX)} ${n(bendY)} ${n(endX)} ${n(upperCut + down)}`)
    }
  })
  return paths
}

/** Strands of the medium inside the ball, the same at every drawing. */
export function strands(stem: StemGeometry, count: number): string[] {
  const { ball, centre } = stem
  return Array.from({ length: count }, (_, i) => {
    const turn = i * 2.39996
    const far = Math.sqrt((i + 0.5) / count) * 0.92
    const x = centre + Math.cos(turn) * far * (ball.diameter / 2)
    const y = ball.top + ball.length / 2 + Math.sin(turn) * far * (ball.length / 2)
    const dx = 5 * Math.cos(i * 1.7)
    const dy = 3.5 * Math.sin(i * 2.3)
    return `M${n(x - dx)} ${n(y - dy)}q${n(dx - dy)} ${n(dy + dx * 0.4)} ${n(2 * dx)} ${n(2 * dy)}`
  })
}

/** A number from 0 to 1 that looks like chance and is always the same for the same seed. */
function scatter(seed: number): number {
  const x = Math.sin(seed * 12.9898 + 4.1) * 43758.5453
  return x - Math.floor(x)
}

function n(value: number): string {
  return value.toFixed(1)
}
