import { describe, expect, it } from 'vitest'
import vectors from '../../../core/tests/vectors/numbers.json'
import { readNumber, writeNumber, type NumberRules } from './number'

// The same file that core is held to.
describe('numbers on the device', () => {
  it.each(vectors.read.map((vector, at) => ({ at, ...vector })))(
    '$at reads "$typed" as core does',
    ({ typed, style, units, low, high, whole, ...expected }) => {
      const read = readNumber(typed, { style, units, low, high, whole } as NumberRules)
      if ('value' in expected && expected.value !== undefined)
        expect(read).toEqual({ value: expect.closeTo(expected.value, 9) })
      else
        expect('fault' in read && { ...read.fill, fault: read.fault }).toMatchObject(
          expected.one || expected.other ? pick(expected) : { fault: expected.fault },
        )
    },
  )

  it('writes a number so that it reads it again', () => {
    for (const style of ['point', 'comma'] as const) {
      for (const value of [0, 0.5, 34000, 1234.567, 1e7]) {
        expect(readNumber(writeNumber(value, style), { style })).toEqual({ value })
      }
    }
  })

  it('tells the range in the unit of the field', () => {
    expect(readNumber('120', { units: { lb: 1 }, low: 0, high: 100, name: 'lb' })).toEqual({
      fault: 'too_high',
      fill: { typed: '120', high: '100 lb' },
    })
  })
})

const pick = ({ fault, one, other }: { fault?: string; one?: string; other?: string }) =>
  Object.fromEntries(Object.entries({ fault, one, other }).filter(([, value]) => value !== undefined))
