import { useQuery } from '@tanstack/vue-query'
import { useThrottleFn } from '@vueuse/core'
import { computed, toValue } from 'vue'
import { api, body, Refusal } from '@/api/client'
import { queries, keys, kept, planterQuery, type Id } from '@/api/queries'
import { placeKey, type WalkGuide, type WalkNews } from '@/api/types'
import { keep, lastKept } from '@/offline/remember'
import { useSession } from '@/session'

/**
 * All that it takes to walk a planter and to judge on the device, signal or not. Got once; what others record meanwhile
 * comes as news.
 */
const guideQuery = (planter: number) => ({
  ...planterQuery(keys.guide, planter, (asked) => body(api.GET('/api/planters/{planter}/guide', asked))),
  staleTime: 60_000,
})

export const useGuide = (planter: Id) =>
  useQuery(computed(() => ({ ...guideQuery(toValue(planter)), refetchOnWindowFocus: false })))

/** Gets the guide ahead of its screen. What the device has of it is there at once, until the server has answered. */
export async function getGuideAhead(planter: number): Promise<void> {
  const { queryKey, ...query } = guideQuery(planter)
  if (guideOf(planter) !== undefined) return
  void queries.query({ queryKey, ...query }).catch(() => undefined)
  const last = await lastKept<WalkGuide>(kept(queryKey))
  if (last !== undefined && guideOf(planter) === undefined) queries.setQueryData(queryKey, last, { updatedAt: 0 })
}

export function guideOf(planter: number): WalkGuide | undefined {
  return queries.getQueryData<WalkGuide>(keys.guide(planter))
}

/** Changes the guide on the device, and keeps it for a time without a signal. */
export function editGuide(planter: number, edit: (guide: WalkGuide) => WalkGuide): void {
  queries.setQueryData<WalkGuide>(keys.guide(planter), (guide) => guide && edit(guide))
  void keepGuide(planter)
}

const keepGuide = useThrottleFn((planter: number) => keep(kept(keys.guide(planter)), guideOf(planter)), 500, true)

/**
 * Takes in the news that came back with what was sent: a guide that was asked for before must not overwrite it. The first one is
 * waited for, as after a reload with readings that wait: nobody would ask again, and what it lacks comes as the next news.
 */
export function takeIn(planter: number, walk: string, news: WalkNews): void {
  if (guideOf(planter) !== undefined) void queries.cancelQueries({ queryKey: keys.guide(planter) })
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
