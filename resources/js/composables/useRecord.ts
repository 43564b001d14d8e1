import { v7 as uuid } from 'uuid'
import { ref } from 'vue'
import { api, body, Refusal } from '@/api/client'
import { refreshRecord } from '@/api/queries'
import type { LedgerEntry } from '@/api/types'

export type Entry = Omit<LedgerEntry, 'id' | 'happened_at'>

/** The moment that a day means: now where it is today, noon where it is past. */
export function momentOf(day: string, now = new Date()): string {
  return day === now.toISOString().slice(0, 10) ? now.toISOString() : `${day}T12:00:00.000Z`
}

/** Writes what a person did to a planter into its ledger: all of it or nothing, with what was wrong. */
export function useRecord(planter: number) {
  const refusal = ref<Refusal | null>(null)
  const busy = ref(false)
  // The same entries sent again keep their ids, so that an answer that got lost writes nothing twice.
  let tried: { same: string; events: LedgerEntry[] } | null = null

  /**
   * @param when - the day of all of them, or a moment
   * @returns whether they are written
   */
  async function record(entries: Entry[], when: string): Promise<boolean> {
    const same = JSON.stringify([entries, when])
    if (tried?.same !== same) {
      const happened_at = when.includes('T') ? when : momentOf(when)
      tried = { same, events: entries.map((entry) => ({ ...entry, id: uuid(), happened_at })) }
    }
    busy.value = true
    try {
      await body(
        api.POST('/api/planters/{planter}/ledger', {
          params: { path: { planter } },
          body: { events: tried.events },
        }),
      )
      await refreshRecord(planter)
      tried = null
      refusal.value = null
    } catch (error) {
      refusal.value =
        error instanceof Refusal
          ? error
          : new Refusal(0, 'The server does not answer. Nothing is lost here; try again when it does.')
    } finally {
      busy.value = false
    }
    return refusal.value === null
  }

  return { record, refusal, busy }
}
