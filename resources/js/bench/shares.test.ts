import { expect, it } from 'vitest'
import { type BenchRun, lean, newestOf, percent } from './shares'

it('leans to a side only by more than luck', () => {
  expect(lean({ skips: 0, doubles: 0 })).toBeUndefined()
  expect(lean({ skips: 8, doubles: 3 })).toBeUndefined()
  expect(lean({ skips: 20, doubles: 4 })).toBe('skips')
  expect(lean({ skips: 0, doubles: 5 })).toBe('doubles')
})

it('takes the newest run of each row, and says shares to a tenth', () => {
  const run = (row: number, id: string) => ({ row, id }) as BenchRun
  expect(newestOf([run(3, 'b'), run(1, 'c'), run(3, 'a')]).map(({ id }) => id)).toEqual(['c', 'b'])
  expect(percent(0.98)).toBe('98.0 %')
})
