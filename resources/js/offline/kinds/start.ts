import { api, body } from '@/api/client'
import type { Waiting } from '../device'
import { allTaken, type Kind, refreshWalk } from './kind'

/** A walk started on this device; what is recorded in it goes up after it. */
export const start: Kind<'start'> = {
  most: 1,
  address: ({ planter }) => `planter ${planter}`,
  async send([item]) {
    if (item === undefined) return allTaken()
    const { checks, ...start } = item.body
    await body(
      api.POST('/api/planters/{planter}/walks', {
        params: { path: { planter: item.planter } },
        body: { ...start, ...(checks ? { checks: checks as never } : {}), id: item.walk, cautions_acknowledged: true },
      }),
    )
    refreshWalk(item.planter)
    return allTaken()
  },
  title: (item, all) => `The walk started on this device, with ${recordedIn(item, all)} recorded in it`,
  brings: ({ walk }) => [walk],
  dependsOn: () => [],
}

const recordedIn = (start: Waiting<'start'>, all: Waiting[]) =>
  all.filter((item) => item.what !== 'start' && 'walk' in item && item.walk === start.walk).length

/** What was recorded in a walk that could not be started goes into the one that is open instead; the start is dropped. */
export const putInto =
  (start: Waiting<'start'>, openWalk: string) =>
  (item: Waiting): Waiting | null => {
    if (item.id === start.id) return null
    if (!('walk' in item) || item.walk !== start.walk) return item
    const moved = { ...item, walk: openWalk }
    delete moved.problem
    return moved
  }
