import type { Board, Cell } from '@/api/types'

export type BoardFilter = 'all' | 'trouble' | 'unchecked'

/** Whether a cell is shown in full; the others fade. */
export function passes(cell: Cell, filter: BoardFilter): boolean {
  if (filter === 'unchecked') return cell.now === null
  if (filter === 'trouble') return cell.now?.verdict === 'change' || cell.now?.verdict === 'failed'
  return true
}

/** How many rows are through, and how many readings of each trouble there are. */
export function countBoard(board: Board) {
  const perRow = board.cells.length / Math.max(1, board.ribbon.length)
  const count = (verdict: string) => board.cells.filter((cell) => cell.now?.verdict === verdict).length
  return {
    rowsDone: board.ribbon.filter((row) => row.checked >= perRow).length,
    watch: count('watch'),
    change: count('change'),
    failed: count('failed'),
  }
}
