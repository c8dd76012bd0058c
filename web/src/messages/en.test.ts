import { describe, expect, it } from 'vitest'
import { en } from './en'

const files = import.meta.glob<string>(
  ['../**/*.vue', '../**/*.ts', '!../**/*.test.ts', '!./en.ts', '!../**/*.d.ts'],
  {
    query: '?raw',
    import: 'default',
    eager: true,
  },
)
const source = Object.values(files).join('\n')

/** Every sentence by its key. */
function sentences(of: object, before = ''): [string, string][] {
  return Object.entries(of).flatMap(([name, inside]: [string, unknown]) =>
    typeof inside === 'string'
      ? ([[before + name, inside]] as [string, string][])
      : sentences(inside as object, `${before}${name}.`),
  )
}
const all = new Map(sentences(en))

/** Where a key is put together, its last part is what a code says: `people.role.${one.role}`. */
const families = new Set([...source.matchAll(/\bt\(\s*`((?:\w+\.)+)\$\{[^}]*\}`/g)].map((found) => found[1]!))
const isOfFamily = (key: string): boolean => families.has(key.slice(0, key.lastIndexOf('.') + 1))

/** Calls with a plain key, and the names that are given with it; null where a variable is. */
function calls(): { key: string; given: string[] | null }[] {
  return [...source.matchAll(/\bt\(\s*'([^']+)'\s*(,?)/g)].map((found) => {
    if (!found[2]) return { key: found[1]!, given: [] }
    const rest = source.slice(found.index + found[0].length).trimStart()
    return { key: found[1]!, given: rest.startsWith('{') ? names(rest) : rest.startsWith(')') ? [] : null }
  })
}

/** The names of an object that begins a text. */
function names(text: string): string[] {
  const found: string[] = []
  let depth = 0
  let part = ''
  for (const sign of text) {
    if ('{([`'.includes(sign) && !(sign === '`' && part.includes('`'))) depth++
    if (depth === 1 && (sign === ',' || sign === '}')) {
      const name = /^\s*[{,]?\s*(\w+)/.exec(part)?.[1]
      if (name) found.push(name)
      part = ''
    } else part += sign
    if ('})]'.includes(sign) || (sign === '`' && part.split('`').length % 2 === 1)) depth--
    if (depth === 0) break
  }
  return found
}

const placeholders = (sentence: string): string[] => [
  ...new Set([...sentence.matchAll(/\{(\w+)\}/g)].map((one) => one[1]!)),
]

describe('the words of the pages', () => {
  it('are all on some page', () => {
    expect(all.size).toBeGreaterThan(150)
    expect([...all.keys()].filter((key) => !source.includes(`'${key}'`) && !isOfFamily(key))).toEqual([])
  })

  it('are there for every page that asks for them', () => {
    const asked = calls()
    expect(asked.length).toBeGreaterThan(100)
    expect(asked.map((one) => one.key).filter((key) => !all.has(key))).toEqual([])
    expect([...families].filter((family) => ![...all.keys()].some((key) => key.startsWith(family)))).toEqual(
      [],
    )
  })

  it('get a value for each of their blanks, and none beside', () => {
    const wrong = calls()
      .filter((one) => one.given && all.has(one.key))
      .map((one) => ({
        key: one.key,
        given: [...one.given!].sort(),
        wanted: placeholders(all.get(one.key)!).sort(),
      }))
      .filter((one) => one.given.join() !== one.wanted.join())
    expect(wrong).toEqual([])
  })
})
