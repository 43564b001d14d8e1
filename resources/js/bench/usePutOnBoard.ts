import { v7 as uuid } from 'uuid'
import { useOutbox } from '@/offline/outbox'
import { say } from '@/words'
import type { BenchRun } from './shares'
import { percent, sayCounts } from './shares'

/** Says on the board what a run tells of its row: as readings of the walk, with a note of what was counted, by the way that readings go. */
export function usePutOnBoard() {
  const outbox = useOutbox()

  return async ({ planter, walk, run }: { planter: number; walk: string; run: BenchRun }): Promise<void> => {
    const taken_at = new Date().toISOString()
    const place = (check: BenchRun['board'][number]['check']) => ({ row: run.row, check, side: 'centre' as const })
    await outbox.add(
      ...run.board.map(({ check, state, chips }) => {
        const said = state === null ? { typed: '0', confirmed: true } : { state, chips }
        const reading = { id: uuid(), units: 'in' as const, ...place(check), ...said, taken_at }
        return { what: 'reading' as const, id: reading.id, walk, planter, body: reading }
      }),
    )
    const suspect = run.board.find(({ state }) => state !== null)
    if (!suspect) return
    const { share, low, high } = run.singulation
    const text = `${say(`stage.${run.stage}`)}: ${percent(share)} (${percent(low)} to ${percent(high)}), ${sayCounts(run)}${run.air === null ? '' : `, ${run.air} in H₂O`}.`
    const note = { id: uuid(), ...place(suspect.check), kind: 'note' as const, text, taken_at }
    await outbox.add({ what: 'note' as const, id: note.id, walk, planter, body: note })
  }
}
