import type { DugRow } from '@/api/types'

/** What to turn on a row, in words: `up 1 1/2 notches, deeper`. */
export function sayTurn({ notches }: Pick<DugRow, 'notches'>): string {
  if (notches === null) return ''
  if (notches === 0) return 'leave it'
  const size = Math.abs(notches)
  const whole = Math.floor(size)
  const said = [whole > 0 || size === 0 ? `${whole}` : '', size > whole ? '1/2' : ''].filter(Boolean).join(' ')
  return `${notches > 0 ? 'up' : 'down'} ${said} ${size > 1 ? 'notches' : 'notch'}, ${notches > 0 ? 'deeper' : 'shallower'}`
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
