import { api, body } from '@/api/client'
import { kept, queries } from '@/api/queries'
import { remembered } from '@/offline/remember'

/** So long a list of names is good enough to find by. */
const FRESH_MS = 60_000

const findKey = ['find'] as const

/** All that can be found by name; the list kept on the device stands in without a signal. */
export const findQuery = {
  queryKey: findKey,
  queryFn: () => remembered(kept(findKey), (signal) => body(api.GET('/api/find', { signal }))),
  staleTime: FRESH_MS,
}

/** Gets the list, so that it is on the device when there is no signal. */
export const getFindAhead = () => queries.query({ ...findQuery, staleTime: 10 * FRESH_MS }).catch(() => undefined)
