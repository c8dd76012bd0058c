import type { Name } from './useNames'

/** Letters and digits alone: “Quince ” and “quince” are one word. */
const bare = (word: string) =>
  word
    .normalize('NFD')
    .toLowerCase()
    .replaceAll(/[^\p{L}\p{N}]/gu, '')

/** @returns the value that a word of a file plainly means: the only one that is called so */
export function meaning(word: string, names: Name[]): string | undefined {
  const wanted = bare(word)
  if (wanted === '') return undefined
  const meant = names.filter((name) => name.some((one) => bare(one) === wanted))
  return meant.length === 1 ? meant[0]![0] : undefined
}
