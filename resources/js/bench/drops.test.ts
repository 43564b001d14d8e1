import { expect, it } from 'vitest'
import { dropsOf } from './drops'

it('leaves empty places open, and forks what dropped together', () => {
  expect(dropsOf([0, 1.02, 1.3, 3.1, 6.2])).toEqual([
    { place: 0, kind: 'single' },
    { place: 1.02, kind: 'double' },
    { place: 1.3 + 0.9, kind: 'skip' },
    { place: 3.1, kind: 'single' },
    { place: expect.closeTo(4.133, 2), kind: 'skip' },
    { place: expect.closeTo(5.167, 2), kind: 'skip' },
    { place: 6.2, kind: 'single' },
  ])
  expect(dropsOf([])).toEqual([])
})
