import { keepPreviousData, QueryCache, QueryClient, useQuery } from '@tanstack/vue-query'
import { computed, type MaybeRefOrGetter, toValue } from 'vue'
import { useSession } from '@/session'
import { api, body, Refusal } from './client'
import type { PlaceRef } from './types'

export const queries = new QueryClient({
  queryCache: new QueryCache({
    onError: (error) => {
      if (error instanceof Refusal && error.isSignedOut) useSession().lapsed = true
    },
  }),
  defaultOptions: {
    queries: { staleTime: 5_000, retry: (count, error) => !(error instanceof Refusal) && count < 2 },
  },
})

export const keys = {
  yard: ['yard'] as const,
  specSheets: ['spec-sheets'] as const,
  specSheet: (id: number) => ['spec-sheets', id] as const,
  planter: (id: number) => ['planter', id] as const,
  board: (planter: number) => ['board', planter] as const,
  walks: (planter: number) => ['walks', planter] as const,
  walk: (id: string) => ['walk', id] as const,
}

type Id = MaybeRefOrGetter<number>

export const useYard = () => useQuery({ queryKey: keys.yard, queryFn: () => body(api.GET('/api/yard')) })

export const useSpecSheets = () =>
  useQuery({ queryKey: keys.specSheets, queryFn: () => body(api.GET('/api/spec-sheets')) })

export const useSpecSheet = (id: Id) =>
  useQuery({
    queryKey: computed(() => keys.specSheet(toValue(id))),
    queryFn: () => body(api.GET('/api/spec-sheets/{specSheet}', { params: { path: { specSheet: toValue(id) } } })),
  })

export const usePlanter = (id: MaybeRefOrGetter<number | undefined>) =>
  useQuery({
    queryKey: computed(() => keys.planter(toValue(id) ?? 0)),
    queryFn: () => body(api.GET('/api/planters/{planter}', { params: { path: { planter: toValue(id) ?? 0 } } })),
    enabled: computed(() => toValue(id) !== undefined),
  })

/** The board of the walk that matters now, or of the one that is asked for. */
export const useBoard = (planter: Id, walk?: MaybeRefOrGetter<string | undefined>) =>
  useQuery({
    queryKey: computed(() => [...keys.board(toValue(planter)), ...(toValue(walk) ? [toValue(walk)] : [])]),
    queryFn: () =>
      body(
        api.GET('/api/planters/{planter}/board', {
          params: { path: { planter: toValue(planter) }, query: { walk: toValue(walk) } },
        }),
      ),
    placeholderData: keepPreviousData,
  })

export const useWalks = (planter: Id) =>
  useQuery({
    queryKey: computed(() => keys.walks(toValue(planter))),
    queryFn: () => body(api.GET('/api/planters/{planter}/walks', { params: { path: { planter: toValue(planter) } } })),
  })

export const useWalkGuide = (walk: MaybeRefOrGetter<string | undefined>) =>
  useQuery({
    queryKey: computed(() => keys.walk(toValue(walk) ?? '')),
    queryFn: () => body(api.GET('/api/walks/{walk}', { params: { path: { walk: toValue(walk) ?? '' } } })),
    enabled: computed(() => toValue(walk) !== undefined),
    // Another's readings on the same planter come in by themselves.
    refetchInterval: 8_000,
  })

export const useHistory = (planter: Id, place: MaybeRefOrGetter<PlaceRef>) =>
  useQuery({
    queryKey: computed(() => ['history', toValue(planter), toValue(place)] as const),
    queryFn: () =>
      body(
        api.GET('/api/planters/{planter}/history', {
          params: { path: { planter: toValue(planter) }, query: { ...pick(toValue(place)) } },
        }),
      ),
    staleTime: 0,
  })

function pick({ row, check, side }: PlaceRef): PlaceRef {
  return { row, check, side }
}
