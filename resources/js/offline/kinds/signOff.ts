import { api, body } from '@/api/client'
import { keys, queries } from '@/api/queries'
import { say } from '@/words'
import { allTaken, type Kind } from './kind'

/** Somebody vouches for the planter. */
export const signOff: Kind<'signOff'> = {
  most: 1,
  address: ({ planter }) => `planter ${planter}`,
  async send([item]) {
    if (item === undefined) return allTaken()
    const params = { path: { planter: item.planter } }
    await body(api.POST('/api/planters/{planter}/first-pass/sign-offs', { params, body: item.body }))
    await queries.invalidateQueries({ queryKey: keys.firstPass(item.planter) })
    return allTaken()
  },
  title: ({ body: { kind, withdrawn } }) => `${withdrawn ? 'undone: ' : ''}signed off, ${say(`sign_off.${kind}`)}`,
  brings: ({ id }) => [id],
  dependsOn: ({ body: { supersedes } }) => (supersedes == null ? [] : [supersedes]),
}
