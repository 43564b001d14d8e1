import { api, body } from '@/api/client'
import { keys, queries, refreshRecord } from '@/api/queries'
import { refreshHands } from '@/work/queries'
import { say, sayRow } from '@/words'
import { rowOf, sayTarget } from '@/work/target'
import { allTaken, type Kind } from './kind'

/** What hands say of the work: ticks, what is finished with its parts, what could not be done. Taken whole or not at all. */
export const hands: Kind<'hands'> = {
  most: 1,
  address: ({ planter }) => `planter ${planter}`,
  async send([item]) {
    if (item === undefined) return allTaken()
    const params = { path: { planter: item.planter } }
    await body(api.POST('/api/planters/{planter}/work/hands', { params, body: item.body }))
    const isOnlyTicked = item.body.events.every(({ kind }) => kind === 'ticked')
    if (item.body.settings?.length) await queries.invalidateQueries({ queryKey: keys.settings(item.planter) })
    await (isOnlyTicked ? refreshHands(item.planter) : refreshRecord(item.planter))
    return allTaken()
  },
  title({ body: { events } }) {
    const [first] = events
    if (first === undefined) return ''
    const [target = ''] = first.targets ?? []
    const what = target === '' ? '' : `${sayRow(rowOf(target))}, ${sayTarget(target).toLowerCase()}: `
    return `${what}${first.withdrawn ? say('hands.taken_back') : say(`hands.say_${first.kind}`)}`
  },
  brings: ({ body: { events, ledger, settings = [] } }) => [...events, ...ledger, ...settings].map(({ id }) => id),
  dependsOn: ({ body: { events, ledger } }) =>
    [...events, ...ledger].map(({ supersedes }) => supersedes).filter((id) => id != null),
}
