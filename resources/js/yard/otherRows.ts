import type { Equipment, Planter, PlanterEdit, SpecSheet } from '@/api/types'
import { ofRows } from '@/unit/catalogue'
import { readRows, shortRows } from '@/walk/rows'

/** Rows that differ, as a form has them: what they carry instead of most, or instead of what is typical of their sheet. */
export interface OtherRowsDraft {
  rows: string
  sheet: number | null
  equipment: Equipment
}

/** What one unit has otherwise than another, of what rows can differ in. */
export function differs(unit: Equipment, from: Equipment): Equipment {
  return Object.fromEntries(
    ofRows.flatMap(({ name }) => (unit[name] === from[name] ? [] : [[name, unit[name] ?? null] as const])),
  )
}

/** The whole row unit of a group. */
export function unitOf({ equipment }: OtherRowsDraft, most: Equipment, sheet?: SpecSheet): Equipment {
  const typical = sheet ? differs(sheet.typical_equipment, most) : {}
  return { ...most, ...typical, ...equipment }
}

type Others = Pick<Planter['other_rows'][number], 'rows' | 'spec_sheet_id' | 'equipment'>[]

export function draftsOf(planter: { other_rows: Others }, most: Equipment, sheets: SpecSheet[]): OtherRowsDraft[] {
  return planter.other_rows.map(({ rows, spec_sheet_id: sheet, equipment }) => {
    const draft = { rows: shortRows(rows), sheet, equipment: {} }
    const base = unitOf(
      draft,
      most,
      sheets.find(({ id }) => id === sheet),
    )
    return { ...draft, equipment: differs({ ...base, ...equipment }, base) }
  })
}

/** As the API takes them; what is no list of rows goes as it was typed, and is refused there. */
export function editOf(drafts: OtherRowsDraft[], rowCount: number): NonNullable<PlanterEdit['other_rows']> {
  return drafts.map(({ rows, sheet, equipment }) => ({
    rows: rowsOf(rows, rowCount),
    spec_sheet_id: sheet,
    equipment,
  }))
}

export function rowsOf(typed: string, rowCount: number): number[] {
  return readRows(typed, rowCount) ?? (typed.trim() === '' ? [] : [0])
}
