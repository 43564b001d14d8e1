import type { Board, Cell } from '@/api/types'
import { isToDo } from '@/api/types'

export type BoardFilter = 'all' | 'trouble' | 'unchecked'

/** Whether a cell is shown in full; the others fade. */
export function passes(cell: Cell, filter: BoardFilter): boolean {
  if (filter === 'unchecked') return isToDo(cell)
  if (filter === 'trouble') return cell.now?.verdict === 'change' || cell.now?.verdict === 'failed'
  return true
}

/** How many rows are walked and how many of them are through, and how many readings of each trouble there are. */
export function countBoard(board: Board) {
  const walked = new Set<string>(board.walk?.checks ?? board.checks.map((check) => check.key))
  const places = new Map<number, number>()
  for (const { row, check } of board.cells) if (walked.has(check)) places.set(row, (places.get(row) ?? 0) + 1)
  places.delete(0)
  const count = (verdict: string) => board.cells.filter((cell) => cell.now?.verdict === verdict).length
  return {
    rows: places.size,
    rowsDone: board.ribbon.filter(({ row, checked }) => checked >= (places.get(row) ?? Infinity)).length,
    watch: count('watch'),
    change: count('change'),
    failed: count('failed'),
  }
}
