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

/** From so much on, in SI, a reader wants the larger unit of so many. */
const LARGER: Partial<Record<Dimension, Record<Units, { from: number; si: number; unit: string }>>> = {
  volume: {
    METRIC: { from: 1000, si: 1000, unit: 'L' },
    US: { from: 946.352946, si: 946.352946, unit: 'qt' },
  },
  mass: {
    METRIC: { from: 1000, si: 1000, unit: 'kg' },
    US: { from: 453.59237, si: 453.59237, unit: 'lb' },
  },
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

/** "20 mm" or "0.79 in"; much of a volume or a mass in the larger unit: "4.4 L", "1.1 qt", "2.4 kg", "5.3 lb". */
export function show(si: number, dimension: Dimension, units: Units): string {
  const large = LARGER[dimension]?.[units]
  if (large && Math.abs(si) >= large.from)
    return `${trim(si / large.si, si >= 10 * large.from ? 0 : 1)} ${large.unit}`
  const value = fromSi(si, dimension, units)
  const digits = units === 'US' && dimension === 'length' ? 2 : units === 'US' || Math.abs(value) < 10 ? 1 : 0
  return `${trim(value, digits)} ${unitOf(dimension, units)}`
}

/** "3.4 L" or "0.9 gal". */
export function litres(value: number, units: Units): string {
  return units === 'US' ? `${(value / 3.785411784).toFixed(1)} gal` : `${value.toFixed(1)} L`
}

/** "1.2 m²" or "12.9 ft²". */
export function area(cm2: number, units: Units): string {
  return units === 'US' ? `${(cm2 / 929.0304).toFixed(1)} ft²` : `${(cm2 / 10_000).toFixed(1)} m²`
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
