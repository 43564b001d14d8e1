import { keepPreviousData, QueryCache, QueryClient, useQuery } from '@tanstack/vue-query'
import { useThrottleFn } from '@vueuse/core'
import { computed, type MaybeRefOrGetter, toValue } from 'vue'
import { keep, remembered } from '@/offline/remember'
import { useSession } from '@/session'
import { learnNames } from '@/words'
import { unfolded } from './board'
import { api, body, Refusal } from './client'
import { type Check, type CheckKey, placeKey, type PlaceRef, type WalkGuide, type WalkNews } from './types'

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
  specSheets: ['spec-sheets'] as const,
  specSheet: (id: number) => ['spec-sheets', id] as const,
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

type Id = MaybeRefOrGetter<number>

/** The name under which an answer is kept on the device, apart for each person. */
export const kept = (key: readonly unknown[]) => `${useSession().me?.id ?? ''}:${key.join('/')}`

export const useYard = () =>
  useQuery({
    queryKey: keys.yard,
    queryFn: () => remembered(kept(keys.yard), (signal) => body(api.GET('/api/yard', { signal }))),
  })

/** What the shop goes by. */
export const useShop = () => useQuery({ queryKey: keys.shop, queryFn: () => body(api.GET('/api/workshop')) })

export const useSpecSheets = () =>
  useQuery({ queryKey: keys.specSheets, queryFn: () => body(api.GET('/api/spec-sheets')) })

export const useSpecSheet = (id: Id) =>
  useQuery({
    queryKey: computed(() => keys.specSheet(toValue(id))),
    // By the key: the sheet that is asked for may have become another since the key was made.
    queryFn: ({ queryKey: [, specSheet] }) =>
      body(api.GET('/api/spec-sheets/{specSheet}', { params: { path: { specSheet } } })),
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
    queryFn: ({ queryKey }) =>
      remembered(kept(queryKey), async (signal) =>
        unfolded(
          await body(
            api.GET('/api/planters/{planter}/board', {
              params: { path: { planter: toValue(planter) }, query: { walk: toValue(walk) } },
              signal,
            }),
          ),
        ),
      ),
    placeholderData: keepPreviousData,
  })

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

/** A plain answer about a planter, which stands in for itself without a signal. */
const ofPlanter = <T>(
  key: (planter: number) => readonly unknown[],
  planter: Id,
  get: (asked: { params: { path: { planter: number } }; signal: AbortSignal }) => Promise<T>,
) =>
  useQuery({
    queryKey: computed(() => key(toValue(planter))),
    queryFn: ({ queryKey }) =>
      remembered(kept(queryKey), (signal) => get({ params: { path: { planter: toValue(planter) } }, signal })),
  })

/** What every screen of a planter shows. It lies under the board's key: what changes the one changes the other. */
export const useFace = (planter: Id) =>
  ofPlanter(keys.face, planter, (asked) => body(api.GET('/api/planters/{planter}/face', asked)))

export const useLedger = (planter: Id) =>
  ofPlanter(keys.ledger, planter, (asked) => body(api.GET('/api/planters/{planter}/ledger', asked)))

export const useForecast = (planter: Id) =>
  ofPlanter(keys.forecast, planter, (asked) => body(api.GET('/api/planters/{planter}/forecast', asked)))

export const useContact = (planter: Id) =>
  ofPlanter(keys.contact, planter, (asked) => body(api.GET('/api/planters/{planter}/contact', asked)))

export const useDecide = (planter: Id) =>
  ofPlanter(keys.decide, planter, (asked) => body(api.GET('/api/planters/{planter}/decide', asked)))

export const useSeason = (planter: Id) =>
  ofPlanter(keys.season, planter, (asked) => body(api.GET('/api/planters/{planter}/season', asked)))

/** Runs of the meters, and which of them differ. */
export const useBench = (planter: Id) =>
  ofPlanter(keys.bench, planter, (asked) => body(api.GET('/api/planters/{planter}/bench', asked)))

/** What came up, field by field. */
export const useEmergence = (planter: Id) =>
  ofPlanter(keys.emergence, planter, (asked) => body(api.GET('/api/planters/{planter}/emergence', asked)))

/** What was dug this season, pass by pass. */
export const useFirstPass = (planter: Id) =>
  ofPlanter(keys.firstPass, planter, (asked) => body(api.GET('/api/planters/{planter}/first-pass', asked)))

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

/** Who does what when, on the planter or on all of the workshop. */
export const useWork = (planter: Id, together: MaybeRefOrGetter<boolean>) =>
  useQuery({
    queryKey: computed(() => [...keys.work(toValue(planter)), 'plan', toValue(together)]),
    queryFn: ({ queryKey }) =>
      remembered(kept(queryKey), (signal) =>
        body(
          api.GET('/api/planters/{planter}/work', {
            params: { path: { planter: toValue(planter) }, query: { together: toValue(together) ? '1' : '0' } },
            signal,
          }),
        ),
      ),
    placeholderData: keepPreviousData,
  })

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

