import type { OnShelf, OrderEdit } from '@/api/types'

/** A draft for each supplier of what is to be ordered; what nobody is known to have stands in one of its own. */
export function drafts(shelf: OnShelf[]): Omit<OrderEdit, 'key'>[] {
  const short = shelf.filter(({ to_order }) => to_order > 0)
  return [...new Set(short.map(({ supplier_id }) => supplier_id))].map((supplier_id) => ({
    revision: 0,
    state: 'draft' as const,
    supplier_id,
    lines: short
      .filter((part) => part.supplier_id === supplier_id)
      .map(({ part_type_id, to_order, price }) => ({ part_type_id, quantity: to_order, price })),
  }))
}
