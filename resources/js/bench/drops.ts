/** What stands at a place of the seed line: nothing, a seed, or two and more; and where it lies. */
export type Drop = { place: number; kind: 'skip' | 'single' | 'double' }

/** Places of a line of seeds, told by where they dropped from the first on: up to half a place apart is a double, over one and a half leaves places empty. */
export function dropsOf(line: number[]): Drop[] {
  const drops: Drop[] = []
  line.forEach((at, index) => {
    const before = line[index - 1]
    const last = drops.at(-1)
    if (before !== undefined && last && at - before <= 0.5) {
      last.kind = 'double'
      return
    }
    const missed = before !== undefined && at - before > 1.5 ? Math.max(1, Math.round(at - before) - 1) : 0
    for (let empty = 1; empty <= missed; empty++)
      drops.push({ place: (before ?? 0) + (empty * (at - (before ?? 0))) / (missed + 1), kind: 'skip' })
    drops.push({ place: at, kind: 'single' })
  })
  return drops
}
