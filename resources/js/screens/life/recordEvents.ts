import { v7 as uuid } from 'uuid'
import { api, body, Refusal } from '@/api/client'
import { refreshRecord } from '@/api/queries'
import type { LedgerEntry } from '@/api/types'

type Entry = Omit<LedgerEntry, 'id' | 'happened_at'>

/** The moment that a day means: now where it is today, noon where it is past. */
export function momentOf(day: string, now = new Date()): string {
  return day === now.toISOString().slice(0, 10) ? now.toISOString() : `${day}T12:00:00.000Z`
}

/** Events with ids of their own, made once, so that sending them again is harmless. */
export function entriesFor(entries: Entry[], day: string): LedgerEntry[] {
  const happened_at = momentOf(day)
  return entries.map((entry) => ({ ...entry, id: uuid(), happened_at }))
}

/** Writes what was done into the ledger, all of it or nothing; answers with what was wrong. */
export async function recordEvents(planter: number, events: LedgerEntry[]): Promise<Refusal | null> {
  try {
    await body(api.POST('/api/planters/{planter}/ledger', { params: { path: { planter } }, body: { events } }))
    await refreshRecord(planter)
    return null
  } catch (error) {
    return error instanceof Refusal
      ? error
      : new Refusal(0, 'The server does not answer. Nothing was written; try again.')
  }
}

/** What was wrong, each sentence once. */
export function refusals(refusal: Refusal): string[] {
  const said = Object.values(refusal.errors).flat()
  return said.length > 0 ? [...new Set(said)] : [refusal.message]
}
