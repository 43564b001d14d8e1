import { expect, it } from 'vitest'
import type { Band, Check, Doubt, WalkStep } from '@/api/types'
import { bladeCheck, scraperCheck, touchCheck } from '@/testing'
import { bandsAt, doubtsAbout, judgeByBands, judgeState, wordReasons } from './bands'

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

it('takes the verdict that was ticked, whatever explains it; broken raises it', () => {
  const judge = (state: 'sound' | 'watch' | 'failed', ...chips: ('worn' | 'bent' | 'broken')[]) =>
    judgeState(scraperCheck, { state, chips }).verdict
  expect([judge('watch'), judge('watch', 'bent'), judge('watch', 'bent', 'worn'), judge('watch', 'broken')]).toEqual([
    'watch',
    'watch',
    'watch',
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

it('holds one side against the other where the check does so', () => {
  const at = { row: 1, check: 'inner_shims', side: 'left' } as WalkStep
  const shims = {
    ...bladeCheck,
    unit: 'shim',
    sides_within: 0,
    bands: [
      { from: 0, verdict: 'watch', reasons: [] },
      { from: 1, verdict: 'sound', reasons: [] },
    ],
  } as Check
  const judged = (check: Check, other: number | null, ...values: number[]) =>
    values.map((value) => judgeByBands(bandsAt(at, check, {}, other), value, check).verdict)
  expect(judged(shims, null, 0, 2, 3)).toEqual(['watch', 'sound', 'sound'])
  expect(judged(shims, 2, 0, 1, 2, 3)).toEqual(['change', 'change', 'sound', 'change'])
  const unlike = judgeByBands(bandsAt(at, shims, {}, 2), 3, shims)
  expect(unlike.reasons).toEqual([{ code: 'unequal_sides', ref: 2, unit: 'shim' }])
  // A tire of 57 to 63 psi, no more than 3 from its partner; too low stays too low.
  const low = { code: 'under_range', ref: 57, unit: 'psi' as const }
  const tire = {
    ...shims,
    unit: 'psi',
    sides_within: 3,
    bands: [
      { from: 0, verdict: 'change', reasons: [low] },
      { from: 57, verdict: 'sound', reasons: [] },
      { from: 63.001, verdict: 'change', reasons: [] },
    ],
  } as Check
  expect(judged(tire, 62, 58.9, 59, 62, 63, 63.5)).toEqual(['change', 'sound', 'sound', 'sound', 'change'])
  expect(judgeByBands(bandsAt(at, tire, {}, 62), 50, tire).reasons).toEqual([low])
  // A check that does not hold its sides against each other.
  expect(judged(bladeCheck, 300, 381)).toEqual(judged(bladeCheck, null, 381))
})
