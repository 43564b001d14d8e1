import { api, body } from '@/api/client'
import { watchChanged } from '@/field/watch/queries'
import { say, sayRow } from '@/words'
import { allTaken, type Kind } from './kind'

/** What is said while rows are watched: alarms seen, rows shut off. Taken whole or not at all. */
export const watch: Kind<'watch'> = {
  most: 1,
  address: ({ planter }) => `planter ${planter}`,
  async send([item]) {
    if (item === undefined) return allTaken()
    const { run, entries } = item.body
    const params = { path: { planter: item.planter, watchRun: run } }
    await body(
      api.POST('/api/planters/{planter}/watch/{watchRun}/entries', {
        params,
        body: { entries },
      }),
    )
    await watchChanged(item.planter)
    return allTaken()
  },
  title: ({ body: { entries } }) =>
    entries.map(({ kind, row }) => `${row == null ? '' : `${sayRow(row)}: `}${say(`watch_entry.${kind}`)}`).join(', '),
  brings: ({ body: { entries } }) => entries.map(({ id }) => id),
  dependsOn: () => [],
}
