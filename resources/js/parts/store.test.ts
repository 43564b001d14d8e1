import { describe, expect, it } from 'vitest'
import type { OnShelf } from '@/api/types'
import { drafts } from './store'

const part = (part_type_id: number, to_order: number, supplier_id: number | null, price: number | null = 44) =>
  ({ part_type_id, to_order, supplier_id, price }) as OnShelf

describe('drafts of orders', () => {
  it('are one for each supplier, and one of what nobody is known to have', () => {
    expect(
      drafts([part(7, 6, 1, 40), part(8, 2, null, null), part(9, 0, 1), part(10, 1, 1)]).map(
        ({ supplier_id, lines }) => [supplier_id, lines],
      ),
    ).toEqual([
      [
        1,
        [
          { part_type_id: 7, quantity: 6, price: 40 },
          { part_type_id: 10, quantity: 1, price: 44 },
        ],
      ],
      [null, [{ part_type_id: 8, quantity: 2, price: null }]],
    ])
  })
})
