import { describe, expect, it } from 'vitest'
import { sayProduct, typedProducts } from './log'

describe('products as they are typed', () => {
  it('reads rates with point or comma, and says them again', () => {
    const read = typedProducts('8 gal/ac starter; 4,5 LB/ac in-furrow zinc;')
    expect(read).toEqual([
      { rate: 8, unit: 'gal/ac', name: 'starter' },
      { rate: 4.5, unit: 'lb/ac', name: 'in-furrow zinc' },
    ])
    expect(typedProducts((read ?? []).map(sayProduct).join('; '))).toEqual(read)
    expect(typedProducts(' ')).toEqual([])
  })
  it('does not guess', () => {
    for (const typed of ['starter', '8 starter', '8 gal/ha starter', '8 gal/ac', '-8 gal/ac starter', '8 gal/ac a; b'])
      expect(typedProducts(typed)).toBeNull()
  })
})
