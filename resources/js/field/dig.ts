import type { DugRow, FirstPass } from '@/api/types'
import { say } from '@/words'

export type DepthScale = FirstPass['depth_scale']

/** What to turn on a row, in words: `up 1 1/2 notches, deeper`. */
export function sayTurn({ turn, deeper }: Pick<DugRow, 'turn' | 'deeper'>, scale: DepthScale): string {
  if (turn === null) return ''
  if (turn === 0) return 'leave it'
  const size = Math.abs(turn)
  const whole = Math.floor(size)
  const said = [whole > 0 || size === 0 ? `${whole}` : '', size > whole ? '1/2' : ''].filter(Boolean).join(' ')
  return `${turn > 0 ? 'up' : 'down'} ${said} ${size > 1 ? scale : say(`depth_one.${scale}`)}, ${deeper ? 'deeper' : 'shallower'}`
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
