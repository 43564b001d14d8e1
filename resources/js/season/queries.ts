import { api, body } from '@/api/client'
import { keys, ofPlanter, type Id } from '@/api/queries'

export const useSeason = (planter: Id) =>
  ofPlanter(keys.season, planter, (asked) => body(api.GET('/api/planters/{planter}/season', asked)))
