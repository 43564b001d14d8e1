import { expect, it } from 'vitest'
import { type BenchRun, newestOf, percent } from './shares'

it('takes the newest run of each row, and says shares to a tenth', () => {
  const run = (row: number, id: string) => ({ row, id }) as BenchRun
  expect(newestOf([run(3, 'b'), run(1, 'c'), run(3, 'a')]).map(({ id }) => id)).toEqual(['c', 'b'])
  expect(percent(0.98)).toBe('98.0 %')
})
