import { sayOdds } from '@/measure/odds'
import type { Decision, DecisionEntry, Proposal, ToDecide } from '@/api/types'
import { placeKey } from '@/api/types'
import type { Units } from '@/measure/length'
import { printArea } from '@/measure/area'
import { printQuantity } from '@/measure/quantity'
import { say } from '@/words'

/** What there is to decide of one kind: the same check, found alike, with the same proposal. */
export type Group = { key: string; lines: Line[]; isOpen: boolean }
/** A thing to decide as the device sees it: what waits to go up counts as decided. */
export type Line = ToDecide & { waiting?: DecisionEntry }

export const isOpen = (line: Line) =>
  line.waiting ? line.waiting.withdrawn === true : line.decision === null || line.overtaken || line.could_not !== null

/** What was decided, here or on the server; undefined while it is open. */
export const decidedOn = (line: Line): Pick<Decision, 'action' | 'look_when' | 'look_acres'> | undefined =>
  isOpen(line)
    ? undefined
    : line.waiting
      ? {
          action: line.waiting.action,
          look_when: line.waiting.look_when ?? null,
          look_acres: line.waiting.look_acres ?? null,
        }
      : (line.decision ?? undefined)

/** Puts what waits on the device beside what the server has told: the newest at each place. */
export function withWaiting(found: ToDecide[], waiting: DecisionEntry[]): Line[] {
  const newest = new Map(waiting.map((entry) => [placeKey(entry), entry]))
  return found.map((line) => ({ ...line, waiting: newest.get(placeKey(line)) }))
}

/** Those alike in one line, in the order in which the first of each stands. */
export function grouped(lines: Line[], byRow = false): Group[] {
  const groups = new Map<string, Line[]>()
  for (const line of lines) {
    const { check, verdict, row, proposal } = line
    const kind = byRow
      ? `${row}`
      : [check, verdict, proposal.action, proposal.why, decidedOn(line)?.action ?? 'open'].join(' ')
    groups.set(kind, [...(groups.get(kind) ?? []), line])
  }
  return [...groups].map(([key, of]) => ({ key, lines: of, isOpen: of.some(isOpen) }))
}

/** Rows as they are said: `Row 3`, `Rows 3, 6`, `Rows 1 to 16`; of the planter as a whole `Whole planter`. */
export function sayRows(rows: number[]): string {
  const sorted = [...new Set(rows)].sort((a, b) => a - b)
  const [first = 0] = sorted
  const last = sorted[sorted.length - 1] ?? 0
  if (last === 0) return 'Whole planter'
  if (sorted.length === 1) return `Row ${first}`
  return sorted.length > 2 && last - first === sorted.length - 1
    ? `Rows ${first} to ${last}`
    : `Rows ${sorted.join(', ')}`
}

/** What is proposed, with the figures to turn. */
export function sayWhy({ why, to, by }: Pick<Proposal, 'why' | 'to' | 'by'>, units: Units): string {
  const told = (figure: Proposal['to']) => (figure === null ? '' : printQuantity(figure.value, figure.unit, units))
  return say(`why.${why}`, {
    to: told(to),
    by: by?.unit === 'shim' ? (by.value === 1 ? 'one shim' : `${by.value} shims`) : told(by),
  })
}

/** Which parts go in new, each kind once: `both opener blades, seed tube guard`. */
export function sayParts(parts: Proposal['parts']): string {
  const counts = new Map<string, number>()
  for (const { slot } of parts) counts.set(slot, (counts.get(slot) ?? 0) + 1)
  return [...counts]
    .map(([slot, count]) => (count > 1 ? `${count} × ${say(`slot.${slot}`)}` : say(`slot.${slot}`)))
    .join(', ')
}

export function sayLook({ look_when, look_acres }: Pick<Decision, 'look_when' | 'look_acres'>, units: Units): string {
  return look_when === null
    ? ''
    : say(`look.${look_when}`, { acres: look_acres == null ? '' : printArea(look_acres, units) })
}

/** The risk if it is left, in words; empty where nobody can tell. */
export function sayRisk({ chance, stops, thin, doubted, left }: Proposal): string {
  if (stops) return 'must do: the row cannot run'
  if (doubted) return 'past its limit, but other readings disagree: measure again'
  if (chance === null) return ''
  const stands = left !== null && left > 0 ? ` (${left} left before)` : ''
  return `risk if left: ${sayOdds(chance)}${thin ? ', few readings' : ''}${stands}`
}
