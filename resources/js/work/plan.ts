import type { PlannedPiece, WorkJob, WorkPiece, WorkPlan } from '@/api/types'
import { sayRows } from '@/plan/findings'
import { say } from '@/words'

/** Pieces of one kind that one person does one behind the other. */
export type Block = {
  key: string
  person: number
  from: number
  to: number
  rows: number[]
  said: string
  pieces: PlannedPiece[]
}
/** One day on which somebody works: minutes of the day from the first begin to the last end, and what is done. */
export type PlanDay = { day: string; from: number; to: number; blocks: Block[] }

export const dayOf = (time: string) => time.slice(0, 10)

/** Minutes as they are said: `45 min`, `3.5 h`. */
export const sayMinutes = (minutes: number) => (minutes < 90 ? `${minutes} min` : `${Math.round(minutes / 6) / 10} h`)

/** What is done, each kind once: `2 × opener blade, adjust closing gap`. */
export function sayJobs(jobs: WorkJob[]): string {
  if (jobs.length === 0) return say('work.safe')
  const counts = new Map<string, number>()
  for (const { action, what, title } of jobs) {
    const said =
      title ??
      (action === 'change' ? say(`slot.${what}`) : `${say(`action.${action}`)}: ${say(`check.${what}`).toLowerCase()}`)
    counts.set(said, (counts.get(said) ?? 0) + 1)
  }
  return [...counts].map(([said, count]) => (count > 1 ? `${count} × ${said}` : said)).join(', ')
}

export const sayPiece = ({ row, jobs }: WorkPiece) =>
  jobs.length === 0 ? say('work.safe') : `${sayRows([row])}, ${sayJobs(jobs)}`

/** The days of a plan with what each person does on them; a piece that takes several days stands on each. */
export function daysOf({ pieces }: Pick<WorkPlan, 'pieces'>): PlanDay[] {
  const days = new Map<string, PlanDay>()
  const put = (day: string, piece: PlannedPiece, from: number, to: number) => {
    const of = days.get(day) ?? { day, from, to, blocks: [] }
    days.set(day, of)
    of.from = Math.min(of.from, from)
    of.to = Math.max(of.to, to)
    for (const person of [piece.person, ...piece.with]) lay(of, person, day, piece, from, to)
  }
  const lay = (of: PlanDay, person: number, day: string, piece: PlannedPiece, from: number, to: number) => {
    const said = sayJobs(piece.jobs)
    const last = of.blocks.filter((block) => block.person === person).at(-1)
    if (last && last.said === said && from - last.to < 1) {
      last.to = to
      last.rows.push(piece.row)
      last.pieces.push(piece)
      return
    }
    of.blocks.push({
      key: `${piece.key} ${day} ${person}`,
      person,
      from,
      to,
      rows: [piece.row],
      said,
      pieces: [piece],
    })
  }
  for (const piece of pieces) for (const { day, from, to } of piece.hours) put(day, piece, from, to)
  return [...days.values()].sort((a, b) => a.day.localeCompare(b.day))
}

/** How far one end lies before another: `2 days`, `5 h`, `40 min`; of the shop's clock, nights and all. */
export function sayApart(minutes: number): string {
  const size = Math.abs(minutes)
  const days = Math.round(size / 1440)
  return size < 90
    ? `${size} min`
    : size < 1440
      ? `${Math.round(size / 60)} h`
      : `${days} ${days === 1 ? 'day' : 'days'}`
}

/** Minutes between two times of the shop's clock. */
export const apart = (from: string, to: string) => Math.round((Date.parse(`${to}Z`) - Date.parse(`${from}Z`)) / 60_000)

/** Parts that have not come, each kind and day once, the first first. */
export function arrivalsOf(
  pieces: WorkPiece[],
): { name: string; on: string; count: number; ordered: boolean; id: number | null }[] {
  const found = new Map<string, { name: string; on: string; count: number; ordered: boolean; id: number | null }>()
  for (const part of pieces.flatMap(({ parts }) => parts)) {
    if (part.here || part.on === null) continue
    const key = `${part.part_type_id} ${part.on} ${part.ordered}`
    const of = found.get(key) ?? {
      name: part.name ?? say(`slot.${part.slot}`),
      on: part.on,
      count: 0,
      ordered: part.ordered,
      id: part.part_type_id,
    }
    found.set(key, { ...of, count: of.count + 1 })
  }
  return [...found.values()].sort((a, b) => a.on.localeCompare(b.on))
}

/** What would bring a plan that is late for planting in time. */
export function sayInTime({ in_time: ways }: Pick<WorkPlan, 'in_time'>): string {
  if (ways.length === 0)
    return 'Three more people or earlier parts would not be enough. Plant later, or carry over what can wait.'
  const said = ways.map(({ people, name, days }) =>
    people > 0
      ? `${people} more ${people === 1 ? 'person' : 'people'}`
      : `${name} ${days} ${days === 1 ? 'day' : 'days'} sooner`,
  )
  return `In time with ${said.join(', or with ')}.`
}
