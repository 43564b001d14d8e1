import type { AcresEntry, AcresLine } from '@/api/types'

type Product = AcresLine['products'][number]

/** What is said of a field beside its acres, as it is typed. */
export type Said = {
  lot: string
  population: string
  products: string
  map: string
  around: string
  until: string
  over: boolean
  note: string
}

export const sayProduct = ({ rate, unit, name }: Product) => `${rate} ${unit} ${name}`

/** `8 gal/ac starter; 5 lb/ac zinc`; null where one cannot be read. What it may be is the server's to say. */
export function typedProducts(typed: string): Product[] | null {
  const products = typed
    .split(';')
    .map((part) => part.trim())
    .filter((part) => part !== '')
    .map((part) => /^(\d+(?:[.,]\d+)?) ?(gal\/ac|lb\/ac|oz\/ac|l\/ha|kg\/ha) (.+)$/i.exec(part))
  return products.includes(null)
    ? null
    : products.map((found) => ({
        rate: Number(found?.[1]?.replace(',', '.')),
        unit: found?.[2]?.toLowerCase() as Product['unit'],
        name: found?.[3] ?? '',
      }))
}

/** What takes a line's place says all of it again. */
export function sameAgain(of: AcresLine): Omit<AcresEntry, 'id'> {
  const { day, field, crop, acres, mph, soil, residue, tillage, downforce, shut_off } = of
  const { lot, population, products, map_acres, around, until, note } = of
  const ground = { soil, residue, tillage, downforce, severity: of.own_severity ? of.severity : null, shut_off }
  const log = { lot, population, products, map_acres, around, until, note }
  return { day, field, crop, acres, mph, ...ground, ...log, supersedes: of.id }
}
