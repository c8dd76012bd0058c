import { expect, test } from 'vitest'
import { meaning } from './meaning'
import type { Name } from './useNames'

const SPECIES: Name[] = [
  ['CYDOBL', 'quince, Cydonia oblonga', 'quince', 'Cydonia oblonga'],
  ['ERIJAP', 'loquat, Eriobotrya japonica', 'loquat', 'Eriobotrya japonica'],
]

test('a word means what is called so, however it is written', () => {
  expect(meaning(' Quince', SPECIES)).toBe('CYDOBL')
  expect(meaning('cydonia  oblonga', SPECIES)).toBe('CYDOBL')
  expect(meaning('erijap', SPECIES)).toBe('ERIJAP')
  expect(meaning('moss & foil', [['Moss and foil', 'Moss and foil']])).toBeUndefined()
})

test('nothing is guessed that could be another', () => {
  const twins: Name[] = [
    ['A-1', 'A-1, Amber'],
    ['A 1', 'A 1, Umber'],
  ]
  expect(meaning('a1', twins)).toBeUndefined()
  expect(meaning('--', SPECIES)).toBeUndefined()
  expect(meaning('pear', SPECIES)).toBeUndefined()
})
