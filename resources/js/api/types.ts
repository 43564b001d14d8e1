import type { components } from './schema'

type Schemas = components['schemas']

export type Acres = Schemas['Acres']
export type AcresEntry = Schemas['AcresEntry']
export type AcresLine = Schemas['AcresLine']
export type Activity = Schemas['Activity']
export type Answer = Schemas['Answer']
export type Band = Schemas['Band']
export type Batch = Schemas['Batch']
export type Check = Schemas['Check']
export type CheckKey = Schemas['CheckKey']
export type Chip = Schemas['Chip']
export type CurrentReading = Schemas['CurrentReading']
export type Doubt = Schemas['Doubt']
export type Equipment = Schemas['Equipment']
export type Face = Schemas['Face']
export type Figure = Schemas['Figure']
export type HistoryReading = Schemas['HistoryReading']
export type Fitting = Schemas['Fitting']
export type Forecast = Schemas['Forecast']
export type Import = Schemas['Import']
export type ImportKind = Schemas['ImportKind']
export type ImportMapping = Schemas['ImportMapping']
export type ImportMode = Schemas['ImportMode']
export type ImportNow = Schemas['ImportNow']
export type ImportProgress = Schemas['ImportProgress']
export type ImportResult = Schemas['ImportResult']
export type Ledger = Schemas['Ledger']
export type LedgerEntry = Schemas['LedgerEntry']
export type LastReading = Schemas['LastReading']
export type LifeCurve = Schemas['LifeCurve']
export type Me = Schemas['Me']
export type NewLink = Schemas['NewLink']
export type Note = Schemas['Note']
export type NoteEntry = Schemas['NoteEntry']
export type NoteKind = Schemas['NoteKind']
export type OwnCheck = Schemas['OwnCheck']
export type Pack = Schemas['Pack']
export type PartType = Schemas['PartType']
export type PartTypeEdit = Schemas['PartTypeEdit']
export type Person = Schemas['Person']
export type Photo = Schemas['Photo']
export type PlaceForecast = Schemas['PlaceForecast']
export type Planter = Schemas['Planter']
export type PlanterEdit = Schemas['PlanterEdit']
export type Reading = Schemas['Reading']
export type Reason = Schemas['Reason']
export type Receipt = Schemas['Receipt']
export type RemovalReason = Schemas['RemovalReason']
export type RibbonRow = Schemas['RibbonRow']
export type SpecSheet = Schemas['SpecSheet']
export type SpecSheetEdit = Schemas['SpecSheetEdit']
export type RowContact = Schemas['RowContact']
export type ShimMove = Schemas['ShimMove']
export type RowRecord = Schemas['RowRecord']
export type Side = Schemas['Side']
export type Slot = Schemas['Slot']
export type State = Schemas['State']
export type Station = Schemas['Station']
export type TimelineReading = Schemas['TimelineReading']
export type Unit = Schemas['Unit']
export type Verdict = Schemas['Verdict']
export type Walk = Schemas['Walk']
export type Shop = Schemas['Workshop']
export type WalkGuide = Schemas['WalkGuide']
export type WalkKind = Schemas['WalkKind']
export type WalkNews = Schemas['WalkNews']
export type WalkOrder = Schemas['WalkOrder']
export type WearChart = Schemas['WearChart']
export type WalkStep = Schemas['WalkStep']
export type YardPlanter = Schemas['YardPlanter']

/** What was read at a place, as far as a screen shows it. */
export type Seen = Omit<CurrentReading, 'id' | 'taken_at'>
export type Cell = { row: number; check: CheckKey; side: Side; now: Seen | null; last: LastReading | null }
export type Board = Omit<Schemas['Board'], 'cells'> & { cells: Cell[] }

export type Judgement = { verdict: Verdict; reasons: Reason[] }
export type PlaceRef = Pick<Cell, 'row' | 'check' | 'side'>

/** A place in one word, as core writes it. */
export function placeKey({ row, check, side }: PlaceRef): string {
  return `${row}:${check}:${side}`
}

/** Whether a place waits to be looked at: for the first time, or again since something was changed there. */
export const isToDo = ({ now }: Pick<Cell, 'now'>) => now === null || now.result === 'measure_again'
