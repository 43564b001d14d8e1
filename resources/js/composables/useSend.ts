import { ref } from 'vue'
import { Refusal } from '@/api/client'
import { useNumbers } from './useNumbers'

/** Sends what a form says: whether it is under way, and what was wrong with it. A form with a number that cannot be read is not sent. */
export function useSend(withoutAnswer = 'The server does not answer. Nothing was saved; try again.') {
  const refusal = ref<Refusal | null>(null)
  const busy = ref(false)
  const numbers = useNumbers()

  /** @returns whether it was taken; a second tap while the first is under way sends nothing */
  async function send(ask: () => Promise<unknown>): Promise<boolean> {
    if (busy.value) return false
    if (numbers.complain() > 0) {
      refusal.value = new Refusal(422, 'Fix what is marked in red. Nothing was saved.')
      return false
    }
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
