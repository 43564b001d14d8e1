import { expect, it } from 'vitest'
import { severity, worst, worstOf } from './verdict'

it('ranks verdicts as core does, and takes the gravest', () => {
  const ranked = ['unchecked', 'sound', 'watch', 'change', 'failed'] as const
  expect(ranked.map(severity)).toEqual([0, 1, 2, 3, 4])
  expect(worst(['sound', 'change', 'watch'])).toBe('change')
  expect(worst([])).toBe('unchecked')
  expect(worstOf([{ now: null }, { now: { verdict: 'sound' } }])).toBe('sound')
})
