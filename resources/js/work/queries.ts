import { keepPreviousData, useQuery } from '@tanstack/vue-query'
import { computed, type MaybeRefOrGetter, toValue } from 'vue'
import { api, body } from '@/api/client'
import { queries, keys, kept, ofPlanter, planterQuery, type Id } from '@/api/queries'
import type { WorkPlan } from '@/api/types'
import { remembered } from '@/offline/remember'

/** Who does what when, on the planter or on all of the workshop. */
const workQuery = (planter: number, together: boolean) =>
  planterQuery(
    (of) => [...keys.work(of), 'plan', together],
    planter,
    ({ params, signal }) =>
      body(
        api.GET('/api/planters/{planter}/work', {
          params: { ...params, query: { together: together ? '1' : '0' } },
          signal,
        }),
      ),
  )

export const useWork = (planter: Id, together: MaybeRefOrGetter<boolean>) =>
  useQuery(
    computed(() => ({
      ...workQuery(toValue(planter), toValue(together)),
      placeholderData: keepPreviousData<WorkPlan>,
    })),
  )

export const getWorkAhead = (planter: number) => queries.query(workQuery(planter, false)).catch(() => undefined)

/** Others are at work too: what they ticked is asked for while a card or the plan is looked at. */
const HANDS_MS = 5_000

/** What is ticked, done, or could not be done. Comes anew when anything of the planter has changed. */
export const useHands = (planter: Id) =>
  useQuery({
    queryKey: computed(() => keys.hands(toValue(planter))),
    queryFn: ({ queryKey }) =>
      remembered(kept(queryKey), (signal) =>
        body(
          api.GET('/api/planters/{planter}/work/hands', { params: { path: { planter: toValue(planter) } }, signal }),
        ),
      ),
    refetchInterval: HANDS_MS,
  })

export const refreshHands = (planter: number) => queries.invalidateQueries({ queryKey: keys.hands(planter) })

/** What to do while it rains. */
export const useRain = (planter: Id, asked: MaybeRefOrGetter<{ minutes: number; people: number }>) =>
  useQuery({
    queryKey: computed(() => [...keys.work(toValue(planter)), 'rain', toValue(asked)]),
    queryFn: () => {
      const { minutes, people } = toValue(asked)
      const query = { minutes: `${minutes}`, people: `${people}` }
      return body(
        api.GET('/api/planters/{planter}/work/rain', { params: { path: { planter: toValue(planter) }, query } }),
      )
    },
    placeholderData: keepPreviousData,
  })

/** What to carry into the season, and when to stop in it. */
export const useWorkInSeason = (planter: Id) =>
  ofPlanter(
    (of) => [...keys.work(of), 'season'],
    planter,
    (asked) => body(api.GET('/api/planters/{planter}/work/season', asked)),
  )
