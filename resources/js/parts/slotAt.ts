import type { Ledger, Slot } from '@/api/types'

/** A slot as a row has it; undefined where that row has no such part. */
export function slotAt({ slots }: Pick<Ledger, 'slots'>, slot: Slot, row: number): Ledger['slots'][number] | undefined {
  return slots.find((one) => one.slot === slot && (one.rows === null || one.rows.includes(row)))
}
