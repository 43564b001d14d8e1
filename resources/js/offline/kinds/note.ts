import { api, body } from '@/api/client'
import { takeIn } from '@/walk/guide'
import { sayCheck, sayRow } from '@/words'
import { allTaken, type Kind, refreshWalk } from './kind'

/** A note at a place of a walk. */
export const note: Kind<'note'> = {
  most: 1,
  address: ({ walk }) => `walk ${walk}`,
  async send([item]) {
    if (item === undefined) return allTaken()
    const params = { path: { walk: item.walk } }
    takeIn(item.planter, item.walk, await body(api.POST('/api/walks/{walk}/notes', { params, body: item.body })))
    refreshWalk(item.planter)
    return allTaken()
  },
  title: ({ body }) => `${sayRow(body.row)}, ${sayCheck(body).toLowerCase()}: ${body.text}`,
  brings: ({ id }) => [id],
  dependsOn: ({ walk }) => [walk],
}
