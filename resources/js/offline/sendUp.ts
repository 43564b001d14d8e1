import { api, body } from '@/api/client'
import { guideOf, hear, keys, queries } from '@/api/queries'
import type { WalkNews } from '@/api/types'
import type { Problem, Waiting } from './device'

/**
 * Sends a group of one kind, takes in the news that comes back, and says what the server would not take, by id.
 *
 * @throws Refusal where the server would not take the whole; anything else where it cannot be reached
 */
export async function sendUp(group: Waiting[]): Promise<Map<string, Problem>> {
  const [first] = group as [Waiting]
  const params = { path: { walk: first.walk } }
  const since = guideOf(first.planter)?.as_of
  const refused = new Map<string, Problem>()

  if (first.what === 'start') {
    const { checks, ...start } = first.body
    await body(
      api.POST('/api/planters/{planter}/walks', {
        params: { path: { planter: first.planter } },
        body: { ...start, ...(checks ? { checks: checks as never } : {}), id: first.walk, cautions_acknowledged: true },
      }),
    )
  } else if (first.what === 'reading') {
    const readings = group.flatMap((item) => (item.what === 'reading' ? [item.body] : []))
    const batch = await body(api.POST('/api/walks/{walk}/readings', { params, body: { readings, since } }))
    for (const receipt of batch.receipts) {
      const id = readings[receipt.index]?.id
      if (id !== undefined && receipt.outcome !== 'stored' && receipt.outcome !== 'known') refused.set(id, receipt)
    }
    takeIn(first, batch.news)
  } else if (first.what === 'note') {
    takeIn(first, await body(api.POST('/api/walks/{walk}/notes', { params, body: first.body })))
  } else {
    takeIn(
      first,
      await body(
        api.POST('/api/walks/{walk}/photos', {
          params,
          body: form(first.body) as never,
          bodySerializer: (form) => form as unknown as FormData,
        }),
      ),
    )
  }
  void queries.invalidateQueries({ queryKey: keys.board(first.planter) })
  void queries.invalidateQueries({ queryKey: keys.row(first.planter) })
  void queries.invalidateQueries({ queryKey: keys.yard })
  return refused
}

function takeIn({ planter, walk }: Waiting, news: WalkNews): void {
  // A guide that was asked for before must not overwrite the news.
  void queries.cancelQueries({ queryKey: keys.guide(planter) })
  hear(planter, walk, news)
}

function form({ id, row, check, side, taken_at, picture }: (Waiting & { what: 'photo' })['body']): FormData {
  const form = new FormData()
  for (const [name, value] of Object.entries({ id, row: String(row), check, side, taken_at })) form.append(name, value)
  form.append('photo', picture, 'photo.jpg')
  return form
}
