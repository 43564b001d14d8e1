import type { Planter } from '@/api/types'

export type Unit = Pick<Planter, 'equipment' | 'stations'>

/** The row unit of a row, as most are or as that one differs. */
export function unitAt(planter: Pick<Planter, 'equipment' | 'stations' | 'other_rows'>, row: number): Unit {
  const other = planter.other_rows.find(({ rows }) => rows.includes(row))
  return other ? { equipment: { ...planter.equipment, ...other.equipment }, stations: other.stations } : planter
}
