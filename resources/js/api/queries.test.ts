import { VueQueryPlugin } from '@tanstack/vue-query'
import { flushPromises, mount } from '@vue/test-utils'
import { expect, it, vi } from 'vitest'
import { defineComponent, ref } from 'vue'
import { guideOf, signInForTest } from '@/testing'
import { hear } from '@/walk/guide'
import { keys, queries } from '@/api/queries'
import { useSpecSheet } from '@/spec/queries'
import type { WalkGuide } from './types'

// The client takes hold of fetch as it is loaded, so the stand-in has to be there before.
vi.hoisted(() => {
  globalThis.fetch = ((request: Request) =>
    Promise.resolve(Response.json({ id: Number(request.url.split('/').pop()), checks: [] }))) as typeof fetch
})

it('asks for the sheet of its key, also where somebody else who asked for it has gone on to another', async () => {
  signInForTest()
  const other = ref(7)
  const Screen = defineComponent({
    setup: () => ({ own: useSpecSheet(7), held: useSpecSheet(() => other.value) }),
    template: '<p />',
  })
  mount(Screen, { global: { plugins: [[VueQueryPlugin, { queryClient: queries }]] } })
  await flushPromises()
  other.value = 1
  await flushPromises()
  await queries.invalidateQueries()
  await flushPromises()
  expect(queries.getQueryData(keys.specSheet(7))).toMatchObject({ id: 7 })
  expect(queries.getQueryData(keys.specSheet(1))).toMatchObject({ id: 1 })
})

it('lets news that was gathered before something else was heard take nothing back', () => {
  signInForTest()
  const { walk, steps, ...state } = guideOf(2)
  queries.setQueryData(keys.guide(1), guideOf(2))
  const first = steps[0] as WalkGuide['steps'][number]
  const now = {
    ...first,
    now: { id: 'a', taken_at: '', value: 1, state: null, chips: [], result: 'recorded', verdict: 'sound', reasons: [] },
  } as typeof first
  hear(1, walk?.id ?? '', { ...state, cells: [now], revision: 3 })
  hear(1, walk?.id ?? '', { ...state, cells: [{ ...now, now: null }], revision: 2 })
  expect(queries.getQueryData<WalkGuide>(keys.guide(1))).toMatchObject({
    revision: 3,
    steps: expect.arrayContaining([now]),
  })
})
