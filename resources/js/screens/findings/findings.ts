import type { Cell } from '@/api/types'

const GRAVITY = { failed: 0, change: 1, watch: 2, sound: 3, unchecked: 4 }

/** What was looked at and is not sound, the worst first, then along the planter. */
export function findingsOf(cells: Cell[]): Cell[] {
  return cells
    .filter((cell) => cell.now && GRAVITY[cell.now.verdict] <= GRAVITY.watch)
    .sort((a, b) => gravity(a) - gravity(b) || a.row - b.row)
}

/** Findings under a name each, the names in the order of their worst finding. */
export function groupFindings(findings: Cell[], nameOf: (cell: Cell) => string): { name: string; cells: Cell[] }[] {
  const groups = new Map<string, Cell[]>()
  for (const cell of findings) groups.set(nameOf(cell), [...(groups.get(nameOf(cell)) ?? []), cell])
  return [...groups].map(([name, cells]) => ({ name, cells }))
}

const gravity = (cell: Cell) => GRAVITY[cell.now?.verdict ?? 'unchecked']
