import type { Units } from './session'

export type Dimension = 'length' | 'volume' | 'temperature' | 'temperatureShift' | 'mass' | 'concentration'

const UNIT: Record<Dimension, Record<Units, string>> = {
  length: { METRIC: 'mm', US: 'in' },
  volume: { METRIC: 'mL', US: 'fl oz' },
  temperature: { METRIC: 'C', US: 'F' },
  temperatureShift: { METRIC: 'C', US: 'F' },
  mass: { METRIC: 'g', US: 'oz' },
  concentration: { METRIC: 'ppm', US: 'ppm' },
}

export function unitOf(dimension: Dimension, units: Units): string {
  return UNIT[dimension][units]
}

/** The number that a reader of these units sees for an SI value. */
export function fromSi(si: number, dimension: Dimension, units: Units): number {
  if (units === 'METRIC') return si
  switch (dimension) {
    case 'length':
      return si / 25.4
    case 'volume':
      return si / 29.5735295625
    case 'mass':
      return si / 28.349523125
    case 'temperature':
      return (si * 9) / 5 + 32
    case 'temperatureShift':
      return (si * 9) / 5
    case 'concentration':
      return si
  }
}

/** "20 mm" or "0.79 in". */
export function show(si: number, dimension: Dimension, units: Units): string {
  const value = fromSi(si, dimension, units)
  const digits = units === 'US' && dimension === 'length' ? 2 : units === 'US' || Math.abs(value) < 10 ? 1 : 0
  return `${trim(value, digits)} ${unitOf(dimension, units)}`
}

/** What an input begins with: the number alone, exact enough to come back unchanged. */
export function typed(si: number, dimension: Dimension, units: Units): string {
  return trim(fromSi(si, dimension, units), units === 'METRIC' ? 2 : 3)
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
