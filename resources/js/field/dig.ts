import type { DugRow } from '@/api/types'
import { say } from '@/words'

/** `1 1/2` of a whole number of eighths. */
function sayEighths(size: number): string {
  const whole = Math.floor(size)
  const eighths = Math.round(8 * (size - whole))
  const shared = [4, 2, 1].find((by) => eighths % by === 0) ?? 1
  return [whole > 0 ? whole : '', eighths > 0 ? `${eighths / shared}/${8 / shared}` : ''].filter(Boolean).join(' ')
}

// words: depth_by, depth_one
/** What to turn on a row, in words: `up 1 1/2 notches, deeper`. */
export function sayTurn({ turn, deeper, scale }: Pick<DugRow, 'turn' | 'deeper' | 'scale'>): string {
  if (turn === null) return ''
  if (turn === 0) return 'leave it'
  const size = Math.abs(turn)
  const unit = say(`${size > 1 ? 'depth_by' : 'depth_one'}.${scale}`)
  return `${turn > 0 ? 'up' : 'down'} ${sayEighths(size)} ${unit}, ${deeper ? 'deeper' : 'shallower'}`
}

/**
 * Figures as they were typed one after the other: divided by line breaks or semicolons, or else by commas with a space behind. One comma
 * alone is a decimal one; several without a space divide.
 */
export function readList(typed: string): string[] {
  const divided = /[\n;]/.test(typed)
    ? typed.split(/[\n;]+/)
    : /,\s/.test(typed)
      ? typed.split(/,\s+/)
      : (typed.match(/,/g) ?? []).length > 1
        ? typed.split(',')
        : [typed]
  return divided.map((one) => one.replace(/,\s*$/, '').trim()).filter((one) => one !== '')
}
