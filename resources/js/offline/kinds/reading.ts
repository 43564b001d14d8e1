import { api, body } from '@/api/client'
import { guideOf, takeIn } from '@/walk/guide'
import type { Reading } from '@/api/types'
import { say, sayCheck, sayRow } from '@/words'
import type { Problem } from '../device'
import { type Kind, refreshWalk } from './kind'

/** Readings of one walk, up to the most that the server takes at once. */
export const reading: Kind<'reading'> = {
  most: 500,
  address: ({ walk }) => `walk ${walk}`,
  async send(items) {
    const refused = new Map<string, Problem>()
    const [first] = items
    if (first === undefined) return refused
    const readings = items.map((item) => item.body)
    const { receipts, news } = await body(
      api.POST('/api/walks/{walk}/readings', {
        params: { path: { walk: first.walk } },
        body: { readings, since: guideOf(first.planter)?.as_of },
      }),
    )
    for (const receipt of receipts) {
      const id = readings[receipt.index]?.id
      if (id !== undefined && receipt.outcome !== 'stored' && receipt.outcome !== 'known') refused.set(id, receipt)
    }
    takeIn(first.planter, first.walk, news)
    refreshWalk(first.planter)
    return refused
  },
  title: ({ body }) => `${sayRow(body.row)}, ${sayCheck(body).toLowerCase()}: ${said(body)}`,
  brings: ({ id }) => [id],
  dependsOn: ({ walk }) => [walk],
}

function said(reading: Reading): string {
  if (reading.result && reading.result !== 'recorded') return say(`result.${reading.result}`)
  if (reading.entry === 'same_as_last') return say('entry.same_as_last')
  return reading.state ? say(`state.${reading.state}`) : (reading.typed ?? '')
}
