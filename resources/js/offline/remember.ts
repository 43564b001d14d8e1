import { promiseTimeout } from '@vueuse/core'
import { Refusal } from '@/api/client'
import { device } from './device'

/** After that what is kept stands in for a server that has not answered yet. */
const LATE_MS = 8_000
/** And after that, where nothing is kept, it is as good as none. */
const PATIENCE_MS = 60_000

const kept = async (key: string) => (await device()).get('answers', key)

/**
 * Asks the server and keeps its answer on the device; where the server is late or cannot be reached, the answer kept
 * last stands in. A refusal is an answer too and is never papered over.
 */
export async function remembered<T>(key: string, ask: (signal: AbortSignal) => Promise<T>): Promise<T> {
  const asked = ask(AbortSignal.timeout(PATIENCE_MS)).then((answer) => {
    void store(key, answer)
    return answer
  })
  const standIn = () => kept(key).catch(() => undefined)
  const late = Symbol('late')
  try {
    const first = await Promise.race([asked, promiseTimeout(LATE_MS).then(() => late)])
    if (first !== late) return first as T
    return ((await standIn())?.value as T | undefined) ?? (await asked)
  } catch (error) {
    if (error instanceof Refusal && error.status < 500) throw error
    const before = await standIn()
    if (before === undefined) throw error
    return before.value as T
  } finally {
    // It may fail after something else has stood in for it.
    asked.catch(() => undefined)
  }
}

/** Keeps an answer for a time without a signal. A device that cannot keep it works on with a signal. */
async function store(key: string, value: unknown): Promise<void> {
  try {
    await (await device()).put('answers', { key, value })
  } catch (error) {
    console.warn('Not stored on this device', key, error)
  }
}

/** Keeps what a screen has changed in an answer, if it has one: without the reactive wrappers, which no device can store. */
export async function keep(key: string, value: unknown): Promise<void> {
  if (value !== undefined) await store(key, JSON.parse(JSON.stringify(value)))
}

/** What was heard last, without asking anybody. */
export const lastKept = <T>(key: string): Promise<T | undefined> =>
  kept(key).then(
    (answer) => answer?.value as T | undefined,
    () => undefined,
  )

export const forget = async (key: string): Promise<void> => (await device()).delete('answers', key)

/**
 * Forgets, when somebody signs out, all answers, pictures and manuals that are kept on the device. What waits to go up stays, for
 * when its owner signs in.
 */
export async function clearDevice(): Promise<void> {
  await (await device()).clear('answers')
  if ('caches' in globalThis) await Promise.all(['thumbnails', 'manuals'].map((name) => caches.delete(name)))
}

const OWED = 'signed-out'

/** Somebody has signed out without a signal: until the server has been told, nobody is let in by what it still holds. */
export const owesSignOut = {
  owe: () => keep(OWED, true),
  settle: () => forget(OWED).catch(() => undefined),
  isOwed: () =>
    kept(OWED).then(
      (owed) => owed !== undefined,
      () => false,
    ),
}
