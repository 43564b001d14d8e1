import { api, body } from '@/api/client'
import { refreshRecord } from '@/api/queries'
import { allTaken, type Kind } from './kind'

/** A line of the acres log. */
export const acres: Kind<'acres'> = {
  most: 1,
  address: ({ planter }) => `planter ${planter}`,
  async send([item]) {
    if (item === undefined) return allTaken()
    const params = { path: { planter: item.planter } }
    await body(api.POST('/api/planters/{planter}/acres', { params, body: item.body }))
    await refreshRecord(item.planter)
    return allTaken()
  },
  title({ body: { line, acres, field, withdrawn } }) {
    const said = line ?? `${acres} ac, ${field}`
    return withdrawn ? `undone: ${said}` : said
  },
  brings: ({ id }) => [id],
  dependsOn: ({ body: { supersedes } }) => (supersedes == null ? [] : [supersedes]),
}
