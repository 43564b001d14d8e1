import { v7 as uuid } from 'uuid'
import type { LedgerEntry } from '@/api/types'
import { useDays } from '@/composables/useDays'
import { useOutbox } from '@/offline/outbox'
import { useSend } from '@/composables/useSend'

export type Entry = Omit<LedgerEntry, 'id' | 'happened_at'>

/** Writes what a person did to a planter into its ledger: all of it or nothing, now or when there is a signal. */
export function useLedgerEntries(planter: number) {
  const { momentOf } = useDays()
  const outbox = useOutbox()
  const { send, refusal, busy } = useSend()

  /**
   * @param when - the day of all of them, or a moment
   * @returns whether they are written, or wait on this device to go up
   */
  function record(entries: Entry[], when: string): Promise<boolean> {
    const happened_at = when.includes('T') ? when : momentOf(when)
    const events = entries.map((entry) => ({ ...entry, id: uuid(), happened_at }))
    return send(() => outbox.deliver({ what: 'ledger', id: uuid(), planter, body: { events } }))
  }

  return { record, refusal, busy }
}
