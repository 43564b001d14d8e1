import { api, body } from '@/api/client'
import { keys, queries } from '@/api/queries'
import { sayRow } from '@/words'
import { allTaken, type Kind } from './kind'

/** Plants that were counted on a marked length. */
export const standCount: Kind<'standCount'> = {
  most: 1,
  address: ({ planter }) => `planter ${planter}`,
  async send([item]) {
    if (item === undefined) return allTaken()
    const params = { path: { planter: item.planter } }
    await body(api.POST('/api/planters/{planter}/emergence', { params, body: { counts: [item.body] } }))
    await queries.invalidateQueries({ queryKey: keys.emergence(item.planter) })
    return allTaken()
  },
  title: ({ body: { row, field, plants, withdrawn } }) =>
    `${withdrawn ? 'undone: ' : ''}${field}, ${sayRow(row).toLowerCase()}: ${plants} plants`,
  brings: ({ id }) => [id],
  dependsOn: ({ body: { supersedes } }) => (supersedes == null ? [] : [supersedes]),
}
