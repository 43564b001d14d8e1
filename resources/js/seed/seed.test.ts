import { expect, it } from 'vitest'
import type { Disc, SeedLot } from '@/api/types'
import { sayField, sayFit, sayMeant, sayMixture, shortOf } from './seed'

const disc = (id: number, name: string, from_size: number, to_size: number) =>
  ({ id, name, from_size, to_size }) as Disc
const discs = [disc(1, 'Small', 3, 5.5), disc(2, 'Popcorn', 6.5, 8.5)]
const lot = {
  size: 7.9,
  size_class: '',
  get: 'Get one.',
  estimated_mm: null,
  on_hand: 97.5,
  needed: 163,
  discs: [
    { id: 1, takes: 'too_large', by: 'measured', contradicts: false },
    { id: 2, takes: 'fits', by: 'measured', contradicts: false },
  ],
} as SeedLot

it('names a misfit and the disc that would do', () => {
  expect(sayFit(lot, discs[0], discs)).toBe(
    '7.9 mm: seed too large for it (measured), made for 3 to 5.5 mm. Popcorn (measured) would fit.',
  )
  expect(sayFit(lot, discs[1], discs)).toBe('7.9 mm: fits Popcorn (measured).')
  expect(sayFit(lot, undefined, discs)).toBe('7.9 mm: Popcorn (measured) would fit.')
  expect(sayFit({ ...lot, size: 9.4, discs: [] }, undefined, discs)).toBe('9.4 mm: Get one.')
  expect(sayFit(undefined, discs[0], discs)).toBe('')
})

it('labels a fit that is only meant or estimated, and says where two of them disagree', () => {
  const byTag = { ...lot, size: null, size_class: 'medium flat', estimated_mm: [6.4, 8.7] } as SeedLot
  const fit = (id: number, takes: string, by: string, contradicts = false) => ({ id, takes, by, contradicts })
  const held = (...of: ReturnType<typeof fit>[]) => ({ ...byTag, discs: of }) as SeedLot
  expect(sayFit(held(fit(2, 'fits', 'meant')), discs[1], discs)).toBe('medium flat: fits Popcorn (by its class).')
  expect(sayFit(held(fit(2, 'fits', 'meant', true)), discs[1], discs)).toBe(
    'medium flat: fits Popcorn (by its class; size and tag disagree: measure again).',
  )
  expect(sayFit(held(fit(1, 'not_meant', 'meant')), discs[0], discs)).toBe(
    'medium flat: disc meant for another class (by its class). Get one.',
  )
  expect(sayFit({ ...held(fit(2, 'fits', 'estimated')), size_class: '' }, undefined, discs)).toBe(
    'about 6.4 to 8.7 mm, from seeds per pound: Popcorn (estimated) would fit.',
  )
  expect(sayFit({ ...held(), size_class: '', estimated_mm: null }, undefined, discs)).toBe('')
})

it('says what a disc is meant for', () => {
  const plain = { from_size: null, to_size: null, crop: '', size_class: '' } as Disc
  expect(sayMeant(plain)).toBe('not known')
  expect(sayMeant({ ...plain, crop: 'popcorn', size_class: 'medium flat' })).toBe('popcorn medium flat')
  expect(sayMeant({ ...plain, from_size: 6.5, to_size: 8.5, size_class: 'F14' })).toBe('6.5 to 8.5 mm, F14')
})

it('says what is short', () => {
  expect([shortOf(lot), shortOf({ ...lot, on_hand: 200 }), shortOf({ ...lot, on_hand: null })]).toEqual([66, 0, null])
})

it('says what a field takes in units, boxes and weight, in the units of who reads', () => {
  const field = { planter: 'Big', field: 'Long Acre', acres: 80, units_an_acre: 1, units: 84, boxes: 2.1 }
  expect(sayField({ ...field, pounds_an_acre: 50 }, 'in')).toBe(
    'Long Acre, Big: 80 ac, 1 units/ac, 50 lb/ac, 84 units, 2.1 boxes',
  )
  // 80 acres are 32.4 ha; 50 lb an acre are 56.04 kg a hectare.
  expect(sayField({ ...field, pounds_an_acre: 50 }, 'mm')).toBe(
    'Long Acre, Big: 32 ha, 2.47 units/ha, 56 kg/ha, 84 units, 2.1 boxes',
  )
  const unknown = { units_an_acre: null, units: null, boxes: null, pounds_an_acre: null }
  expect(sayField({ ...field, ...unknown, acres: 0.05 }, 'in')).toBe('Long Acre, Big: 0.05 ac, no population yet')
})

it('lists the kinds of a mixture', () => {
  const kind = (crop: string, share: number) => ({ crop, share, seeds_per_pound: 2000 })
  expect(sayMixture({ ...lot, mixture: [kind('peas', 0.6), kind('canola', 0.4)] })).toBe('peas 60%, canola 40%')
  expect(sayMixture({ ...lot, mixture: [] })).toBe('')
})
