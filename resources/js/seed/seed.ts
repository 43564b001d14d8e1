import type { Disc, SeedLot } from '@/api/types'
import { say } from '@/words'

/** What a lot is by the side of the disc that is chosen, and which of the shop's would take it; nothing where either is not in the lists. */
export function sayFit(lot: SeedLot | undefined, disc: Disc | undefined, discs: Disc[]): string {
  if (!lot || lot.size === null) return ''
  const takes = (id: number) => lot.discs.find((one) => one.id === id)?.takes ?? null
  const fitting = discs.filter(({ id }) => takes(id) === 'fits').map(({ name }) => name)
  const others = fitting.filter((name) => name !== disc?.name)
  const meant = disc && takes(disc.id)
  if (meant === 'fits') return `${lot.size} mm: fits ${disc?.name}.`
  const instead = others.length > 0 ? ` ${others.join(', ')} would fit.` : ' You have no disc for this size.'
  if (disc && meant)
    return `${lot.size} mm: ${say(`takes.${meant}`)}, made for ${disc.from_size} to ${disc.to_size} mm.${instead}`
  return disc === undefined && discs.length > 0 ? `${lot.size} mm:${instead}` : ''
}

/** Units that are short for the fields of the season; 0 where there are enough, null where nobody counted. */
export const shortOf = ({ on_hand, needed }: SeedLot) =>
  on_hand === null ? null : Math.max(0, Math.ceil(needed - on_hand))
