import { expect, it } from 'vitest'
import { productsOf } from './log'

it('takes products one by one, as they are typed', () => {
  expect(productsOf('8 gal/ac starter; 4,5 lb/ac in-furrow zinc;')).toEqual([
    '8 gal/ac starter',
    '4,5 lb/ac in-furrow zinc',
  ])
  expect(productsOf(' ; ')).toEqual([])
})
