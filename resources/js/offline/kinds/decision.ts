import { api, body } from '@/api/client'
import { refreshPlan } from '@/api/queries'
import { say, sayCheck, sayRow } from '@/words'
import type { Problem } from '../device'
import type { Kind } from './kind'

/** What was decided about findings of one walk: each is taken or refused on its own. */
export const decision: Kind<'decision'> = {
  most: 500,
  address: ({ walk }) => `walk ${walk}`,
  async send(items) {
    const refused = new Map<string, Problem>()
    const [first] = items
    if (first === undefined) return refused
    const decisions = items.map((item) => item.body)
    const params = { path: { walk: first.walk } }
    const { receipts } = await body(api.POST('/api/walks/{walk}/decisions', { params, body: { decisions } }))
    for (const receipt of receipts) {
      const id = decisions[receipt.index]?.id
      if (id !== undefined && receipt.outcome !== 'stored' && receipt.outcome !== 'known') refused.set(id, receipt)
    }
    await refreshPlan(first.planter)
    return refused
  },
  title: ({ body: of }) =>
    `${sayRow(of.row)}, ${sayCheck(of).toLowerCase()}: ${of.withdrawn ? 'decision undone' : say(`action.${of.action}`)}`,
  brings: ({ id }) => [id],
  dependsOn: ({ walk, body: { supersedes } }) => (supersedes == null ? [walk] : [walk, supersedes]),
}
