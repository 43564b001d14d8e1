import { expect, it } from 'vitest'
import { printChance, sayOdds } from './odds'

it.each([
  [0, 'less than 1 in 100 (under 1%)'],
  [0.008, 'about 1 in 100 (under 1%)'],
  [0.02, 'about 1 in 50 (2%)'],
  [0.12, 'about 1 in 8 (12%)'],
  [0.34, 'about 1 in 3 (34%)'],
  [0.5, 'about 1 in 2 (50%)'],
  [0.66, 'about 2 in 3 (66%)'],
  [0.78, 'about 4 in 5 (78%)'],
  [0.9, 'about 9 in 10 (90%)'],
  [0.98, 'about 49 in 50 (98%)'],
  [1, 'almost certain (over 99%)'],
])('says a chance of %d as %s', (chance, said) => expect(sayOdds(chance)).toBe(said))

it('says no chance further off than a person would take for the same', () => {
  for (let chance = 0.01; chance <= 0.99; chance += 0.001) {
    const [, count = 0, of = 1] = (/(\d+) in (\d+)/.exec(sayOdds(chance)) ?? []).map(Number)
    const odds = (share: number) => share / (1 - share)
    const off = odds(count / of) / odds(chance)
    expect(off, `${chance} is said as ${count} in ${of}`).toBeGreaterThan(0.66)
    expect(off, `${chance} is said as ${count} in ${of}`).toBeLessThan(1.52)
  }
})

it('never calls the ends certain', () => {
  expect(printChance(0)).toBe('under 1%')
  expect(printChance(1)).toBe('over 99%')
})
