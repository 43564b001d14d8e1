import { expect, it } from 'vitest'
import type { Disc, SeedLot } from '@/api/types'
import { sayFit, shortOf } from './seed'

const disc = (id: number, name: string, from_size: number, to_size: number) =>
  ({ id, name, from_size, to_size }) as Disc
const discs = [disc(1, 'Small', 3, 5.5), disc(2, 'Popcorn', 6.5, 8.5)]
const lot = {
  size: 7.9,
  on_hand: 97.5,
  needed: 163,
  discs: [
    { id: 1, takes: 'too_large' },
    { id: 2, takes: 'fits' },
  ],
} as SeedLot

it('names a misfit and the disc that would do', () => {
  expect(sayFit(lot, discs[0], discs)).toBe('7.9 mm: seed too large for it, made for 3 to 5.5 mm. Popcorn would fit.')
  expect(sayFit(lot, discs[1], discs)).toBe('7.9 mm: fits Popcorn.')
  expect(sayFit(lot, undefined, discs)).toBe('7.9 mm: Popcorn would fit.')
  expect(sayFit({ ...lot, size: 9.4, discs: [] }, undefined, discs)).toBe('9.4 mm: You have no disc for this size.')
  expect(sayFit(undefined, discs[0], discs)).toBe('')
})

it('says what is short', () => {
  expect([shortOf(lot), shortOf({ ...lot, on_hand: 200 }), shortOf({ ...lot, on_hand: null })]).toEqual([66, 0, null])
})
