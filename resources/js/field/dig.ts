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

/** Figures as they were typed one after the other: by line breaks, semicolons, or a comma and a space. */
export const readList = (typed: string): string[] =>
  typed
    .split(/[\n;]+|,(?!\d)|,(?=\d+\s*(?:,|$))/)
    .map((one) => one.trim())
    .filter((one) => one !== '')
