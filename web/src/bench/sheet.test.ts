import { describe, expect, it } from 'vitest'
import { cellsOf, codeOf, lay } from './sheet'
import type { BenchRow } from './useBench'

const row = (key: number, diameter: string): BenchRow => ({
  key,
  limb: '3',
  slot: '',
  diameter,
  wood: 'ONE_TWO',
  position: 'BELOW_NODE',
  leaves: '8',
  fromUnion: '400',
  lean: '30',
  ring: '',
  volume: '',
  length: '',
  across: '',
  tie: '',
  hollow: '',
  specimen: false,
  fruitToKeep: false,
})
let key = 10
const another = (like: BenchRow): BenchRow => ({ ...like, key: key++ })

describe('a sheet that is pasted', () => {
  it('is one only with a tab or a line break in it', () => {
    expect(cellsOf('18 mm')).toBeNull()
    expect(cellsOf('18 mm\r\n')).toBeNull()
    expect(cellsOf('18\t3-4\r\n3/4 in\tsoft\r\n')).toEqual([
      ['18', '3-4'],
      ['3/4 in', 'soft'],
    ])
  })

  it('knows wood and position by code, by our words and by years', () => {
    expect(codeOf('wood', 'three_four')).toBe('THREE_FOUR')
    expect(codeOf('wood', 'Older')).toBe('OLDER')
    expect(codeOf('wood', '1-2')).toBe('ONE_TWO')
    expect(codeOf('wood', '3 years')).toBe('THREE_FOUR')
    expect(codeOf('wood', "soft, this year's")).toBe('SOFT')
    expect(codeOf('position', 'between nodes')).toBe('BETWEEN_NODES')
    expect(codeOf('position', 'sideways')).toBe('sideways')
    expect(codeOf('diameter', ' 3/4 in ')).toBe('3/4 in')
  })

  it('fills from the cell in hand, makes the rows that are missing, and leaves the rest', () => {
    const laid = lay(
      [row(1, '10'), row(2, '11')],
      1,
      'diameter',
      [['20', 'soft'], ['21', ''], ['22']],
      another,
    )
    expect(laid.map((one) => one.diameter)).toEqual(['10', '20', '21', '22'])
    expect(laid.map((one) => one.wood)).toEqual(['ONE_TWO', 'SOFT', 'SOFT', 'SOFT'])
    expect(laid[1]!.key).toBe(2)
    expect(new Set(laid.map((one) => one.key)).size).toBe(4)
    // what is pasted is no longer the limb on record
    expect(laid[1]!.limb).toBe('')
    expect(laid[0]!.limb).toBe('3')
  })

  it('drops what hangs over the right edge', () => {
    expect(lay([row(1, '10')], 0, 'lean', [['45', 'what', 'else']], another)[0]!.lean).toBe('45')
  })
})
