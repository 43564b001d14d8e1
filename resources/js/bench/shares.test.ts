import { expect, it } from 'vitest'
import { type BenchRun, newestOf, percent, sayAir, sayCells, sayLook, saySetUp } from './shares'

it('takes the newest run of each row, and says shares to a tenth', () => {
  const run = (row: number, id: string) => ({ row, id }) as BenchRun
  expect(newestOf([run(3, 'b'), run(1, 'c'), run(3, 'a')]).map(({ id }) => id)).toEqual(['c', 'b'])
  expect(percent(0.98)).toBe('98.0%')
})

it('says which cell it is, and where the best air is not known yet', () => {
  const none = { skipping: [], doubling: [] }
  const bad = { ...none, skipping: [{ cell: 12, wrong: 16, turns: 16 }] }
  expect(sayCells(none as never)).toEqual([])
  expect(sayCells(null)).toEqual([])
  expect(sayCells(bad as never)[0]).toBe('Cell 12 from the first seed on: skips in 16 of 16 turns.')
  const advice = { air: 12.4, low: 11.2, high: 14, in_sight: false, way: 'more' }
  expect(sayAir(advice as never)).toBe(
    'Best vacuum is above what you tested. Fewest errors at 12.4 in H₂O; the best vacuum is between 11.2 and 14, 8 times in 10.',
  )
  expect(sayAir({ ...advice, way: null } as never)).toContain('Too early to tell')
})

it('says how a run was set up, as far as it was said', () => {
  const bare = { air: null, seed: '', rpm: null, mph: null, singulator: '', lubricant: '', run_in: null, part_of: null }
  expect(saySetUp(bare)).toBe('')
  expect(saySetUp({ ...bare, air: 13, seed: 'Lot 7', mph: 5 })).toBe(' · 13 in H₂O · Lot 7 · 5 mph')
  expect(saySetUp({ ...bare, rpm: 28.6, mph: 5, singulator: 'step 2', lubricant: 'talc' })).toBe(
    ' · 28.6 turns/min at 5 mph · step 2 · talc',
  )
  expect(saySetUp({ ...bare, run_in: 50, part_of: 'first' })).toBe(' · 50 seeds run in · after the vacuum was changed')
})

it('says what a turn by hand showed', () => {
  expect(sayLook({ skips: 0, doubles: 0, places: 30 })).toBe('one seed in each of 30 cells')
  expect(sayLook({ skips: 1, doubles: 2, places: 30 })).toBe('1 empty, 2 double of 30 cells')
})
