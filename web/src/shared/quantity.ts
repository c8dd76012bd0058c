import type { Units } from './session'

export type Dimension = Exclude<keyof Units, 'system'>

export function unitOf(dimension: Dimension, units: Units): string {
  return units[dimension].unit
}

/** The number that a reader of these units sees for an SI value. */
export function fromSi(si: number, dimension: Dimension, units: Units): number {
  const measure = units[dimension]
  return si / measure.si + measure.offset
}

/** "20 mm" or "0.79 in"; much of a volume or a mass in the larger unit: "4.4 L", "1.1 qt", "2.4 kg", "5.3 lb". */
export function show(si: number, dimension: Dimension, units: Units): string {
  const { larger } = units[dimension]
  if (larger && Math.abs(si) >= larger.si)
    return `${trim(si / larger.si, si >= 10 * larger.si ? 0 : 1)} ${larger.unit}`
  const value = fromSi(si, dimension, units)
  const us = units.system === 'US'
  const digits = us && dimension === 'length' ? 2 : us || Math.abs(value) < 10 ? 1 : 0
  return `${trim(value, digits)} ${unitOf(dimension, units)}`
}

/** "3.4 L" or "0.9 gal". */
export function litres(value: number, units: Units): string {
  return `${fromSi(value * 1000, 'bulk', units).toFixed(1)} ${unitOf('bulk', units)}`
}

/** "1.2 m²" or "12.9 ft²". */
export function area(cm2: number, units: Units): string {
  return `${((cm2 * 100) / units.span.si ** 2).toFixed(1)} ${unitOf('span', units)}²`
}

/** What an input begins with: the number alone, exact enough to come back unchanged. */
export function typed(si: number, dimension: Dimension, units: Units): string {
  return trim(fromSi(si, dimension, units), units.system === 'METRIC' ? 2 : 3)
}

/**
 * What is sent for typed text: a bare number gets the unit that stands beside the field, text with a unit goes as it is.
 * The server reads it; there is one place that knows how.
 */
export function toSend(text: string, dimension: Dimension, units: Units): string {
  const plain = text.trim()
  return !plain || /[a-z"'°%]\s*$/i.test(plain) ? plain : `${plain} ${unitOf(dimension, units)}`
}

/** A whole number as such; anything else as it was typed, for the server to say what is wrong. */
export function whole(text: string): number | string | null {
  const plain = text.trim()
  return plain === '' ? null : Number.isInteger(Number(plain)) ? Number(plain) : plain
}

/** A number as such; anything else as it was typed, for the server to say what is wrong. */
export function number(text: string): number | string | null {
  const plain = text.trim()
  return plain === '' ? null : Number.isFinite(Number(plain)) ? Number(plain) : plain
}

function trim(value: number, digits: number): string {
  return String(Number(value.toFixed(digits)))
}
