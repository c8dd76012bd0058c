import { CAUSES, COVERS, MEDIA, POSITIONS, word, WOODS, WOUNDS, WRAPS } from '@/shared/words'

const OUTCOMES: [string, string][] = [
  ['FINISHED', 'released or lost'],
  ['UNDER_WAY', 'under way'],
  ['ROOTING_KNOWN', 'known whether they rooted'],
  ['ROOTED', 'rooted'],
  ['NOT_ROOTED', 'lost before they rooted'],
  ['ESTABLISHING_KNOWN', 'known whether they lived on after severance'],
  ['ESTABLISHED', 'lived on after severance'],
  ['LOST_AFTER_SEVERANCE', 'lost after severance'],
  ['SEEN_FULL', 'seen full'],
]
const LISTS: Record<string, [string, [string, string][]]> = {
  outcome: ['', OUTCOMES],
  cause: ['lost by: ', CAUSES],
  wound: ['wound: ', WOUNDS],
  medium: ['medium: ', MEDIA],
  wrap: ['wrap: ', WRAPS],
  cover: ['cover: ', COVERS],
  wood: ['wood: ', WOODS],
  position: ['ring: ', POSITIONS],
}
const PLAIN: Record<string, (value: string) => string> = {
  batch: () => 'of one batch',
  motherId: () => 'of one mother',
  line: () => 'of one line of mothers',
  motherPlace: () => 'mothers of one place',
  recipe: () => 'by one recipe',
  variety: (value) => `‘${value}’`,
  hormonePpm: (value) => (Number(value) ? `hormone of ${value} ppm` : 'without hormone'),
  year: (value) => `set in ${value}`,
  week: (value) => `set in week ${value}`,
}

/** What a filter that has no list of its own narrows to; empty if it has one. */
export function filterWords(name: string, value: string): string {
  const list = LISTS[name]
  if (list) return list[0] + word(list[1], value).toLowerCase()
  return PLAIN[name]?.(value) ?? ''
}
