import { v7 as uuid } from 'uuid'
import { computed, type MaybeRefOrGetter, toValue } from 'vue'
import { useDecide } from '@/plan/queries'
import type { DecisionEntry } from '@/api/types'
import { isOf } from '@/offline/device'
import { useOutbox } from '@/offline/outbox'
import { isOpen, type Line, withWaiting } from './findings'

export type Choice = Pick<DecisionEntry, 'action' | 'reason' | 'words' | 'look_when' | 'look_acres'>

/** What there is to decide on a planter, and the ways to decide it: now, or when there is a signal. */
export function useDecisions(planter: MaybeRefOrGetter<number>) {
  const outbox = useOutbox()
  const query = useDecide(planter)
  const waiting = computed(() =>
    outbox.waiting
      .filter(isOf('decision'))
      .filter((item) => item.planter === toValue(planter) && item.problem === undefined),
  )
  const lines = computed(() =>
    withWaiting(
      query.data.value?.found ?? [],
      waiting.value.map(({ body }) => body),
    ),
  )

  async function put(entries: DecisionEntry[]): Promise<void> {
    const walk = query.data.value?.walk
    if (walk == null || entries.length === 0) return
    await outbox.add(
      ...entries.map((entry) => ({
        what: 'decision' as const,
        id: entry.id,
        planter: toValue(planter),
        walk,
        body: entry,
      })),
    )
  }

  const about = (
    { row, check, side }: Line,
    rest: Pick<DecisionEntry, 'action'> & Partial<DecisionEntry>,
  ): DecisionEntry => ({
    id: uuid(),
    row,
    check,
    side,
    happened_at: new Date().toISOString(),
    ...rest,
  })

  /** Each as it is proposed; what is decided already stays. */
  const accept = (of: Line[]) =>
    put(
      of.filter(isOpen).map((line) =>
        about(line, {
          action: line.proposal.action,
          ...(line.overtaken && line.decision ? { supersedes: line.decision.id } : {}),
        }),
      ),
    )

  /** All of them otherwise than proposed, or than decided before. */
  const choose = (of: Line[], choice: Choice) =>
    put(of.map((line) => about(line, { ...choice, ...(line.decision ? { supersedes: line.decision.id } : {}) })))

  /** What waits here is not sent; what is on record is taken back there. */
  async function takeBack(of: Line[]): Promise<void> {
    for (const { waiting: entry } of of) if (entry !== undefined && !entry.withdrawn) await outbox.discard(entry.id)
    await put(
      of.flatMap((line) =>
        line.decision && line.waiting === undefined
          ? [about(line, { action: line.decision.action, supersedes: line.decision.id, withdrawn: true })]
          : [],
      ),
    )
  }

  return { query, lines, accept, choose, takeBack }
}
