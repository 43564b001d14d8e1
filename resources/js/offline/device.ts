import Dexie, { type EntityTable } from 'dexie'
import type { NoteEntry, PlaceRef, Reading, Receipt, WalkKind, WalkOrder } from '@/api/types'

/** A walk that was started on this device. */
export type WalkStart = { kind: WalkKind; order: WalkOrder; checks: string[] | null; started_at: string }

export type PhotoEntry = PlaceRef & { id: string; taken_at: string; picture: Blob }

/** Why the server would not take something; a person has to say what becomes of it. */
export type Problem = Pick<Receipt, 'outcome' | 'message' | 'doubts'>

type Base = { user: number; planter: number; walk: string; id: string; problem?: Problem }

/** Something on its way to the server, in the order in which it was recorded. */
export type Waiting = Base &
  (
    | { what: 'start'; body: WalkStart }
    | { what: 'reading'; body: Reading }
    | { what: 'note'; body: NoteEntry }
    | { what: 'photo'; body: PhotoEntry }
  )

export type Kept = Waiting & { order: number }

/** What this device keeps: answers of the server to show without a signal, and what waits to go up. */
class Device extends Dexie {
  declare answers: EntityTable<{ key: string; value: unknown }, 'key'>
  declare waiting: EntityTable<Kept, 'order'>

  constructor() {
    super('ustrel')
    this.version(1).stores({ answers: 'key', waiting: '++order, &id, user' })
  }
}

export const device = new Device()
