import { say } from '@/words'
import type { Ground } from './queries'

/** Where something was set, in words: `Kiln Piece, popcorn, clay, heavy residue`. */
export function sayGround(ground: Ground | undefined): string {
  if (!ground) return ''
  const { field, crop, soil, residue } = ground
  const said = [field, crop, soil && say(`soil.${soil}`), residue && `${say(`residue.${residue}`)} residue`]
  return said.filter(Boolean).join(', ')
}
