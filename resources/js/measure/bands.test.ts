import { expect, it } from 'vitest'
import type { Band, Doubt } from '@/api/types'
import { bladeCheck, scraperCheck, touchCheck } from '@/testing'
import { doubtsAbout, judgeByBands, judgeState, wordReasons } from './bands'

// A blade: change under 14 1/2 in = 368.3 mm, watch up to and including 14 5/8 in = 371.475 mm.
const limit = { code: 'near_limit', ref: 368.3, unit: 'mm' as const }
const bands: Band[] = [
  { from: 0, verdict: 'change', reasons: [{ code: 'under_limit', ref: 368.3, unit: 'mm' as const }] },
  { from: 368.3, verdict: 'watch', reasons: [limit] },
  { from: 371.475001, verdict: 'sound', reasons: [] },
]

it.each([
  [0, 'change'],
  [368.299999, 'change'],
  [368.3, 'watch'],
  [371.475, 'watch'],
  [371.475001, 'sound'],
  [381, 'sound'],
])('judges %f mm as %s', (mm, verdict) => {
  expect(judgeByBands(bands, mm, bladeCheck).verdict).toBe(verdict)
})

it('raises the doubts that concern a value, edges excluded', () => {
  const doubts: Doubt[] = [
    { code: 'larger_than_new', ref: 381, unit: 'mm', below: null, above: 381 },
    { code: 'far_from_rows', ref: 374.65, unit: 'mm', below: 363.5375, above: 385.7625 },
  ]
  const codes = (mm: number) => doubtsAbout(doubts, mm).map((doubt) => doubt.code)
  expect(codes(381)).toEqual([])
  expect(codes(382)).toEqual(['larger_than_new'])
  expect(codes(386)).toEqual(['larger_than_new', 'far_from_rows'])
  expect(codes(363.5)).toEqual(['far_from_rows'])
})

it('words reasons with their figures, in the units of the person', () => {
  const reasons = [{ code: 'under_limit', ref: 368.3, unit: 'mm' as const }]
  expect(wordReasons('opener_blade_diameter', reasons, 365.125, 'in')).toBe('1/8 in under the limit of 14 1/2 in.')
  expect(wordReasons('opener_blade_diameter', reasons, 365.125, 'mm')).toBe('3.2 mm under the limit of 368.3 mm.')
})

it('takes the worst of what was said and what was ticked, as core has weighed it', () => {
  const judge = (state: 'sound' | 'watch' | 'failed', ...chips: ('worn' | 'bent' | 'broken')[]) =>
    judgeState(scraperCheck, { state, chips }).verdict
  expect([judge('watch'), judge('watch', 'bent'), judge('watch', 'bent', 'worn'), judge('watch', 'broken')]).toEqual([
    'watch',
    'watch',
    'change',
    'failed',
  ])
  expect(judge('failed', 'bent')).toBe('failed')
  expect(judgeState(touchCheck, { state: 'gap', chips: [] })).toMatchObject({
    verdict: 'change',
    reasons: [{ code: 'touch_gap' }],
  })
  const ticked = judgeState(scraperCheck, { state: 'watch', chips: ['worn', 'bent'] })
  expect(wordReasons('scraper', ticked.reasons, null, 'in')).toBe('Worn. Bent.')
})
