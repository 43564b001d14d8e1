import { api, body } from '@/api/client'
import { keys, queries } from '@/api/queries'
import type { WorkPlan } from '@/api/types'
import { useSend } from '@/composables/useSend'

export type SetPiece = { piece: string; person: string; starts: string }

/** Keeps the plan of a planter, or of all together: as it is shown, made anew, or with pieces set by hand. */
export function useKeptPlan(planter: () => number, together: () => boolean, plan: () => WorkPlan | undefined) {
  const { send, refusal, busy } = useSend()

  const keep = (with_: { remake?: boolean; set?: SetPiece[]; let_go?: string[] }): Promise<boolean> =>
    send(async () => {
      const params = { path: { planter: planter() } }
      const asked = { together: together(), seen: plan()?.kept?.revision ?? 0, ...with_ }
      try {
        await body(api.PUT('/api/planters/{planter}/work/plan', { params, body: asked }))
      } finally {
        // Where somebody else has kept another one, that is what is looked at next.
        await queries.invalidateQueries({ queryKey: keys.work(planter()) })
      }
    })

  return { keep, refusal, busy }
}
