import { v7 as uuid } from 'uuid'
import type { FirstPass, SignOffEntry } from '@/api/types'
import { useOnce } from '@/composables/useOnce'
import { useSend } from '@/composables/useSend'
import { useOutbox } from '@/offline/outbox'
import { useGround } from './useGround'

/** Signs off a step of the first pass, online or not. */
export function useSignOff(planterId: number) {
  const outbox = useOutbox()
  const once = useOnce()
  const ground = useGround(planterId)
  const { send, refusal, busy } = useSend()
  const deliver = (body: SignOffEntry) =>
    send(() => outbox.deliver({ what: 'signOff', id: body.id, planter: planterId, body }))

  async function sign(of: Omit<SignOffEntry, 'id' | 'happened_at'>): Promise<void> {
    const typed = { ...of, field: ground.value.field }
    const body = once.of(typed, () => ({ ...typed, id: uuid(), happened_at: new Date().toISOString() }))
    if (await deliver(body)) once.taken()
  }
  async function takeBack({ id, kind, rows, words }: FirstPass['sign_offs'][number]): Promise<void> {
    const happened_at = new Date().toISOString()
    await deliver({ id: uuid(), kind, rows, words, supersedes: id, withdrawn: true, happened_at })
  }
  return { sign, takeBack, refusal, busy }
}
