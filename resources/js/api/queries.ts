import { QueryCache, QueryClient, useQuery } from '@tanstack/vue-query'
import { computed, type MaybeRefOrGetter, toValue } from 'vue'
import { remembered } from '@/offline/remember'
import { useSession } from '@/session'
import { learnNames } from '@/words'
import { api, body, Refusal } from './client'
import { type Check, type CheckKey } from './types'

export const queries = new QueryClient({
  queryCache: new QueryCache({
    // Whatever brings checks brings the names of the shop's own.
    onSuccess: (data) => {
      for (const one of [data].flat()) {
        const { checks } = (one ?? {}) as { checks?: (Check | CheckKey)[] }
        learnNames((checks ?? []).filter((check) => typeof check === 'object'))
      }
    },
    onError: (error) => {
      if (error instanceof Refusal && error.isSignedOut) useSession().lapsed = true
    },
  }),
  defaultOptions: {
    // Without a signal the device's own copies answer, so a query always runs.
    queries: {
      staleTime: 5_000,
      // Answers are replaced, never changed in place; a thousand places need no watching each.
      shallow: true,
      networkMode: 'always',
      retry: (count, error) => !(error instanceof Refusal) && count < 1,
    },
  },
})

export const keys = {
  yard: ['yard'] as const,
  /** With the yard: what changes the one changes the other. */
  today: ['yard', 'today'] as const,
  firstDay: ['yard', 'first-day'] as const,
  specSheets: ['spec-sheets'] as const,
  specSheet: (id: number) => ['spec-sheets', id] as const,
  joints: (planter: number) => ['joints', planter] as const,
  manuals: (planter: number) => ['manuals', planter] as const,
  manualsOfSheet: (sheet: number) => ['manuals', 'sheet', sheet] as const,
  planter: (id: number) => ['planter', id] as const,
  board: (planter: number) => ['board', planter] as const,
  face: (planter: number) => ['board', planter, 'face'] as const,
  walks: (planter: number) => ['walks', planter] as const,
  row: (planter: number) => ['row', planter] as const,
  guide: (planter: number) => ['guide', planter] as const,
  ledger: (planter: number) => ['ledger', planter] as const,
  forecast: (planter: number) => ['forecast', planter] as const,
  contact: (planter: number) => ['contact', planter] as const,
  acres: (planter: number) => ['acres', planter] as const,
  decide: (planter: number) => ['decide', planter] as const,
  policies: (planter: number) => ['policies', planter] as const,
  bench: (planter: number) => ['bench', planter] as const,
  emergence: (planter: number) => ['emergence', planter] as const,
  firstPass: (planter: number) => ['first-pass', planter] as const,
  settings: (planter: number) => ['settings', planter] as const,
  work: (planter: number) => ['work', planter] as const,
  hands: (planter: number) => ['work', planter, 'hands'] as const,
  season: (planter: number) => ['season', planter] as const,
  imports: (planter: number) => ['imports', planter] as const,
  partTypes: ['part-types'] as const,
  packs: ['packs'] as const,
  store: ['store'] as const,
  suppliers: ['suppliers'] as const,
  orders: ['orders'] as const,
  shop: ['shop'] as const,
  depthIndex: (walk: string) => ['depth-index', walk] as const,
}

export type Id = MaybeRefOrGetter<number>

/** The name under which an answer is kept on the device, apart for each person. */
export const kept = (key: readonly unknown[]) => `${useSession().me?.id ?? ''}:${key.join('/')}`

export const useYard = () =>
  useQuery({
    queryKey: keys.yard,
    queryFn: () => remembered(kept(keys.yard), (signal) => body(api.GET('/api/yard', { signal }))),
  })

export const useToday = () =>
  useQuery({
    queryKey: keys.today,
    queryFn: () => remembered(kept(keys.today), (signal) => body(api.GET('/api/today', { signal }))),
  })

/** What the shop goes by. */
export const useShop = (enabled: MaybeRefOrGetter<boolean> = true) =>
  useQuery({ queryKey: keys.shop, queryFn: () => body(api.GET('/api/workshop')), enabled: () => toValue(enabled) })

export const usePlanter = (id: MaybeRefOrGetter<number | undefined>) =>
  useQuery({
    queryKey: computed(() => keys.planter(toValue(id) ?? 0)),
    queryFn: () => body(api.GET('/api/planters/{planter}', { params: { path: { planter: toValue(id) ?? 0 } } })),
    enabled: computed(() => toValue(id) !== undefined),
  })

type AskedOfPlanter = { params: { path: { planter: number } }; signal: AbortSignal }

/** Asks of a planter, by its key; the answer kept on the device stands in without a signal. */
export const planterQuery = <T>(
  key: (planter: number) => readonly unknown[],
  planter: number,
  get: (asked: AskedOfPlanter) => Promise<T>,
) => ({
  queryKey: key(planter),
  queryFn: ({ queryKey }: { queryKey: readonly unknown[] }) =>
    remembered(kept(queryKey), (signal) => get({ params: { path: { planter } }, signal })),
})

export const ofPlanter = <T>(
  key: (planter: number) => readonly unknown[],
  planter: Id,
  get: (asked: AskedOfPlanter) => Promise<T>,
) => useQuery(computed(() => planterQuery(key, toValue(planter), get)))

/** What every screen of a planter shows. It lies under the board's key: what changes the one changes the other. */
export const useFace = (planter: Id) =>
  ofPlanter(keys.face, planter, (asked) => body(api.GET('/api/planters/{planter}/face', asked)))

/** After something was decided: what is still to decide, and when all has to be ready. */
export async function refreshPlan(planter: number): Promise<void> {
  await Promise.all(
    [keys.decide(planter), keys.work(planter), keys.season(planter), keys.row(planter), keys.yard].map((queryKey) =>
      queries.invalidateQueries({ queryKey }),
    ),
  )
}

/** After parts, acres or the plan of a planter have changed: all that hangs on them is asked for again. */
export async function refreshRecord(planter: number): Promise<void> {
  const touched = [
    keys.ledger,
    keys.forecast,
    keys.contact,
    keys.acres,
    keys.board,
    keys.guide,
    keys.row,
    keys.decide,
    keys.policies,
    keys.work,
    keys.season,
  ]
  await Promise.all(
    [...touched.map((key) => key(planter)), keys.yard, keys.partTypes].map((queryKey) =>
      queries.invalidateQueries({ queryKey }),
    ),
  )
}
