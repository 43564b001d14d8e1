import type { Cell } from '@/api/types'

/** Findings under a name each, the names in the order of their worst finding. */
export function groupFindings(findings: Cell[], nameOf: (cell: Cell) => string): { name: string; cells: Cell[] }[] {
  const groups = new Map<string, Cell[]>()
  for (const cell of findings) groups.set(nameOf(cell), [...(groups.get(nameOf(cell)) ?? []), cell])
  return [...groups].map(([name, cells]) => ({ name, cells }))
}
