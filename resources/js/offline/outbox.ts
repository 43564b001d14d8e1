import { until, useEventListener, useTimeoutFn } from '@vueuse/core'
import { defineStore } from 'pinia'
import { computed, ref, shallowRef, watch } from 'vue'
import { Refusal } from '@/api/client'
import { useSession } from '@/session'
import {
  change,
  device,
  isOf,
  type Kept,
  type New,
  onChange,
  type Problem,
  type Waiting,
  type WaitingTable,
} from './device'
import { kindOf } from './kinds'

const FIRST_WAIT_MS = 1_000
const LONGEST_WAIT_MS = 30_000
/** After so many faults of the server over one thing it is set aside, and the rest goes on. */
const MOST_FAULTS = 3
/** How long a screen waits for what the device has; it does not keep anybody from working. */
const READ_MS = 2_000
/** How long a form waits for the server's word before what it took in goes on by itself. */
const PATIENCE_MS = 8_000

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
  /** Whether what waits has been read from the device. */
  const isKnown = ref(false)
  const sending = ref(false)
  const wait = ref(FIRST_WAIT_MS)
  /** Counts the times that the server could not be reached. */
  const stumbles = ref(0)
  const retry = useTimeoutFn(() => void send(), wait, { immediate: false })
  /** How often the server failed over a thing, by its id; what it failed over goes by itself, to find out which it is. */
  const faults = new Map<string, number>()

  /** Counts what this tab does to the table: what was read before is out of date. */
  let version = 0

  watch(
    owner,
    () => {
      waiting.value = []
      isKnown.value = false
      void reread()
    },
    // At once: not for a moment may one person's pieces stand under another's name.
    { immediate: true, flush: 'sync' },
  )
  // Another tab may add to the same table, or send from it.
  onChange(() => void reread())

  async function reread(): Promise<void> {
    const user = owner.value
    if (user === undefined) return
    const now = version
    try {
      const found = await read(user)
      if (user === owner.value && now === version) take(found)
    } catch {
      notKept.value = isKnown.value = true
    }
  }

  type Found = { all: Kept[]; sealed: number; isSealed: boolean }

  /** All that waits on the device, how much is sealed for others, and whether anything of the user's own is. */
  async function read(user: number): Promise<Found> {
    // Both at one moment: what another tab seals between the two would look as if it had gone up.
    const reading = (await device()).transaction(['waiting', 'sealed'])
    const [all, sealed] = await Promise.all([
      reading.objectStore('waiting').getAll(),
      reading.objectStore('sealed').getAll(),
    ])
    const others = sealed.filter((item) => item.user !== user).length
    return { all, sealed: others, isSealed: others < sealed.length }
  }

  function take({ all, sealed, isSealed }: Found): void {
    if (owner.value === undefined) return
    if (isSealed) {
      // Signed out in another tab, which sealed what waits here too: it is not to look as if it had gone up.
      session.lapsed = true
      return
    }
    const own = all.filter((item) => item.user === owner.value)
    ofOthers.value = all.length - own.length + sealed
    // What could not be written to the device is still in memory.
    const unwritten = waiting.value.filter((item) => !('order' in item) && !own.some(({ id }) => id === item.id))
    waiting.value = [...own, ...unwritten]
    isKnown.value = true
    void send()
  }

  /** What waits belongs to what a screen begins with: a walk begins behind it. */
  const known = () => until(isKnown).toBe(true, { timeout: READ_MS, flush: 'sync' })

  /**
   * Changes the table, all or nothing, and then shows it as it has become. A device that cannot keep anything works on
   * from memory.
   */
  async function write(edit: (table: WaitingTable) => Promise<unknown>): Promise<void> {
    version++
    try {
      await change(['waiting'], (writing) => edit(writing.objectStore('waiting')))
    } catch {
      notKept.value = true
      void send()
      return
    }
    version++
    await reread()
  }

  /** Takes something in: it is shown and kept at once, and goes up when it can. */
  async function add(...items: New[]): Promise<void> {
    const user = owner.value
    if (user === undefined) return
    const taken = items.map((item) => plain({ ...item, user }))
    waiting.value = [...waiting.value, ...taken]
    // The rows that come back carry their place in the order.
    await write((table) => Promise.all(taken.map((item) => table.add({ ...item } as Kept))))
  }

  /**
   * Takes in what a form says, and waits for the server's word while there is a signal: without one it goes up later.
   *
   * @throws Refusal where the server would not take it; then it does not wait, and the form still has it
   */
  async function deliver(item: New): Promise<void> {
    const before = stumbles.value
    await add(item)
    const own = () => waiting.value.find(({ id }) => id === item.id)
    const isSaid = () => own() === undefined || own()?.problem !== undefined
    const isLater = () => stumbles.value > before || session.lapsed
    await until(() => isSaid() || isLater()).toBeTruthy({ timeout: PATIENCE_MS, flush: 'sync' })
    const problem = own()?.problem
    if (problem === undefined) return
    await discard(item.id)
    throw new Refusal(422, problem.message ?? '', problem.errors)
  }

  /**
   * Sends something that the server would not take once more: confirmed, where it was doubted and stands; or as it is,
   * where what stood in its way is gone.
   */
  async function sendAgain(id: string, confirmed: boolean): Promise<void> {
    await rewrite((item) => {
      if (item.id !== id) return item
      const again = { ...item }
      delete again.problem
      if (confirmed && again.what === 'reading') again.body = { ...again.body, confirmed }
      return again
    })
  }

  const discard = (id: string) => rewrite((item) => (item.id === id ? null : item))

  /** Rewrites what waits, each piece in its turn; null drops it. */
  async function rewrite(edit: (item: Waiting) => Waiting | null): Promise<void> {
    waiting.value = waiting.value.flatMap((item) => edit(item) ?? [])
    await write(async (table) => {
      for (const item of await table.index('user').getAll(owner.value ?? 0)) {
        const edited = edit(item)
        if (edited === null) await table.delete(item.order)
        else if (edited !== item) await table.put({ ...edited, order: item.order })
      }
    })
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
        const refused = await kindOf(group[0] as Waiting).send(group)
        if (owner.value !== user) return
        await settle(group, refused)
        wait.value = FIRST_WAIT_MS
      } catch (error) {
        if (!(await stumble(group, error))) return
      }
    }
  }

  /** Whether something is held back by what it builds on, which the server would not take. */
  const refusedIds = computed(() => new Set(problems.value.flatMap((item) => kindOf(item).brings(item))))
  const isHeldBack = (item: Waiting) =>
    kindOf(item)
      .dependsOn(item)
      .some((id) => refusedIds.value.has(id))

  /** What goes up next: neighbours of one kind and address together, as many as their kind allows. */
  function nextGroup(): Waiting[] {
    const ready = waiting.value.filter(
      (item) => item.user === owner.value && item.problem === undefined && !isHeldBack(item),
    )
    const first = ready[0]
    if (first === undefined) return []
    const kind = kindOf(first)
    const end = ready.findIndex((item) => item.what !== first.what || kind.address(item) !== kind.address(first))
    const most = faults.has(first.id) ? 1 : kind.most
    return ready.slice(0, end === -1 ? most : Math.min(end, most))
  }

  async function settle(group: Waiting[], refused: Map<string, Problem>): Promise<void> {
    const done = group.filter((item) => !refused.has(item.id)).map((item) => item.id)
    waiting.value = waiting.value
      .filter((item) => !done.includes(item.id))
      .map((item) => (refused.has(item.id) ? { ...item, problem: refused.get(item.id) } : item))
    await write(async (table) => {
      for (const { id } of group) {
        const item = await table.index('id').get(id)
        const problem = refused.get(id)
        if (item !== undefined) await (problem ? table.put({ ...item, problem }) : table.delete(item.order))
      }
    })
  }

  /** Says whether to go on with the rest. */
  async function stumble(group: Waiting[], error: unknown): Promise<boolean> {
    if (error instanceof Refusal && error.isSignedOut) {
      session.lapsed = true
      return false
    }
    if (error instanceof Refusal && error.status < 500 && error.status !== 429) {
      const problem = { outcome: 'refused' as const, message: error.message, doubts: [], errors: error.errors }
      await settle(group, new Map(group.map((item) => [item.id, problem])))
      return true
    }
    if (error instanceof Refusal && error.status === 500) {
      for (const { id } of group) faults.set(id, (faults.get(id) ?? 0) + 1)
      const [first] = group
      if (first && group.length === 1 && (faults.get(first.id) ?? 0) >= MOST_FAULTS) {
        faults.delete(first.id)
        await settle(group, new Map([[first.id, { outcome: 'refused' as const, message: error.message, doubts: [] }]]))
        return true
      }
    }
    wait.value = Math.min(LONGEST_WAIT_MS, wait.value * 2)
    stumbles.value++
    retry.start()
    return false
  }

  useEventListener('online', () => {
    wait.value = FIRST_WAIT_MS
    void send()
  })

  return { waiting, problems, ofOthers, notKept, sending, known, add, deliver, sendAgain, rewrite, discard, send }
})

/** As the device can store it: without the reactive wrappers that a screen puts around lists. A picture stays itself. */
function plain(item: Waiting): Waiting {
  return isOf('photo')(item) ? { ...item, body: { ...item.body } } : (JSON.parse(JSON.stringify(item)) as Waiting)
}
