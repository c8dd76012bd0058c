import { POSITIONS, WOODS } from '@/shared/words'
import type { BenchRow } from './useBench'

/** The cells of a row in the order in which they stand, and in which a sheet is pasted. */
export const COLUMNS = ['diameter', 'wood', 'position', 'leaves', 'fromUnion', 'lean', 'ring'] as const
export type Column = (typeof COLUMNS)[number]

/** How wood is called in the sheets of nurseries, beside our own words. */
const WOOD_YEARS: [RegExp, string][] = [
  [/^(soft|green|0|this year)/i, 'SOFT'],
  [/^(1|2|one|two)\b/i, 'ONE_TWO'],
  [/^(3|4|three|four)\b/i, 'THREE_FOUR'],
  [/^(old|5|over)/i, 'OLDER'],
]

/** The code that a pasted word stands for; a word that is not known stays, so that it can be seen and mended. */
export function codeOf(column: Column, text: string): string {
  const plain = text.trim()
  const pairs = column === 'wood' ? WOODS : column === 'position' ? POSITIONS : null
  if (!pairs || !plain) return plain
  const low = plain.toLowerCase().replaceAll("'", '’')
  const found =
    pairs.find(([code]) => code === plain.toUpperCase()) ??
    pairs.find(([, label]) => label.toLowerCase() === low) ??
    pairs.find(([, label]) => label.toLowerCase().startsWith(low))
  if (found) return found[0]
  return (column === 'wood' && WOOD_YEARS.find(([word]) => word.test(plain))?.[1]) || plain
}

/** The cells of what was copied from a sheet; null if it is a single value. */
export function cellsOf(text: string): string[][] | null {
  if (!/[\t\n]/.test(text.replace(/\r?\n$/, ''))) return null
  return text
    .replace(/\r/g, '')
    .replace(/\n+$/, '')
    .split('\n')
    .map((line) => line.split('\t').map((cell) => cell.trim()))
}

/** Lays the cells over the rows from one cell on; rows that are missing are made like the last one. */
export function lay(
  rows: BenchRow[],
  at: number,
  column: Column,
  cells: string[][],
  another: (like: BenchRow) => BenchRow,
): BenchRow[] {
  const first = COLUMNS.indexOf(column)
  const all = [...rows]
  cells.forEach((line, i) => {
    const like = all[at + i] ?? another(all.at(-1)!)
    const row = { ...like, limb: '' }
    line.forEach((cell, j) => {
      const name = COLUMNS[first + j]
      if (name && cell) row[name] = codeOf(name, cell)
    })
    all[at + i] = row
  })
  return all
}
