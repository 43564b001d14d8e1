import { api, body } from '@/api/client'
import { keys, queries } from '@/api/queries'
import { say, sayRow } from '@/words'
import { allTaken, type Kind } from './kind'

/** What was set to what, in one go: taken whole or not at all. */
export const setting: Kind<'setting'> = {
  most: 1,
  address: ({ planter }) => `planter ${planter}`,
  async send([item]) {
    if (item === undefined) return allTaken()
    const params = { path: { planter: item.planter } }
    await body(api.POST('/api/planters/{planter}/settings', { params, body: item.body }))
    await queries.invalidateQueries({ queryKey: keys.settings(item.planter) })
    // What was turned makes digs from before it old.
    await queries.invalidateQueries({ queryKey: keys.firstPass(item.planter) })
    return allTaken()
  },
  title: ({ body: { settings } }) =>
    settings
      .map(({ line, key, row, value, figure, withdrawn }) => {
        if (line !== undefined) return line
        const said = `${row ? `${sayRow(row)}, ` : ''}${say(`setting.${key}`)}: ${figure ?? value ?? ''}`
        return withdrawn ? `undone: ${said}` : said
      })
      .join('; '),
  brings: ({ body: { settings } }) => settings.map(({ id }) => id),
  dependsOn: ({ body: { settings } }) => settings.flatMap(({ supersedes }) => supersedes ?? []),
}
