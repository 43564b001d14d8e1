import { promiseTimeout } from '@vueuse/core'
import { Refusal } from '@/api/client'
import { device } from './device'

/** After that what is kept stands in for a server that has not answered yet. */
const LATE_MS = 8_000
/** And after that, where nothing is kept, it is as good as none. */
const PATIENCE_MS = 60_000

/**
 * Asks the server and keeps its answer on the device; where the server is late or cannot be reached, the answer kept
 * last stands in. A refusal is an answer too and is never papered over.
 */
export async function remembered<T>(key: string, ask: (signal: AbortSignal) => Promise<T>): Promise<T> {
  const asked = ask(AbortSignal.timeout(PATIENCE_MS)).then((answer) => {
    void keep(key, answer)
    return answer
  })
  const standIn = () => device.answers.get(key).catch(() => undefined)
  const late = Symbol('late')
  try {
    const first = await Promise.race([asked, promiseTimeout(LATE_MS).then(() => late)])
    if (first !== late) return first as T
    return ((await standIn())?.value as T | undefined) ?? (await asked)
  } catch (error) {
    if (error instanceof Refusal && error.status < 500) throw error
    const kept = await standIn()
    if (kept === undefined) throw error
    return kept.value as T
  } finally {
    // It may fail after something else has stood in for it.
    asked.catch(() => undefined)
  }
}

/** Keeps an answer for a time without a signal. A device that cannot keep it works on with a signal. */
export async function keep(key: string, value: unknown): Promise<void> {
  try {
    // What is kept has to be plain: a reactive proxy cannot be stored.
    await device.answers.put({ key, value: JSON.parse(JSON.stringify(value)) as unknown })
  } catch (error) {
    console.warn('Not kept on this device', key, error)
  }
}

/** What was heard last, without asking anybody. */
export const lastKept = <T>(key: string): Promise<T | undefined> =>
  device.answers.get(key).then(
    (kept) => kept?.value as T | undefined,
    () => undefined,
  )

/**
 * Forgets, when somebody signs out, all answers and pictures that are kept on the device. What waits to go up stays, for
 * when its owner signs in.
 */
export async function clearDevice(): Promise<void> {
  await device.answers.clear()
  if ('caches' in globalThis) await caches.delete('thumbnails')
}

const OWED = 'signed-out'

/** Somebody has signed out without a signal: until the server has been told, nobody is let in by what it still holds. */
export const owesSignOut = {
  owe: () => keep(OWED, true),
  settle: () => device.answers.delete(OWED).catch(() => undefined),
  isOwed: () =>
    device.answers.get(OWED).then(
      (kept) => kept !== undefined,
      () => false,
    ),
}
