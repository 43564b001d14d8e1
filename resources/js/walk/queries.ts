import { keepPreviousData, useQuery } from '@tanstack/vue-query'
import { computed, type MaybeRefOrGetter, toValue } from 'vue'
import { unfolded } from '@/api/board'
import { api, body } from '@/api/client'
import { keys, kept, planterQuery, queries, type Id } from '@/api/queries'
import { type Board, placeOnly, type PlaceRef } from '@/api/types'
import { remembered } from '@/offline/remember'

/** The board of the walk that matters now, or of the one that is asked for. */
const boardQuery = (planter: number, walk?: string) =>
  planterQuery(
    (of) => [...keys.board(of), ...(walk ? [walk] : [])],
    planter,
    async ({ params, signal }) =>
      unfolded(
        await body(api.GET('/api/planters/{planter}/board', { params: { ...params, query: { walk } }, signal })),
      ),
  )

export const useBoard = (planter: Id, walk?: MaybeRefOrGetter<string | undefined>) =>
  useQuery(
    computed(() => ({ ...boardQuery(toValue(planter), toValue(walk)), placeholderData: keepPreviousData<Board> })),
  )

export const getBoardAhead = (planter: number) => queries.query(boardQuery(planter)).catch(() => undefined)

export const useWalks = (planter: Id) =>
  useQuery({
    queryKey: computed(() => keys.walks(toValue(planter))),
    queryFn: () => body(api.GET('/api/planters/{planter}/walks', { params: { path: { planter: toValue(planter) } } })),
  })

export const useRowRecord = (planter: Id, row: Id) =>
  useQuery({
    queryKey: computed(() => [...keys.row(toValue(planter)), toValue(row)]),
    queryFn: ({ queryKey }) =>
      remembered(kept(queryKey), (signal) =>
        body(
          api.GET('/api/planters/{planter}/rows/{row}', {
            params: { path: { planter: toValue(planter), row: toValue(row) } },
            signal,
          }),
        ),
      ),
  })

export const usePacks = () =>
  useQuery({
    queryKey: keys.packs,
    queryFn: () => remembered(kept(keys.packs), (signal) => body(api.GET('/api/packs', { signal }))),
  })

export const useHistory = (planter: Id, place: MaybeRefOrGetter<PlaceRef>) =>
  useQuery({
    queryKey: computed(() => ['history', toValue(planter), toValue(place)] as const),
    queryFn: () =>
      body(
        api.GET('/api/planters/{planter}/history', {
          params: { path: { planter: toValue(planter) }, query: placeOnly(toValue(place)) },
        }),
      ),
    staleTime: 0,
  })
