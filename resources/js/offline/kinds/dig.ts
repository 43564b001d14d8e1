import { api, body } from '@/api/client'
import { keys, queries } from '@/api/queries'
import { sayRow } from '@/words'
import { allTaken, type Kind } from './kind'

/** A row that was dug. */
export const dig: Kind<'dig'> = {
  most: 1,
  address: ({ planter }) => `planter ${planter}`,
  async send([item]) {
    if (item === undefined) return allTaken()
    const params = { path: { planter: item.planter } }
    await body(api.POST('/api/planters/{planter}/first-pass/digs', { params, body: { digs: [item.body] } }))
    await queries.invalidateQueries({ queryKey: keys.firstPass(item.planter) })
    return allTaken()
  },
  title: ({ body: { row, pass, depths, withdrawn } }) =>
    `${withdrawn ? 'undone: ' : ''}${sayRow(row)}, pass ${pass}: dug, ${depths.length} depths`,
  brings: ({ id }) => [id],
  dependsOn: ({ body: { supersedes } }) => (supersedes == null ? [] : [supersedes]),
}
