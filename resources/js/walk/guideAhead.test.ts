import 'fake-indexeddb/auto'
import { flushPromises } from '@vue/test-utils'
import { beforeEach, expect, it, vi } from 'vitest'
import { keys, kept, queries } from '@/api/queries'
import { device } from '@/offline/device'
import { keep } from '@/offline/remember'
import { guideOf as guideForTest, signInForTest } from '@/testing'
import { getGuideAhead, guideOf } from './guide'

// The client takes hold of fetch as it is loaded, so the stand-in has to be there before.
const network = vi.hoisted(() => {
  const network: { asked: number; answer: () => Promise<Response> } = {
    asked: 0,
    answer: () => Promise.reject(new TypeError('no server')),
  }
  globalThis.fetch = () => (network.asked++, network.answer())
  return network
})

const PLANTER = 3
const before = { ...guideForTest(2), as_of: 'kept on the device' }
const now = { ...guideForTest(2), as_of: 'from the server' }

beforeEach(async () => {
  signInForTest()
  queries.clear()
  network.asked = 0
  await (await device()).clear('answers')
})

it('shows the guide of the device until the server has answered', async () => {
  await keep(kept(keys.guide(PLANTER)), before)
  let answer: (response: Response) => void = () => undefined
  network.answer = () => new Promise((resolve) => (answer = resolve))
  await getGuideAhead(PLANTER)
  expect(guideOf(PLANTER)?.as_of).toBe('kept on the device')
  answer(Response.json(now))
  await vi.waitFor(() => expect(guideOf(PLANTER)?.as_of).toBe('from the server'))
})

it('takes the guide of the device for old, so that whoever looks at it asks again', async () => {
  await keep(kept(keys.guide(PLANTER)), before)
  network.answer = () => new Promise(() => undefined)
  await getGuideAhead(PLANTER)
  expect(queries.getQueryState(keys.guide(PLANTER))?.dataUpdatedAt).toBe(0)
})

it('asks nobody for a guide that is there already', async () => {
  queries.setQueryData(keys.guide(PLANTER), now)
  await getGuideAhead(PLANTER)
  await flushPromises()
  expect(network.asked).toBe(0)
})
