import { keepPreviousData, useQuery } from '@tanstack/vue-query'
import { computed, type MaybeRefOrGetter, toValue } from 'vue'
import { api, body } from '@/api/client'
import { keys, kept, ofPlanter, type Id } from '@/api/queries'
import { remembered } from '@/offline/remember'

export const useDecide = (planter: Id) =>
  ofPlanter(keys.decide, planter, (asked) => body(api.GET('/api/planters/{planter}/decide', asked)))

/** What each policy would cost over so many seasons. */
export const usePolicies = (planter: Id, seasons: MaybeRefOrGetter<1 | 3 | 5>) =>
  useQuery({
    queryKey: computed(() => [...keys.policies(toValue(planter)), toValue(seasons)]),
    queryFn: ({ queryKey }) =>
      remembered(kept(queryKey), (signal) =>
        body(
          api.GET('/api/planters/{planter}/policies', {
            params: { path: { planter: toValue(planter) }, query: { seasons: toValue(seasons) } },
            signal,
          }),
        ),
      ),
    placeholderData: keepPreviousData,
  })

export const useDepthIndex = (walk: MaybeRefOrGetter<string>) =>
  useQuery({
    queryKey: computed(() => keys.depthIndex(toValue(walk))),
    queryFn: () => body(api.GET('/api/walks/{walk}/depth-index', { params: { path: { walk: toValue(walk) } } })),
    staleTime: 0,
  })
