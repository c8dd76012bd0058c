import { describe, expect, it } from 'vitest'
import { area, litres, show, toSend, typed } from './quantity'
import { METRIC, US } from '@/testing/readers'

describe('quantities', () => {
  it('shows much of a volume or a mass in the larger unit', () => {
    expect(show(999, 'volume', METRIC)).toBe('999 mL')
    expect(show(4394, 'volume', METRIC)).toBe('4.4 L')
    expect(show(12_400, 'volume', METRIC)).toBe('12 L')
    expect(show(1500, 'volume', US)).toBe('1.6 qt')
    expect(show(2417, 'mass', METRIC)).toBe('2.4 kg')
    expect(show(2417, 'mass', US)).toBe('5.3 lb')
  })

  it('are shown in the units of the reader', () => {
    expect(show(19.05, 'length', US)).toBe('0.75 in')
    expect(show(19.05, 'length', METRIC)).toBe('19 mm')
    expect(show(20, 'temperature', US)).toBe('68 F')
    expect(show(2, 'temperatureShift', US)).toBe('3.6 F')
    expect(show(591.47, 'volume', US)).toBe('20 fl oz')
  })

  it('shows a mix and a roll in units that are bought', () => {
    expect(litres(3.4, METRIC)).toBe('3.4 L')
    expect(litres(3.4, US)).toBe('0.9 gal')
    expect(area(12_000, METRIC)).toBe('1.2 m²')
    expect(area(12_000, US)).toBe('12.9 ft²')
  })

  it('are sent as typed, with the unit beside the field where none was typed', () => {
    expect(toSend('3/4 in', 'length', METRIC)).toBe('3/4 in')
    expect(toSend(' 18 ', 'length', METRIC)).toBe('18 mm')
    expect(toSend('3/4', 'length', US)).toBe('3/4 in')
    expect(toSend('3/4"', 'length', METRIC)).toBe('3/4"')
    expect(toSend('-4', 'temperature', US)).toBe('-4 F')
    expect(toSend('0.3 %', 'concentration', US)).toBe('0.3 %')
    expect(toSend('3000', 'concentration', US)).toBe('3000 ppm')
  })

  it('are sent empty where the field is empty, so that the server can say so', () => {
    expect(toSend('  ', 'length', METRIC)).toBe('')
  })

  it('come back unchanged when nothing was edited', () => {
    expect(Number(typed(19.05, 'length', US)) * 25.4).toBeCloseTo(19.05, 2)
    expect(typed(12.5, 'length', METRIC)).toBe('12.5')
  })
})