export const useAcres = (planter: Id) =>
  ofPlanter(keys.acres, planter, (asked) => body(api.GET('/api/planters/{planter}/acres', asked)))

export const useWearChart = (planter: Id, place: MaybeRefOrGetter<PlaceRef>) =>
  useQuery({
    queryKey: computed(() => [...keys.forecast(toValue(planter)), 'chart', toValue(place)]),
    queryFn: () =>
      body(
        api.GET('/api/planters/{planter}/wear-chart', {
          params: { path: { planter: toValue(planter) }, query: pick(toValue(place)) },
        }),
      ),
  })

export const usePartTypes = () =>
  useQuery({
    queryKey: keys.partTypes,
    queryFn: () => remembered(kept(keys.partTypes), (signal) => body(api.GET('/api/part-types', { signal }))),
  })

/** The shelf, held against what was decided. */
export const useStore = () =>
  useQuery({
    queryKey: keys.store,
    queryFn: () => remembered(kept(keys.store), (signal) => body(api.GET('/api/store', { signal }))),
  })

export const useSuppliers = () => useQuery({ queryKey: keys.suppliers, queryFn: () => body(api.GET('/api/suppliers')) })

export const useOrders = () => useQuery({ queryKey: keys.orders, queryFn: () => body(api.GET('/api/orders')) })

export const usePacks = () =>
  useQuery({
    queryKey: keys.packs,
    queryFn: () => remembered(kept(keys.packs), (signal) => body(api.GET('/api/packs', { signal }))),
  })

export const usePartLives = (type: Id, against: MaybeRefOrGetter<number | undefined>) =>
  useQuery({
    queryKey: computed(() => [...keys.partTypes, toValue(type), 'lives', toValue(against)]),
    queryFn: () =>
      body(
        api.GET('/api/part-types/{partType}/lives', {
          params: { path: { partType: toValue(type) }, query: { against: toValue(against) } },
        }),
      ),
    placeholderData: keepPreviousData,
  })

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

export const useDepthIndex = (walk: MaybeRefOrGetter<string>) =>
  useQuery({
    queryKey: computed(() => keys.depthIndex(toValue(walk))),
    queryFn: () => body(api.GET('/api/walks/{walk}/depth-index', { params: { path: { walk: toValue(walk) } } })),
    staleTime: 0,
  })

/**
 * All that it takes to walk a planter and to judge on the device, signal or not. Got once; what others record meanwhile
 * comes as news.
 */
export const useGuide = (planter: Id) =>
  useQuery({
    queryKey: computed(() => keys.guide(toValue(planter))),
    queryFn: ({ queryKey }) =>
      remembered(kept(queryKey), (signal) =>
        body(api.GET('/api/planters/{planter}/guide', { params: { path: { planter: toValue(planter) } }, signal })),
      ),
    staleTime: 60_000,
    refetchOnWindowFocus: false,
  })

export function guideOf(planter: number): WalkGuide | undefined {
  return queries.getQueryData<WalkGuide>(keys.guide(planter))
}

/** Changes the guide on the device, and keeps it for a time without a signal. */
export function editGuide(planter: number, edit: (guide: WalkGuide) => WalkGuide): void {
  queries.setQueryData<WalkGuide>(keys.guide(planter), (guide) => guide && edit(guide))
  void keepGuide(planter)
}

const keepGuide = useThrottleFn((planter: number) => keep(kept(keys.guide(planter)), guideOf(planter)), 500, true)

/** Takes in the news that came back with what was sent: a guide that was asked for before must not overwrite it. */
export function takeIn(planter: number, walk: string, news: WalkNews): void {
  void queries.cancelQueries({ queryKey: keys.guide(planter) })
  hear(planter, walk, news)
}

/** Takes in what has changed on a walk; where its figures or checks have, or where it comes late, the whole guide is got again. */
export function hear(planter: number, walk: string, { cells, ...state }: WalkNews): void {
  const guide = guideOf(planter)
  if (guide?.walk?.id !== walk) return
  // Asked for before something else was heard, it would take that back.
  if (guide.version !== state.version || state.revision < guide.revision) {
    void queries.invalidateQueries({ queryKey: keys.guide(planter) })
    return
  }
  const changed = new Map(cells.map((cell) => [placeKey(cell), cell]))
  editGuide(planter, (guide) => ({
    ...guide,
    ...state,
    steps: changed.size === 0 ? guide.steps : guide.steps.map((step) => ({ ...step, ...changed.get(placeKey(step)) })),
  }))
}

/** Asks what others have recorded on a walk, if anything has. Without a signal there is nothing to hear. */
export async function askForNews(planter: number, walk: string): Promise<void> {
  const guide = guideOf(planter)
  try {
    const { data } = await api.GET('/api/walks/{walk}/news', {
      params: { path: { walk }, query: { since: guide?.as_of } },
      headers: guide && { 'If-None-Match': `"${guide.revision}"` },
    })
    if (data) hear(planter, walk, data)
  } catch (error) {
    if (error instanceof Refusal && error.isSignedOut) useSession().lapsed = true
  }
}

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
