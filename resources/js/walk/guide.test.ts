import { afterEach, expect, it } from 'vitest'
import { keys, queries } from '@/api/queries'
import type { WalkGuide, WalkNews } from '@/api/types'
import { guideOf as guideForTest, signInForTest } from '@/testing'
import { guideOf, takeIn } from './guide'

const PLANTER = 7
const news = (guide: WalkGuide): WalkNews =>
  ({ ...guide, cells: [{ ...guide.steps[0], now: null }], revision: guide.revision + 1 }) as unknown as WalkNews

/** Asks for a guide that comes when it is told to. */
function asked(guide: WalkGuide): () => Promise<void> {
  let come: (guide: WalkGuide) => void = () => undefined
  const coming = new Promise<WalkGuide>((resolve) => (come = resolve))
  const got = queries.query({ queryKey: keys.guide(PLANTER), queryFn: () => coming }).catch(() => undefined)
  return async () => {
    come(guide)
    await got
  }
}

afterEach(() => queries.clear())

it('waits for the first guide, whatever is heard of what was sent meanwhile', async () => {
  signInForTest()
  const guide = guideForTest(2)
  const comes = asked(guide)
  takeIn(PLANTER, guide.walk?.id ?? '', news(guide))
  await comes()
  expect(guideOf(PLANTER)).toEqual(guide)
})

it('does not let a guide that was asked for before overwrite what was heard since', async () => {
  signInForTest()
  const guide = guideForTest(2)
  queries.setQueryData(keys.guide(PLANTER), guide, { updatedAt: 1 })
  const comes = asked({ ...guide, as_of: 'before' })
  takeIn(PLANTER, guide.walk?.id ?? '', news(guide))
  await comes()
  expect(guideOf(PLANTER)?.revision).toBe(guide.revision + 1)
})
