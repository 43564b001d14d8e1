import { useEventListener, useTimeoutFn } from '@vueuse/core'
import { liveQuery, type Subscription } from 'dexie'
import { defineStore } from 'pinia'
import { computed, ref, shallowRef, watch } from 'vue'
import { Refusal } from '@/api/client'
import { useSession } from '@/session'
import { device, type Kept, type Problem, type Waiting } from './device'
import { sendUp } from './sendUp'

const MOST_AT_ONCE = 500
const FIRST_WAIT_MS = 1_000
const LONGEST_WAIT_MS = 30_000

/**
 * What is on its way to the server, kept on the device under its own user until each piece is acknowledged. It goes up
 * in the order in which it was recorded; what the server will not take stays here until the technician has decided.
 */
export const useOutbox = defineStore('outbox', () => {
  const session = useSession()
  const owner = computed(() => session.me?.id)
  const waiting = shallowRef<Waiting[]>([])
  /** Pieces of other people on this device, which go up when they sign in. */
  const ofOthers = ref(0)
  /** The device has no room or no leave to keep anything: what is recorded now must not be left. */
  const notKept = ref(false)
  const problems = computed(() => waiting.value.filter((item) => item.problem !== undefined))
  const sending = ref(false)
  const wait = ref(FIRST_WAIT_MS)
  const retry = useTimeoutFn(() => void send(), wait, { immediate: false })
  let watching: Subscription | undefined

  /** Counts what this tab does to the table: what was read before is out of date. */
  let version = 0

  // Another tab may add to the same table, or send from it.
  watch(
    owner,
    (user) => {
      watching?.unsubscribe()
      waiting.value = []
      if (user === undefined) return
      watching = liveQuery(async () => ({ version, all: await device.waiting.toArray() })).subscribe({
        next: (read) => read.version === version && take(read.all),
        error: () => (notKept.value = true),
      })
    },
    // At once: not for a moment may one person's pieces stand under another's name.
    { immediate: true, flush: 'sync' },
  )

  function take(all: Kept[]): void {
    if (owner.value === undefined) return
    const own = all.filter((item) => item.user === owner.value)
    ofOthers.value = all.length - own.length
    // What could not be written to the device is still in memory.
    const unwritten = waiting.value.filter((item) => !('order' in item) && !own.some(({ id }) => id === item.id))
    waiting.value = [...own, ...unwritten]
    void send()
  }

  /** Changes the table, all or nothing, and then shows it as it has become. */
  async function write(change: () => Promise<unknown>): Promise<void> {
    version++
    await device.transaction('rw', device.waiting, change)
    const now = ++version
    const all = await device.waiting.toArray()
    if (now === version) take(all)
  }

  type New = Waiting extends infer W
    ? W extends Waiting
      ? Omit<W, 'user' | 'id'> & { body: { id?: string } }
      : never
    : never

  /** Takes something in: it is shown and kept at once, and goes up when it can. */
  async function add(...items: (New & { id?: string })[]): Promise<void> {
    const user = owner.value
    if (user === undefined) return
    const taken = items.map((item) => plain({ ...item, user, id: item.id ?? item.body.id ?? item.walk } as Waiting))
    waiting.value = [...waiting.value, ...taken]
    try {
      // The rows that come back carry their place in the order.
      await write(() => device.waiting.bulkAdd(taken.map((item) => ({ ...item }) as Kept)))
    } catch {
      notKept.value = true
      void send()
    }
  }

  /**
   * Sends something that the server would not take once more: confirmed, where it was doubted and stands; or as it is,
   * where what stood in its way is gone.
   */
  async function sendAgain(id: string, confirmed: boolean): Promise<void> {
    await change(id, (item) => {
      delete item.problem
      if (confirmed && item.what === 'reading') item.body = { ...item.body, confirmed }
    })
  }

  /** Puts what was recorded in a walk that could not be started into the one that is open instead. */
  async function moveTo(walk: string, openWalk: string): Promise<void> {
    const ofWalk = () => device.waiting.filter((item) => item.walk === walk && item.user === owner.value)
    await write(async () => {
      await ofWalk()
        .and((item) => item.what === 'start')
        .delete()
      await ofWalk().modify((item) => {
        item.walk = openWalk
        delete item.problem
      })
    })
  }

  async function discard(id: string): Promise<void> {
    waiting.value = waiting.value.filter((item) => item.id !== id)
    await write(() => device.waiting.where('id').equals(id).delete())
  }

  async function change(id: string, edit: (item: Waiting) => void): Promise<void> {
    await write(() =>
      device.waiting
        .where('id')
        .equals(id)
        .modify((item) => edit(item)),
    )
  }

  /** One sender at a time, over all tabs. */
  async function send(): Promise<void> {
    if (sending.value || session.lapsed || nextGroup().length === 0) return
    sending.value = true
    try {
      // There only on a secure address; without it a second tab may send twice, which is harmless.
      const locks = navigator.locks as LockManager | null | undefined
      if (locks) await locks.request('ustrel-outbox', { ifAvailable: true }, (lock) => (lock ? drain() : later()))
      else await drain()
    } finally {
      sending.value = false
    }
  }

  function later(): void {
    wait.value = FIRST_WAIT_MS
    retry.start()
  }

  async function drain(): Promise<void> {
    const user = owner.value
    for (let group = nextGroup(); group.length > 0; group = nextGroup()) {
      try {
        const refused = await sendUp(group)
        if (owner.value !== user) return
        await settle(group, refused)
        wait.value = FIRST_WAIT_MS
      } catch (error) {
        if (!(await stumble(group, error))) return
      }
    }
  }

  /** What goes up next: readings of one walk together, the rest by itself. Nothing of a walk that could not be started. */
  function nextGroup(): Waiting[] {
    const unstarted = new Set(problems.value.filter((item) => item.what === 'start').map((item) => item.walk))
    const ready = waiting.value.filter(
      (item) => item.user === owner.value && item.problem === undefined && !unstarted.has(item.walk),
    )
    const first = ready[0]
    if (first === undefined || first.what !== 'reading') return ready.slice(0, 1)
    const end = ready.findIndex((item) => item.what !== 'reading' || item.walk !== first.walk)
    return ready.slice(0, end === -1 ? MOST_AT_ONCE : Math.min(end, MOST_AT_ONCE))
  }

  async function settle(group: Waiting[], refused: Map<string, Problem>): Promise<void> {
    const done = group.filter((item) => !refused.has(item.id)).map((item) => item.id)
    waiting.value = waiting.value
      .filter((item) => !done.includes(item.id))
      .map((item) => (refused.has(item.id) ? { ...item, problem: refused.get(item.id) } : item))
    await write(async () => {
      await device.waiting.where('id').anyOf(done).delete()
      await device.waiting
        .where('id')
        .anyOf([...refused.keys()])
        .modify((item) => {
          item.problem = refused.get(item.id)
        })
    })
  }

  /** Says whether to go on with the rest. */
  async function stumble(group: Waiting[], error: unknown): Promise<boolean> {
    if (error instanceof Refusal && error.isSignedOut) {
      session.lapsed = true
      return false
    }
    if (error instanceof Refusal && error.status < 500 && error.status !== 429) {
      const problem = { outcome: 'refused' as const, message: error.message, doubts: [] }
      await settle(group, new Map(group.map((item) => [item.id, problem])))
      return true
    }
    wait.value = Math.min(LONGEST_WAIT_MS, wait.value * 2)
    retry.start()
    return false
  }

  useEventListener('online', () => {
    wait.value = FIRST_WAIT_MS
    void send()
  })

  return { waiting, problems, ofOthers, notKept, sending, add, sendAgain, moveTo, discard, send }
})

/** As the device can store it: without the reactive wrappers that a screen puts around lists. A picture stays itself. */
function plain(item: Waiting): Waiting {
  return item.what === 'photo' ? { ...item, body: { ...item.body } } : (JSON.parse(JSON.stringify(item)) as Waiting)
}
