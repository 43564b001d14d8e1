import { api, body } from '@/api/client'
import { takeIn } from '@/walk/guide'
import { sayCheck, sayRow } from '@/words'
import type { PhotoEntry } from '../device'
import { allTaken, type Kind, refreshWalk } from './kind'

/** A picture at a place of a walk. */
export const photo: Kind<'photo'> = {
  most: 1,
  address: ({ walk }) => `walk ${walk}`,
  async send([item]) {
    if (item === undefined) return allTaken()
    const news = await body(
      api.POST('/api/walks/{walk}/photos', {
        params: { path: { walk: item.walk } },
        body: form(item.body) as never,
        bodySerializer: (form) => form as unknown as FormData,
      }),
    )
    takeIn(item.planter, item.walk, news)
    refreshWalk(item.planter)
    return allTaken()
  },
  title: ({ body }) => `${sayRow(body.row)}, ${sayCheck(body).toLowerCase()}: photo`,
  brings: ({ id }) => [id],
  dependsOn: ({ walk }) => [walk],
}

function form({ id, row, check, side, taken_at, picture }: PhotoEntry): FormData {
  const form = new FormData()
  for (const [name, value] of Object.entries({ id, row: String(row), check, side, taken_at })) form.append(name, value)
  form.append('photo', picture, 'photo.jpg')
  return form
}
