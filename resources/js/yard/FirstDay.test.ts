import { VueQueryPlugin } from '@tanstack/vue-query'
import { flushPromises, mount } from '@vue/test-utils'
import { beforeEach, expect, it, vi } from 'vitest'
import { queries } from '@/api/queries'
import { signInForTest } from '@/testing'
import FirstDay from './FirstDay.vue'

const STEPS = ['planter', 'walk', 'board', 'decide', 'print', 'invite']
const network = vi.hoisted(() => {
  const network = { sent: [] as string[], answer: {} as Record<string, unknown> }
  globalThis.fetch = (async (request: Request) => {
    const { method, url } = request
    const text = method === 'PUT' ? await request.text() : ''
    if (method !== 'GET') network.sent.push(`${method} ${new URL(url).pathname} ${text}`.trim())
    return Response.json(network.answer, { status: method === 'POST' ? 201 : 200 })
  }) as typeof fetch
  return network
})

async function shown(states: string[], more: Record<string, unknown> = {}) {
  const steps = STEPS.map((step, at) => ({ step, state: states[at] ?? 'open' }))
  Object.assign(network, { sent: [], answer: { steps, planter_id: 7, walk_id: 'w1', sample_id: null, ...more } })
  queries.clear()
  const button = { props: ['to', 'href', 'disabled'], template: '<button :disabled="disabled"><slot /></button>' }
  const wrapper = mount(FirstDay, {
    global: { plugins: [[VueQueryPlugin, { queryClient: queries }]], stubs: { VBtn: button, VIcon: true } },
  })
  await flushPromises()
  const named = (name: string) => wrapper.findAll('button').find((one) => one.text() === name)
  const press = async (name: string) => {
    await named(name)?.trigger('click')
    await flushPromises()
  }
  const leads = (name: string) =>
    wrapper
      .findAllComponents(button)
      .find((one) => one.text() === name)
      ?.props() as Record<string, unknown> | undefined
  return { wrapper, named, press, leads, next: () => wrapper.find('.next strong').text() }
}

beforeEach(() => {
  signInForTest()
  document.cookie = 'XSRF-TOKEN=token'
})

it('leads to the first open step, where the shop’s planter is', async () => {
  const first = await shown([], { planter_id: null, walk_id: null })
  expect(first.next()).toBe('Add your planter')
  expect(first.leads('Add planter')?.to).toEqual({ name: 'new-planter' })
  const walk = await shown(['done'])
  expect(walk.next()).toBe('Walk two rows')
  expect(walk.leads('Start the walk')?.to).toEqual({ name: 'walk', params: { planter: 7 } })
  const print = await shown(['done', 'done', 'done', 'skipped'])
  expect(print.leads('Print')?.href).toBe('/api/walks/w1/sheet.pdf')
})

it('offers nothing that cannot be done yet', async () => {
  const { named } = await shown(['skipped', 'open'], { planter_id: null, walk_id: null })
  expect(named('Start the walk')?.attributes('disabled')).toBeDefined()
})

it('says that the board was looked at, and leaves the rest to the record', async () => {
  const board = await shown(['done', 'done'])
  await board.press('Open the board')
  expect(network.sent).toEqual(['PUT /api/first-day {"step":"board","state":"done"}'])
  const walk = await shown(['done'])
  await walk.press('Start the walk')
  expect(network.sent).toEqual([])
})

it('skips a step, takes it up again, or skips all that is open', async () => {
  const { press } = await shown(['done', 'skipped', 'done', 'done', 'done', 'open'])
  await press('Skip')
  await press('Do it after all')
  expect(network.sent).toEqual([
    'PUT /api/first-day {"step":"invite","state":"skipped"}',
    'PUT /api/first-day {"step":"walk","state":"open"}',
  ])
  const all = await shown(['done', 'done', 'done', 'done'])
  await all.press('Skip all')
  expect(network.sent).toHaveLength(2)
})

it('is gone once nothing is open, and offers one sample only', async () => {
  expect((await shown(Array(6).fill('done') as string[])).wrapper.find('section').exists()).toBe(false)
  const { named, press } = await shown([])
  expect(named('Add sample planter')).toBeDefined()
  await press('Add sample planter')
  expect(network.sent).toEqual(['POST /api/sample-planter'])
  expect((await shown([], { sample_id: 9 })).named('Add sample planter')).toBeUndefined()
})
