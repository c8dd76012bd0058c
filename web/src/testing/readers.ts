import type { Units } from '@/shared/session'

/** What the server tells a reader of each system, for tests. */
export const METRIC: Units = {
  system: 'METRIC',
  length: { unit: 'mm', si: 1, offset: 0, larger: null },
  span: { unit: 'm', si: 1000, offset: 0, larger: null },
  volume: { unit: 'mL', si: 1, offset: 0, larger: { unit: 'L', si: 1000 } },
  bulk: { unit: 'L', si: 1000, offset: 0, larger: null },
  temperature: { unit: 'C', si: 1, offset: 0, larger: null },
  temperatureShift: { unit: 'C', si: 1, offset: 0, larger: null },
  mass: { unit: 'g', si: 1, offset: 0, larger: { unit: 'kg', si: 1000 } },
  concentration: { unit: 'ppm', si: 1, offset: 0, larger: null },
}

export const US: Units = {
  system: 'US',
  length: { unit: 'in', si: 25.4, offset: 0, larger: null },
  span: { unit: 'ft', si: 304.8, offset: 0, larger: null },
  volume: { unit: 'fl oz', si: 29.5735295625, offset: 0, larger: { unit: 'qt', si: 946.352946 } },
  bulk: { unit: 'gal', si: 3785.411784, offset: 0, larger: null },
  temperature: { unit: 'F', si: 5 / 9, offset: 32, larger: null },
  temperatureShift: { unit: 'F', si: 5 / 9, offset: 0, larger: null },
  mass: { unit: 'oz', si: 28.349523125, offset: 0, larger: { unit: 'lb', si: 453.59237 } },
  concentration: { unit: 'ppm', si: 1, offset: 0, larger: null },
}
