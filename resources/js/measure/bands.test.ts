import { expect, it } from 'vitest'
import type { Band, Doubt } from '@/api/types'
import { doubtsAbout, judgeByBands, wordReasons } from './bands'
import { fromMm } from './length'

// A blade: change under 14 1/2 in = 368.3 mm, watch up to and including 14 5/8 in = 371.475 mm.
const limit = { code: 'near_limit', ref_mm: 368.3 }
const bands: Band[] = [
  { from_mm: 0, verdict: 'change', reasons: [{ code: 'under_limit', ref_mm: 368.3 }] },
  { from_mm: 368.3, verdict: 'watch', reasons: [limit] },
  { from_mm: 371.475001, verdict: 'sound', reasons: [] },
]

it.each([
  [0, 'change'],
  [368.299999, 'change'],
  [368.3, 'watch'],
  [371.475, 'watch'],
  [371.475001, 'sound'],
  [381, 'sound'],
])('judges %f mm as %s', (mm, verdict) => {
  expect(judgeByBands(bands, fromMm(mm)).verdict).toBe(verdict)
})

it('raises the doubts that concern a value, edges excluded', () => {
  const doubts: Doubt[] = [
    { code: 'larger_than_new', ref_mm: 381, below_mm: null, above_mm: 381 },
    { code: 'far_from_rows', ref_mm: 374.65, below_mm: 363.5375, above_mm: 385.7625 },
  ]
  const codes = (mm: number) => doubtsAbout(doubts, fromMm(mm)).map((doubt) => doubt.code)
  expect(codes(381)).toEqual([])
  expect(codes(382)).toEqual(['larger_than_new'])
  expect(codes(386)).toEqual(['larger_than_new', 'far_from_rows'])
  expect(codes(363.5)).toEqual(['far_from_rows'])
})

it('words reasons with their figures, in the units of the person', () => {
  const reasons = [{ code: 'under_limit', ref_mm: 368.3 }]
  expect(wordReasons('reason', reasons, fromMm(365.125), 'in')).toBe('1/8 in under the limit of 14 1/2 in.')
  expect(wordReasons('reason', reasons, fromMm(365.125), 'mm')).toBe('3.2 mm under the limit of 368.3 mm.')
})
