/** What is done to each leaf that is drawn, the lowest and largest first. */
export type LeafState = 'on' | 'half' | 'off'

/** More are drawn as one leaf for several. */
const MAX_DRAWN = 16

/** How many leaves one drawn leaf stands for. */
export function leavesEach(leaves: number): number {
  return Math.max(1, Math.ceil(leaves / MAX_DRAWN))
}

/** All of them whole. */
export function whole(leaves: number): LeafState[] {
  return Array.from({ length: leaves }, () => 'on')
}

/** So many off, the lowest first, and so many of the rest halved. */
export function taken(leaves: number, off: number, halved: number): LeafState[] {
  return Array.from({ length: leaves }, (_, i) => (i < off ? 'off' : i < off + halved ? 'half' : 'on'))
}

/** Whole leaves that draw as much as what is left: a halved one draws half. */
export function drawing(states: LeafState[]): number {
  return states.reduce((sum, one) => sum + (one === 'on' ? 1 : one === 'half' ? 0.5 : 0), 0)
}

/** On, then halved, then off, then on again. */
export function next(state: LeafState): LeafState {
  return state === 'on' ? 'half' : state === 'half' ? 'off' : 'on'
}

/** What becomes of a drawn leaf is done to all that it stands for. */
export function touched(states: LeafState[], drawn: number, each: number): LeafState[] {
  const to = next(states[drawn * each]!)
  return states.map((one, i) => (i >= drawn * each && i < (drawn + 1) * each ? to : one))
}

export function count(states: LeafState[], state: LeafState): number {
  return states.filter((one) => one === state).length
}
