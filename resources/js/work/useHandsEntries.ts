import { v7 as uuid } from 'uuid'
import { computed } from 'vue'
import type { LedgerEntry, SettingEntry, WorkEntry } from '@/api/types'
import { isOf } from '@/offline/device'
import { useOutbox } from '@/offline/outbox'
import { useSend } from '@/composables/useSend'
import { useSession } from '@/session'

type Said = Omit<WorkEntry, 'id' | 'happened_at' | 'ledger'> & {
  ledger?: Omit<LedgerEntry, 'id' | 'happened_at'>[]
  settings?: Omit<SettingEntry, 'id' | 'happened_at'>[]
}

/** What hands say of the work on one planter: kept on the device at once, and gone up when there is a signal. */
export function useHandsEntries(planter: () => number) {
  const outbox = useOutbox()
  const session = useSession()
  const { send, refusal, busy } = useSend()
  const waiting = computed(() =>
    outbox.waiting.filter(isOf('hands')).filter((item) => item.planter === planter() && item.problem === undefined),
  )
  const me = computed(() => session.me?.name ?? '')

  function made(said: Said[]): { events: WorkEntry[]; ledger: LedgerEntry[]; settings: SettingEntry[] } {
    const happened_at = new Date().toISOString()
    const ledger: LedgerEntry[] = []
    const settings: SettingEntry[] = []
    const events = said.map(({ ledger: entries = [], settings: set = [], ...event }) => {
      settings.push(...set.map((entry) => ({ ...entry, id: uuid(), happened_at })))
      const own = entries.map((entry) => ({ ...entry, id: uuid(), happened_at }))
      ledger.push(...own)
      return { ...event, id: uuid(), happened_at, ledger: own.map(({ id }) => id) }
    })
    return { events, ledger, settings }
  }

  /** A tick, or one taken back: nobody waits for the server's word. */
  const tell = (...said: Said[]) =>
    outbox.add(...said.map((one) => ({ what: 'hands' as const, id: uuid(), planter: planter(), body: made([one]) })))

  /** What a form says. @returns whether it is written, or waits on this device to go up */
  const deliver = (said: Said[]) =>
    send(() => outbox.deliver({ what: 'hands', id: uuid(), planter: planter(), body: made(said) }))

  return { waiting, me, tell, deliver, refusal, busy }
}
