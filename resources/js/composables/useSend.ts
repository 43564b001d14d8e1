import { ref } from 'vue'
import { Refusal } from '@/api/client'

/** Sends what a form says: whether it is under way, and what was wrong with it. */
export function useSend(withoutAnswer = 'The server does not answer. Nothing was saved; try again.') {
  const refusal = ref<Refusal | null>(null)
  const busy = ref(false)

  /** @returns whether it was taken; a second tap while the first is under way sends nothing */
  async function send(ask: () => Promise<unknown>): Promise<boolean> {
    if (busy.value) return false
    busy.value = true
    refusal.value = null
    try {
      await ask()
    } catch (error) {
      refusal.value = error instanceof Refusal ? error : new Refusal(0, withoutAnswer)
    } finally {
      busy.value = false
    }
    return refusal.value === null
  }

  return { send, refusal, busy }
}
