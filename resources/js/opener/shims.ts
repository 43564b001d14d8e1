import { say } from '@/words'

/** What was done to a row's inner shims, on both sides or on one. */
export function sayShims({ pairs, side }: { pairs: number; side?: string | null }): string {
  const one = side === 'left' || side === 'right' ? say(`shims.on_${side}`) : say('shims.on_each')
  return say(pairs < 0 ? 'shims.were_taken_out' : 'shims.were_added', { count: Math.abs(pairs), side: one })
}

/** Which shims to move, as `take 2 out on each side` or `take 2 out on the left and add 1 on the right`. */
export function sayMoves({ left, right }: { left: number; right: number }): string {
  const move = (count: number, where: string) =>
    count === 0 ? [] : [say(`shims.moves.${count < 0 ? 'out' : 'in'}_${where}`, { count: Math.abs(count) })]
  return left === right ? move(left, 'both').join('') : [...move(left, 'left'), ...move(right, 'right')].join(' and ')
}
