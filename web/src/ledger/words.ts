import { COVERS, MEDIA, POSITIONS, word, WOODS, WOUNDS, WRAPS } from '@/shared/words'

/** What the ledger keeps apart by, as a grower asks for it. */
export const BY: [string, string][] = [
  ['SPECIES', 'Species'],
  ['VARIETY', 'Variety'],
  ['MOTHER', 'Mother'],
  ['RECIPE', 'Recipe'],
  ['WOUND', 'Wound'],
  ['HORMONE', 'Hormone'],
  ['MEDIUM', 'Medium'],
  ['WRAP', 'Wrap'],
  ['COVER', 'Cover'],
  ['WOOD', 'Wood'],
  ['POSITION', 'Position'],
  ['WEEK', 'Week set'],
  ['PLACE', 'Place'],
  ['HAND', 'Hand'],
  ['YEAR', 'Year'],
]

const CODES: Record<string, [string, string][]> = {
  WOUND: WOUNDS,
  MEDIUM: MEDIA,
  WRAP: WRAPS,
  COVER: COVERS,
  WOOD: WOODS,
  POSITION: POSITIONS,
}

/** A line of the ledger, in words. */
export function lineName(by: string, value: string, label: string | null): string {
  if (label) return label.charAt(0).toUpperCase() + label.slice(1)
  if (!value) return 'Not said'
  if (by === 'HORMONE') return Number(value) ? `${value} ppm` : 'None'
  if (by === 'WEEK') return `Week ${value}`
  if (by === 'VARIETY') return `‘${value}’`
  return word(CODES[by] ?? [], value)
}

export function percent(share: number): string {
  return `${Math.round(share * 100)}%`
}
