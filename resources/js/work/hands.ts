import type { Hands, LedgerEntry, WorkEntry, WorkPiece, WorkPlan } from '@/api/types'

/** What is ticked on a card: by whom and when; `waits` where the server has not been told yet. */
export type Tick = { id: string; by: string; at: string; waits: boolean }
/** What waits on the device to go up, of the work. */
type Said = { body: { events: WorkEntry[]; ledger: LedgerEntry[] } }

/**
 * The ticks that hold on a card, by line: those that the server knows of this work, and those that wait on this device.
 *
 * @param me - the name of who works at this device
 */
export function ticksOf(piece: WorkPiece, hands: Hands | undefined, waiting: Said[], me: string): Map<string, Tick> {
  const lines = new Set(piece.lines.map(({ key }) => key))
  const ticks = new Map<string, Tick>()
  for (const { id, target, by, happened_at, recorded_at } of hands?.ticks ?? [])
    if (lines.has(target) && recorded_at >= piece.since) ticks.set(target, { id, by, at: happened_at, waits: false })
  for (const event of waiting.flatMap(({ body }) => body.events)) {
    if (event.kind !== 'ticked') continue
    for (const [target, { id }] of ticks) if (event.supersedes === id) ticks.delete(target)
    const [target] = event.targets ?? []
    if (target !== undefined && lines.has(target) && !event.withdrawn)
      ticks.set(target, { id: event.id, by: me, at: event.happened_at, waits: true })
  }
  return ticks
}

/** Jobs that are finished, or could not be, and of which the server has not been told yet. */
export const closedBy = (waiting: Said[]): Set<string> =>
  new Set(
    waiting.flatMap(({ body }) =>
      body.events.flatMap(({ kind, targets }) => (kind === 'ticked' ? [] : (targets ?? []))),
    ),
  )

/** Jobs of a card that somebody has finished or given up since they were decided. */
export const closedByOthers = (pieces: Pick<WorkPiece, 'jobs'>[], hands: Hands | undefined): string[] =>
  pieces.flatMap(({ jobs }) =>
    jobs.flatMap(({ key, since }) =>
      hands?.done.some(({ targets, recorded_at }) => recorded_at > since && targets.includes(key)) ? [key] : [],
    ),
  )

/** A plan without the jobs that are closed, and without the pieces of which nothing is left. */
export function withoutClosed(plan: WorkPlan, closed: Set<string>): WorkPlan {
  if (closed.size === 0) return plan
  const left = <P extends WorkPiece>(pieces: P[]) =>
    pieces.flatMap((piece) => {
      const jobs = piece.jobs.filter(({ key }) => !closed.has(key))
      return piece.jobs.length > 0 && jobs.length === 0 ? [] : [{ ...piece, jobs }]
    })
  return { ...plan, pieces: left(plan.pieces), undated: left(plan.undated) }
}

/** The line that comes next: the first that is not ticked and waits for nothing; none once no job of the piece is open. */
export function nextLine(
  { jobs, lines }: Pick<WorkPiece, 'jobs' | 'lines'>,
  ticks: Map<string, Tick>,
  closed = new Set<string>(),
): string | undefined {
  const isThrough = (key: string) => ticks.has(key) || closed.has(key)
  if (jobs.every(({ key }) => isThrough(key))) return undefined
  return lines.find(({ key, before }) => !isThrough(key) && before.every(isThrough))?.key
}

/** Whole minutes since the first tick, 1 or more; null before it. */
export function runningMinutes(ticks: Iterable<Tick>, now: number): number | null {
  const first = Math.min(...[...ticks].map(({ at }) => Date.parse(at)))
  return Number.isFinite(first) ? Math.max(1, Math.round((now - first) / 60_000)) : null
}

/**
 * Minutes of several pieces that were timed together, as the plan has them: whole, 1 or more each.
 *
 * @param seized - of all of them, for a joint of the first piece
 */
export function sharedOut(minutes: number, pieces: { minutes: number }[], seized = 0): number[] {
  const planned = pieces.reduce((sum, piece) => sum + piece.minutes, 0)
  let [left, rest] = [minutes - seized, planned]
  return pieces.map((piece, index) => {
    const share = Math.max(1, Math.round((left * piece.minutes) / Math.max(1, rest)))
    left -= share
    rest -= piece.minutes
    return index === 0 ? share + seized : share
  })
}
