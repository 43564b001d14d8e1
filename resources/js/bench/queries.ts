import { keepPreviousData, useQuery } from '@tanstack/vue-query'
import { computed, type MaybeRefOrGetter, ref, toValue } from 'vue'
import { api, body } from '@/api/client'
import { kept, keys, queries, ofPlanter, type Id } from '@/api/queries'
import { useLive } from '@/composables/useLive'
import type { StandRun } from '@/api/types'
import { remembered } from '@/offline/remember'

export const isUnderWay = (run: StandRun | null | undefined) =>
  run !== null && run !== undefined && ['waiting', 'running', 'ending'].includes(run.state)

const nowKey = (planter: number) => [...keys.bench(planter), 'now']

/** A run as it is now, there at once; a run that is over brings its figures. */
export async function heard(planter: number, run: StandRun): Promise<void> {
  queries.setQueryData(nowKey(planter), { run })
  if (!isUnderWay(run)) await queries.invalidateQueries({ queryKey: keys.bench(planter) })
}

/** The run that is under way: told live by a real stand, asked for each second where not; the made-up stand runs as long as somebody watches. */
export function useRunNow(planter: Id) {
  const isLive = ref(false)
  const asked = useQuery({
    queryKey: computed(() => nowKey(toValue(planter))),
    queryFn: async () => {
      const path = { planter: toValue(planter) }
      const now = queries.getQueryData<{ run: StandRun | null }>(nowKey(path.planter))?.run
      const next =
        now?.practice && isUnderWay(now)
          ? {
              run: await body(
                api.POST('/api/planters/{planter}/bench/runs/{standRun}/practice', {
                  params: { path: { ...path, standRun: now.id } },
                }),
              ),
            }
          : await body(api.GET('/api/planters/{planter}/bench/runs/now', { params: { path } }))
      if (isUnderWay(now) && !isUnderWay(next.run))
        void queries.invalidateQueries({ queryKey: keys.bench(path.planter), exact: true })
      return next
    },
    refetchInterval: ({ state }) => (isUnderWay(state.data?.run) && !isLive.value ? 1000 : 10_000),
  })
  const at = computed(() => {
    const run = asked.data.value?.run
    return isUnderWay(run) && !run?.practice ? `/api/planters/${toValue(planter)}/bench/runs/now/stream` : null
  })
  useLive<{ run: StandRun }>(at, ({ run }) => void heard(toValue(planter), run), isLive)
  return asked
}

/** The best air of one row's meter; it is reckoned anew when a run is there. */
export const useAirAdvice = (planter: Id, row: Id, runs: Id) =>
  useQuery({
    queryKey: computed(() => [...keys.bench(toValue(planter)), 'air', toValue(row), toValue(runs)]),
    queryFn: () =>
      body(
        api.GET('/api/planters/{planter}/bench/advice', {
          params: { path: { planter: toValue(planter) }, query: { row: toValue(row) } },
        }),
      ),
    placeholderData: keepPreviousData,
  })

/** What to start a row's meter with, by the shop's runs of seed of that size on that disc; asked only where both are in its lists. */
export const useStartSettings = (
  planter: Id,
  row: Id,
  lot: MaybeRefOrGetter<number | undefined>,
  disc: MaybeRefOrGetter<string>,
) =>
  useQuery({
    queryKey: computed(() => [...keys.bench(toValue(planter)), 'start', toValue(row), toValue(lot), toValue(disc)]),
    queryFn: () =>
      body(
        api.GET('/api/planters/{planter}/bench/start', {
          params: {
            path: { planter: toValue(planter) },
            query: { row: toValue(row), lot: toValue(lot) ?? 0, disc: toValue(disc) },
          },
        }),
      ),
    enabled: computed(() => toValue(lot) !== undefined && toValue(disc) !== ''),
  })

export const standsKey = ['stands'] as const

/** The workshop's test stands. */
export const useStands = () => useQuery({ queryKey: standsKey, queryFn: () => body(api.GET('/api/stands')) })

export const seedKey = ['seed'] as const

/** The workshop's lots of seed and its discs. */
export const useSeed = (asked: MaybeRefOrGetter<boolean> = true) =>
  useQuery({
    queryKey: seedKey,
    queryFn: () => remembered(kept(seedKey), (signal) => body(api.GET('/api/seed', { signal }))),
    enabled: () => toValue(asked),
  })

export const metersKey = ['meters'] as const

/** The workshop's meters by number. */
export const useMeters = () =>
  useQuery({
    queryKey: metersKey,
    queryFn: () => remembered(kept(metersKey), (signal) => body(api.GET('/api/meters', { signal }))),
  })

/** Runs of the meters, and which of them differ. */
export const useBench = (planter: Id) =>
  ofPlanter(keys.bench, planter, (asked) => body(api.GET('/api/planters/{planter}/bench', asked)))
