import { openDB, type DBSchema, type IDBPDatabase, type IDBPObjectStore, type IDBPTransaction } from 'idb'
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
interface Tables extends DBSchema {
  answers: { key: string; value: { key: string; value: unknown } }
  waiting: { key: number; value: Kept; indexes: { id: string; user: number } }
  sealed: { key: number; value: Sealed; indexes: { user: number } }
}
type Table = 'answers' | 'waiting' | 'sealed'
type Writing<T extends Table> = IDBPTransaction<Tables, T[], 'readwrite'>
export type WaitingTable = IDBPObjectStore<Tables, 'waiting'[], 'waiting', 'readwrite'>

/** Of the tables; a change of them takes a higher one. */
const VERSION = 20
const FIRST_VERSION = 10

let opened: Promise<IDBPDatabase<Tables>> | undefined

/** The database, opened once; opened anew where the browser has closed it, or could not open it before. */
export function device(): Promise<IDBPDatabase<Tables>> {
  const forget = () => (opened = undefined)
  opened ??= openDB<Tables>('ustrel', VERSION, {
    upgrade(tables, before) {
      if (before < FIRST_VERSION) {
        tables.createObjectStore('answers', { keyPath: 'key' })
        const waiting = tables.createObjectStore('waiting', { keyPath: 'order', autoIncrement: true })
        waiting.createIndex('id', 'id', { unique: true })
        waiting.createIndex('user', 'user')
      }
      tables.createObjectStore('sealed', { keyPath: 'order' }).createIndex('user', 'user')
    },
    blocking(_current, _wanted, { target }) {
      // A newer version of the program, in another tab, changes the tables.
      ;(target as IDBDatabase).close()
      forget()
    },
    terminated: forget,
  }).catch((error: unknown) => {
    forget()
    throw error
  })
  return opened
}

const tabs = 'BroadcastChannel' in globalThis ? new BroadcastChannel('ustrel-device') : undefined

/** Changes tables, all or nothing, and tells the other tabs. */
export async function change<T extends Table>(tables: T[], edit: (writing: Writing<T>) => Promise<unknown>) {
  const writing = (await device()).transaction(tables, 'readwrite')
  // Heard below; without this, a transaction that fails twice over would be an error that nobody caught.
  writing.done.catch(() => undefined)
  try {
    await edit(writing)
  } catch (error) {
    if (writing.error === null) writing.abort()
    throw error
  }
  await writing.done
  tabs?.postMessage(null)
}

/** Calls back when another tab has changed what the device keeps. */
export const onChange = (listener: () => void): void => tabs?.addEventListener('message', listener)
