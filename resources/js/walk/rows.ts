/** Rows as a technician says them: `row 3`, `rows 1, 4 and 10 to 16`. */
export function listRows(rows: number[]): string {
  const runs: [number, number][] = []
  for (const row of rows) {
    const run = runs.at(-1)
    if (run && run[1] === row - 1) run[1] = row
    else runs.push([row, row])
  }
  const parts = runs.flatMap(([from, to]) =>
    to - from === 1 ? [String(from), String(to)] : [from === to ? String(from) : `${from} to ${to}`],
  )
  const listed = parts.length > 1 ? `${parts.slice(0, -1).join(', ')} and ${parts.at(-1)}` : (parts[0] ?? '')
  return `${rows.length === 1 ? 'row' : 'rows'} ${listed}`
}
