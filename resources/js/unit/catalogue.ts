import index from '../../../core/units/index.json'
import starts from '../../../core/units/starts.json'
import type { Equipment, SpecSheet, Station } from '@/api/types'

/*
 * What a planter can be made of, from the files that the server judges by, so that the form answers at once. The vectors of
 * core/tests/Unit pin what both have to say.
 */

type Kind = Equipment[string]
type With = Record<string, Kind | Kind[]>
export interface Assembly {
  name: string
  kinds: Kind[]
}
interface CheckOf {
  station: string
  with?: With | With[]
  sides?: string | { with: With | With[]; sides: string }[]
  wanted?: unknown
}
interface File {
  whole_planter?: boolean
  assemblies: Record<string, { kinds: Kind[] }>
  contradictions?: Record<string, { if: With | With[]; then: With | With[] }>
  checks: Record<string, CheckOf>
}
export interface Start {
  key: string
  type: SpecSheet['type']
  rows: number
  spacing: string
  equipment: Partial<Equipment>
}

const all = import.meta.glob<File>('../../../core/units/*.json', { eager: true, import: 'default' })
/** In the order of the index, as the server reads them. */
const files = Object.fromEntries(index.map((name) => [name, all[`../../../core/units/${name}.json`] as File]))

/** Eight ways to begin with, each a row unit of its own. */
export const startingPoints = starts as unknown as Start[]

/** The assemblies by the part of the unit that they stand in, as a form asks for them. */
export const groups: { key: string; ofRows: boolean; assemblies: Assembly[] }[] = Object.entries(files).map(
  ([key, { whole_planter, assemblies }]) => ({
    key,
    ofRows: !whole_planter,
    assemblies: Object.entries(assemblies).map(([name, { kinds }]) => ({ name, kinds })),
  }),
)

/** What rows can differ in. */
export const ofRows = groups.filter((group) => group.ofRows).flatMap(({ assemblies }) => assemblies)

export const isOption = ({ kinds }: Assembly): boolean => kinds.length === 2 && kinds[0] === false

function holds(given: With | With[] | undefined, on: Equipment): boolean {
  const any = Array.isArray(given) ? given : [given ?? {}]
  return any.some((all) =>
    Object.entries(all).every(([name, kinds]) => (Array.isArray(kinds) ? kinds : [kinds]).includes(on[name] ?? null)),
  )
}

const WHOLE = ['frame', 'wheels_and_drive', 'hydraulics', 'air_and_fill', 'fertilizer_system', 'electronics']

function sidesOf({ sides = 'row' }: CheckOf, on: Equipment): number {
  const said = typeof sides === 'string' ? sides : sides.find((entry) => holds(entry.with, on))?.sides
  return said === 'both' ? 2 : 1
}

export interface MakeUp {
  /** Keys of the checks that such a planter has, with the places each has on a row or on the planter. */
  checks: Record<string, number>
  stations: Set<Station>
  perRow: number
  ofPlanter: number
  /** Keys of the checks for which the planter can say a target of its own. */
  wanted: string[]
  /** Codes of what does not go together. */
  contradictions: string[]
}

/** Codes of what does not go together. */
export const contradictionsOf = (on: Equipment): string[] =>
  Object.values(files).flatMap(({ contradictions = {} }) =>
    Object.entries(contradictions).flatMap(([code, rule]) =>
      holds(rule.if, on) && !holds(rule.then, on) ? [code] : [],
    ),
  )

/** What a planter with this equipment is checked for. */
export function makeUp(on: Equipment): MakeUp {
  const contradictions = contradictionsOf(on)
  const made: MakeUp = { checks: {}, stations: new Set(), perRow: 0, ofPlanter: 0, wanted: [], contradictions }
  for (const { checks } of Object.values(files)) {
    for (const [key, check] of Object.entries(checks)) {
      if (!holds(check.with, on)) continue
      const places = sidesOf(check, on)
      made.checks[key] = places
      made.stations.add(check.station as Station)
      if (check.wanted) made.wanted.push(key)
      if (WHOLE.includes(check.station)) made.ofPlanter += places
      else made.perRow += places
    }
  }
  return made
}
