import { useQuery } from '@tanstack/vue-query'
import { computed, type MaybeRefOrGetter, ref, toValue } from 'vue'
import { api, body } from '@/api/client'
import { queries } from '@/api/queries'
import { useLive } from '@/composables/useLive'
import type { WatchRun } from '@/api/types'

type Id = MaybeRefOrGetter<number>

export const isWatched = (run: WatchRun | null | undefined): boolean => run != null && run.state !== 'ended'

const watchKey = (planter: number) => ['watch', planter] as const
const nowKey = (planter: number) => [...watchKey(planter), 'now'] as const

/** What the rows share, and how they were watched before. */
export const useWatch = (planter: Id) =>
  useQuery({
    queryKey: computed(() => watchKey(toValue(planter))),
    queryFn: () => body(api.GET('/api/planters/{planter}/watch', { params: { path: { planter: toValue(planter) } } })),
  })

/** A run as it is now, there at once. */
export async function watched(planter: number, { run }: { run: WatchRun }): Promise<void> {
  queries.setQueryData(nowKey(planter), { run })
  if (!isWatched(run)) await queries.invalidateQueries({ queryKey: watchKey(planter), exact: true })
}

/** The run that is under way: told live, asked for each second where not; the made-up field goes on as long as somebody watches. */
export function useWatchNow(planter: Id) {
  const isLive = ref(false)
  const asked = useQuery({
    queryKey: computed(() => nowKey(toValue(planter))),
    queryFn: async () => {
      const path = { planter: toValue(planter) }
      const now = queries.getQueryData<{ run: WatchRun | null }>(nowKey(path.planter))?.run
      return now?.practice && isWatched(now)
        ? body(
            api.POST('/api/planters/{planter}/watch/{watchRun}/practice', {
              params: { path: { ...path, watchRun: now.id } },
            }),
          )
        : body(api.GET('/api/planters/{planter}/watch/now', { params: { path } }))
    },
    refetchInterval: ({ state }) => (isWatched(state.data?.run) && !isLive.value ? 1000 : 10_000),
  })
  const at = computed(() => {
    const run = asked.data.value?.run
    return run && isWatched(run) && !run.practice ? `/api/planters/${toValue(planter)}/watch/now/stream` : null
  })
  useLive<{ run: WatchRun }>(at, (told) => void watched(toValue(planter), told), isLive)
  return asked
}

/** Something was said of the run: it is asked for again. */
export const watchChanged = (planter: number) => queries.invalidateQueries({ queryKey: nowKey(planter) })

export const sharedSaved = (planter: number, told: unknown) => queries.setQueryData(watchKey(planter), told)
export const sharedAgain = (planter: number) => queries.invalidateQueries({ queryKey: watchKey(planter), exact: true })
