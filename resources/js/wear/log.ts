import type { AcresEntry, AcresLine } from '@/api/types'

/** What is said of a field beside its acres, as it is typed. */
export type Said = {
  pass: NonNullable<AcresEntry['pass']>
  lot: string
  population: string
  products: string
  /** Acres. */
  map: number | null
  around: string
  until: string
  over: boolean
  note: string
}

/** `8 gal/ac starter; 5 lb/ac zinc`, one by one. */
export const productsOf = (typed: string) =>
  typed
    .split(';')
    .map((part) => part.trim())
    .filter((part) => part !== '')

/** What takes a line's place says all of it again. */
export function sameAgain(of: AcresLine): Omit<AcresEntry, 'id'> {
  const { day, field, crop, acres, mph, soil, residue, tillage, downforce, shut_off } = of
  const { pass, lot, seed_lot_id, left_out, population, products, map_acres, around, until, note } = of
  const ground = { soil, residue, tillage, downforce, severity: of.own_severity ? of.severity : null, shut_off }
  const log = { pass, lot, seed_lot_id, left_out, population, products, map_acres, around, until, note }
  return { day, field, crop, acres, mph, ...ground, ...log, supersedes: of.id }
}
