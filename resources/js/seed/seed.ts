import type { Disc, SeedLot } from '@/api/types'
import { say } from '@/words'

/** What is known of the seed, the strongest first: by caliper, by the class on its tag, or by how many make a pound. */
function known({ size, size_class, estimated_mm }: SeedLot): string {
  if (size !== null) return `${size} mm`
  if (size_class !== '') return size_class
  return estimated_mm ? `about ${estimated_mm.join(' to ')} mm, from seeds per pound` : ''
}

/** What a lot is by the side of the disc that is chosen, by what that is known, and which of the shop's would take it; nothing where either is not in the lists. */
export function sayFit(lot: SeedLot | undefined, disc: Disc | undefined, discs: Disc[]): string {
  const seed = lot ? known(lot) : ''
  if (!lot || seed === '') return ''
  const fitOf = (id: number) => lot.discs.find((one) => one.id === id)
  const how = (id: number) => {
    const { by = null, contradicts = false } = fitOf(id) ?? {}
    const parts = [by === null ? '' : say(`fit_by.${by}`), contradicts ? 'size and tag disagree: measure again' : '']
    return `(${parts.filter(Boolean).join('; ')})`
  }
  const named = ({ id, name }: Disc) => `${name} ${how(id)}`
  const others = discs.filter((of) => of !== disc && fitOf(of.id)?.takes === 'fits')
  const takes = disc && fitOf(disc.id)?.takes
  if (disc && takes === 'fits') return `${seed}: fits ${named(disc)}.`
  const instead = others.length > 0 ? ` ${others.map(named).join(', ')} would fit.` : ' You have no disc for this seed.'
  if (disc && takes) {
    const range =
      disc.from_size === null || takes === 'not_meant' ? '' : `, made for ${disc.from_size} to ${disc.to_size} mm`
    return `${seed}: ${say(`takes.${takes}`)} ${how(disc.id)}${range}.${instead}`
  }
  return disc === undefined && discs.length > 0 ? `${seed}:${instead}` : ''
}

/** What a disc is meant for, as its list has it. */
export function sayMeant({ from_size, to_size, crop, size_class }: Disc): string {
  const range = from_size === null ? '' : `${from_size} to ${to_size} mm`
  return [range, [crop, size_class].filter(Boolean).join(' ')].filter(Boolean).join(', ') || 'not known'
}

/** Units that are short for the fields of the season; 0 where there are enough, null where nobody counted. */
export const shortOf = ({ on_hand, needed }: SeedLot) =>
  on_hand === null ? null : Math.max(0, Math.ceil(needed - on_hand))
