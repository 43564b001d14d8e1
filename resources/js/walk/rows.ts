/** Rows that follow each other, as first and last. */
function runsOf(rows: number[]): [number, number][] {
  const runs: [number, number][] = []
  for (const row of rows) {
    const run = runs.at(-1)
    if (run && run[1] === row - 1) run[1] = row
    else runs.push([row, row])
  }
  return runs
}

/** Rows in runs, such as 1-4, 7: as `readRows` takes them back. */
export function shortRows(rows: number[]): string {
  return runsOf(rows)
    .map(([from, to]) => (from === to ? `${from}` : `${from}-${to}`))
    .join(', ')
}

/** Rows as a technician says them: `row 3`, `rows 1, 4 and 10 to 16`. */
export function listRows(rows: number[]): string {
  const parts = runsOf(rows).flatMap(([from, to]) =>
    to - from === 1 ? [String(from), String(to)] : [from === to ? String(from) : `${from} to ${to}`],
  )
  const listed = parts.length > 1 ? `${parts.slice(0, -1).join(', ')} and ${parts.at(-1)}` : (parts[0] ?? '')
  return `${rows.length === 1 ? 'row' : 'rows'} ${listed}`
}

/** Rows such as `3, 4, 9-12` or `9 to 12`; null where it says something else. */
export function readRows(typed: string, rowCount: number): number[] | null {
  const rows = new Set<number>()
  const runs = typed.replace(/(\d)\s*(?:to|-|–)\s*(?=\d)/g, '$1-')
  for (const part of runs.split(/[\s,;]+/).filter(Boolean)) {
    const found = /^(\d{1,2})(?:-(\d{1,2}))?$/.exec(part)
    if (found === null) return null
    const [from, to] = [Number(found[1]), Number(found[2] ?? found[1])]
    if (from < 1 || to > rowCount || from > to) return null
    for (let row = from; row <= to; row++) rows.add(row)
  }
  return rows.size === 0 ? null : [...rows].sort((a, b) => a - b)
}
