import { describe, expect, it } from 'vitest'
import type { Check, Unit } from '@/api/types'
import vectors from '../../../core/tests/vectors/amounts.json'
import type { Units } from './length'
import { printApart, printQuantity, readFigure, readQuantity, sayInUnit } from './quantity'

type Read = { typed: string; unit: Unit; units: Units; value?: number; fault?: string }
type Print = { value: number; unit: Unit; units: Units; text: string }

describe('amounts, held to the vectors that core is held to', () => {
  it.each(vectors.read as Read[])('reads "$typed" of $unit in $units', ({ typed, unit, units, value, fault }) => {
    expect(readQuantity(typed, unit, units)).toMatchObject(fault ? { fault } : { value })
  })
  it.each(vectors.print as Print[])('prints $value $unit in $units as $text', ({ value, unit, units, text }) => {
    expect(printQuantity(value, unit, units)).toBe(text)
  })
})

it('reads and prints lengths in the same way', () => {
  expect(readQuantity('14 3/8', 'mm', 'mm')).toEqual({ value: 365.125 })
  expect(readQuantity('14 3/', 'mm', 'in')).toMatchObject({ fault: 'unfinished_fraction' })
  expect(printQuantity(365.125, 'mm', 'in')).toBe('14 3/8 in')
  expect(printApart(365.125, 368.3, 'mm', 'in')).toBe('1/8 in')
  expect(printApart(17.2, 18.5, 'inH2O', 'in')).toBe('1.3 in H2O')
})

it('reads the side behind a figure where the check has one, and nowhere else', () => {
  const centring = { unit: 'mm', chips: [{ chip: 'off_left', verdict: 'sound' }] } as Pick<Check, 'unit' | 'chips'>
  const read = (typed: string, check = centring) => readFigure(typed, check, 'in')
  expect(read('1/4 L')).toEqual({ value: 6.35, chips: ['off_left'] })
  expect(read('6 mm right')).toEqual({ value: 6, chips: ['off_right'] })
  expect(read('1/4')).toEqual({ value: 6.35, chips: [] })
  expect(read('L')).toHaveProperty('fault')
  expect(read('14 3/8 L', { unit: 'mm', chips: [] })).toHaveProperty('fault')
})

it('says a unit in full where it is read aloud, and none where there is none', () => {
  expect(sayInUnit('mm', 'in')).toBe('in inches')
  expect(sayInUnit('mm', 'mm')).toBe('in millimeters')
  expect(sayInUnit('inH2O', 'in')).toBe('in inches of water')
  expect(sayInUnit('psi', 'mm')).toBe('in bar')
  expect(sayInUnit('notch', 'in')).toBe('')
})
