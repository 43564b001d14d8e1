import type { Cell } from '@/api/types'
import { severity } from '@/measure/verdict'

/** What was looked at and is not sound, the worst first, then along the planter. */
export function findingsOf(cells: Cell[]): Cell[] {
  return cells
    .filter((cell) => gravity(cell) >= severity('watch'))
    .sort((a, b) => gravity(b) - gravity(a) || a.row - b.row)
}

/** Findings under a name each, the names in the order of their worst finding. */
export function groupFindings(findings: Cell[], nameOf: (cell: Cell) => string): { name: string; cells: Cell[] }[] {
  const groups = new Map<string, Cell[]>()
  for (const cell of findings) groups.set(nameOf(cell), [...(groups.get(nameOf(cell)) ?? []), cell])
  return [...groups].map(([name, cells]) => ({ name, cells }))
}

const gravity = (cell: Cell) => severity(cell.now?.verdict ?? 'unchecked')
