import { VueQueryPlugin } from '@tanstack/vue-query'
import { flushPromises, mount } from '@vue/test-utils'
import { expect, it, vi } from 'vitest'
import { defineComponent, ref } from 'vue'
import { signInForTest } from '@/testing'
import { keys, queries, useSpecSheet } from './queries'

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
