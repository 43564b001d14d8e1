import { describe, expect, it } from 'vitest'
import vectors from '../../../core/tests/vectors/lengths.json'
import { printDifference, printLength, readLength, type Units } from './length'

// The same file that core is held to.
describe('lengths on the device', () => {
  it.each(vectors.read)('reads "$typed" in $units as core does', ({ typed, units, ...expected }) => {
    expect(readLength(typed, units as Units)).toMatchObject(expected)
  })

  it.each(vectors.print)('prints $nm nm in $units as core does', ({ nm, units, text }) => {
    expect(printLength(nm, units as Units)).toBe(text)
  })

  it.each(vectors.difference)('prints a difference of $nm nm in $units as core does', ({ nm, units, text }) => {
    expect(printDifference(nm, units as Units)).toBe(text)
  })
})
