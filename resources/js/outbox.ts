import { useEventListener, useStorage, useTimeoutFn } from '@vueuse/core'
import { defineStore } from 'pinia'
import { computed, ref, watch } from 'vue'
import { api, body, Refusal } from './api/client'
import { keys, queries } from './api/queries'
import type { Batch, Reading, Receipt, WalkGuide } from './api/types'
import { useSession } from './session'

/** A reading that the server has not acknowledged yet. */
export type Waiting = {
  walk: string
  planter: number
  reading: Reading
  /** Why the server would not take it; a person has to say what becomes of it. */
  problem?: Pick<Receipt, 'outcome' | 'message' | 'doubts'>
}

const MOST_AT_ONCE = 500
const FIRST_WAIT_MS = 1_000
const LONGEST_WAIT_MS = 30_000

/**
 * Readings on their way to the server, kept on the device under their own user until each is acknowledged.
 * They go up in order; one that the server will not take stays here until the technician has decided.
 */
export const useOutbox = defineStore('outbox', () => {
  const session = useSession()
  const all = useStorage<Record<string, Waiting[]>>('ustrel.outbox', {})
  const owner = computed(() => String(session.me?.id ?? ''))
  const waiting = computed<Waiting[]>(() => all.value[owner.value] ?? [])
  const problems = computed(() => waiting.value.filter((item) => item.problem !== undefined))
  const sending = ref(false)
  const wait = ref(FIRST_WAIT_MS)
  const retry = useTimeoutFn(() => void send(), wait, { immediate: false })

  function keep(next: Waiting[]): void {
    if (owner.value !== '') all.value = { ...all.value, [owner.value]: next }
  }

  function add(item: Waiting): void {
    keep([...waiting.value, item])
    void send()
  }

  /**
   * Sends a reading that the server would not take once more: confirmed, where it was doubted and stands; or as it is,
   * where what stood in its way is gone.
   */
  function sendAgain(id: string, confirmed: boolean): void {
    keep(
      waiting.value.map((item) =>
        item.reading.id === id ? { ...item, reading: { ...item.reading, confirmed }, problem: undefined } : item,
      ),
    )
    void send()
  }

  function discard(id: string): void {
    keep(waiting.value.filter((item) => item.reading.id !== id))
  }

  async function send(): Promise<void> {
    const ready = waiting.value.filter((item) => item.problem === undefined)
    const first = ready[0]
    if (sending.value || session.lapsed || first === undefined) return

    const group = ready.filter((item) => item.walk === first.walk).slice(0, MOST_AT_ONCE)
    sending.value = true
    try {
      const readings = group.map((item) => item.reading)
      const batch = await body(
        api.POST('/api/walks/{walk}/readings', { params: { path: { walk: first.walk } }, body: { readings } }),
      )
      settle(group, batch)
      wait.value = FIRST_WAIT_MS
    } catch (error) {
      stumble(group, error)
      return
    } finally {
      sending.value = false
    }
    void send()
  }

  function settle(group: Waiting[], batch: Batch): void {
    const receipts = new Map(batch.receipts.map((receipt) => [group[receipt.index]?.reading.id, receipt]))
    keep(
      waiting.value.flatMap((item) => {
        const receipt = receipts.get(item.reading.id)
        if (receipt === undefined) return [item]
        return receipt.outcome === 'stored' || receipt.outcome === 'known' ? [] : [{ ...item, problem: receipt }]
      }),
    )
    const [{ walk, planter }] = group as [Waiting]
    // One that was asked for before this batch must not overwrite it.
    void queries.cancelQueries({ queryKey: keys.walk(walk) })
    queries.setQueryData<WalkGuide>(keys.walk(walk), (guide) => guide && bringUpToDate(guide, batch))
    void queries.invalidateQueries({ queryKey: keys.board(planter) })
    void queries.invalidateQueries({ queryKey: keys.yard })
  }

  function stumble(group: Waiting[], error: unknown): void {
    if (error instanceof Refusal && error.isSignedOut) {
      session.lapsed = true
      return
    }
    if (error instanceof Refusal && error.status < 500 && error.status !== 429) {
      const problem = { outcome: 'refused' as const, message: error.message, doubts: [] }
      keep(waiting.value.map((item) => (group.includes(item) ? { ...item, problem } : item)))
      return
    }
    wait.value = Math.min(LONGEST_WAIT_MS, wait.value * 2)
    retry.start()
  }

  useEventListener('online', () => void send())
  watch(owner, () => void send(), { immediate: true })

  return { waiting, problems, sending, add, sendAgain, discard, send }
})

function bringUpToDate(guide: WalkGuide, batch: Batch): WalkGuide {
  return {
    ...guide,
    ribbon: batch.ribbon,
    row_doubts: batch.row_doubts,
    // Both lists hold every place of the walk, row by row.
    steps: guide.steps.map((step, index) => ({ ...step, ...batch.cells[index] })),
  }
}
