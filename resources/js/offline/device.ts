import Dexie, { type EntityTable } from 'dexie'
import type {
  AcresEntry,
  DecisionEntry,
  DigEntry,
  LedgerEntry,
  NoteEntry,
  PlaceRef,
  Reading,
  Receipt,
  SettingEntry,
  SignOffEntry,
  StandCountEntry,
  WalkKind,
  WalkOrder,
  WatchEntry,
  WorkEntry,
} from '@/api/types'

/** A walk that was started on this device. */
type WalkStart = {
  kind: WalkKind
  order: WalkOrder
  checks: string[] | null
  pack?: string | null
  started_at: string
}

export type PhotoEntry = PlaceRef & { id: string; taken_at: string; picture: Blob }

/** Why the server would not take something; a person has to say what becomes of it. */
export type Problem = Pick<Receipt, 'outcome' | 'message' | 'doubts'> & { errors?: Record<string, string[]> }

/** What can wait on a device, by its kind: each has a file in `kinds/`. */
type Kinds = {
  start: { walk: string; body: WalkStart }
  reading: { walk: string; body: Reading }
  note: { walk: string; body: NoteEntry }
  photo: { walk: string; body: PhotoEntry }
  /** What was done to parts in one go: taken whole or not at all. */
  ledger: { body: { events: LedgerEntry[] } }
  acres: { body: AcresEntry }
  decision: { walk: string; body: DecisionEntry }
  setting: { body: { settings: SettingEntry[] } }
  dig: { body: DigEntry }
  signOff: { body: SignOffEntry }
  standCount: { body: StandCountEntry }
  watch: { body: { run: string; entries: WatchEntry[] } }
  /** What was ticked, finished or could not be done, with the parts that went in: taken whole or not at all. */
  hands: { body: { events: WorkEntry[]; ledger: LedgerEntry[]; settings?: SettingEntry[] } }
}
export type What = keyof Kinds
export type New<W extends What = What> = { [K in W]: { what: K; id: string; planter: number } & Kinds[K] }[W]

/** Something on its way to the server, in the order in which it was recorded. */
export type Waiting<W extends What = What> = New<W> & { user: number; problem?: Problem }

/** Whether it is of one of these kinds. */
export const isOf =
  <W extends What>(...whats: W[]) =>
  <I extends Waiting>(item: I): item is Extract<I, { what: W }> =>
    (whats as What[]).includes(item.what)

export type Kept = Waiting & { order: number }

/** What waits of a person who has left the device: nobody else can read it. */
type Sealed = { order: number; user: number; nonce: Uint8Array<ArrayBuffer>; data: ArrayBuffer }

/** What this device keeps: answers of the server to show without a signal, and what waits to go up. */
class Device extends Dexie {
  declare answers: EntityTable<{ key: string; value: unknown }, 'key'>
  declare waiting: EntityTable<Kept, 'order'>
  declare sealed: EntityTable<Sealed, 'order'>

  constructor() {
    super('ustrel')
    this.version(1).stores({ answers: 'key', waiting: '++order, &id, user' })
    this.version(2).stores({ sealed: 'order, user' })
  }
}

export const device = new Device()
