import { api, body } from '@/api/client'
import { refreshRecord } from '@/api/queries'
import type { LedgerEntry } from '@/api/types'
import { sayShims } from '@/opener/shims'
import { say } from '@/words'
import { allTaken, type Kind } from './kind'

/** What was done to parts in one go: all of it is taken, or nothing. */
export const ledger: Kind<'ledger'> = {
  most: 1,
  address: ({ planter }) => `planter ${planter}`,
  async send([item]) {
    if (item === undefined) return allTaken()
    const params = { path: { planter: item.planter } }
    await body(api.POST('/api/planters/{planter}/ledger', { params, body: item.body }))
    await refreshRecord(item.planter)
    return allTaken()
  },
  title: ({ body: { events } }) =>
    [...events.slice(0, 2).map(done), ...(events.length > 2 ? [`${events.length - 2} more`] : [])].join('; '),
  brings: ({ body: { events } }) => events.map(({ id }) => id),
  dependsOn: ({ body: { events } }) =>
    events.flatMap(({ supersedes, fitting_id }) => [supersedes, fitting_id].filter((id) => id != null)),
}

function done({ kind, row, slot, side, pairs, supersedes }: LedgerEntry): string {
  if (kind === 'withdrawn') return 'an entry undone'
  if (kind === 'shims_moved') return `row ${row}: ${sayShims({ pairs: pairs ?? 0, side })}`
  if (kind === 'removed') return 'a part taken out'
  const what = `row ${row}: ${say(`slot.${slot}`).toLowerCase()} ${say(`side.${side}`)}`.trimEnd()
  return `${what} ${supersedes == null ? 'fitted' : 'put right'}`
}
