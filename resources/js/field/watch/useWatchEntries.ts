import { v7 as uuid } from 'uuid'
import type { WatchEntry, WatchRun } from '@/api/types'
import { useSend } from '@/composables/useSend'
import { useOutbox } from '@/offline/outbox'

type Said = Pick<WatchEntry, 'kind' | 'row' | 'alarm'>

/** Records what is said of alarms and rows of a run, online or not. */
export function useWatchEntries(planterId: () => number, run: () => WatchRun | null) {
  const outbox = useOutbox()
  const { send, refusal, busy } = useSend()

  async function record(said: Said[]): Promise<void> {
    const of = run()
    if (of === null) return
    const happened_at = new Date().toISOString()
    const entries = said.map((one) => ({ ...one, id: uuid(), happened_at }))
    const id = uuid()
    await send(() => outbox.deliver({ what: 'watch', id, planter: planterId(), body: { run: of.id, entries } }))
  }
  return { record, refusal, busy }
}
