import { VueQueryPlugin } from '@tanstack/vue-query'
import { flushPromises, mount } from '@vue/test-utils'
import { beforeEach, expect, it, vi } from 'vitest'
import { createVuetify } from 'vuetify'
import { signInForTest } from '@/testing'

const milo = {
  id: 4,
  crop: 'milo',
  size: '',
  singulation: 0.95,
  rate_low: -0.03,
  rate_high: null,
  depth: null,
  depth_band: null,
  emergence_hours: null,
  spacing_cv: null,
  revision: 2,
}
const network = vi.hoisted(() => {
  const network = {
    sent: [] as { method: string; url: string; body: Record<string, unknown> }[],
    aims: [] as unknown[],
  }
  globalThis.fetch = (async (request: Request) => {
    const { method, url } = request
    const typical = {
      singulation: 0.98,
      rate_low: -0.05,
      rate_high: 0.05,
      depth_band: 6.35,
      emergence_hours: 48,
      spacing_cv: 0.3,
    }
    if (method === 'GET') return Response.json({ aims: network.aims, typical })
    network.sent.push({ method, url: new URL(url).pathname, body: (await request.json()) as Record<string, unknown> })
    return Response.json(network.aims[0] ?? {}, { status: method === 'POST' ? 201 : 200 })
  }) as typeof fetch
  return network
})
const { queries } = await import('@/api/queries')
const { default: AimsPanel } = await import('./AimsPanel.vue')

async function panel(aims: unknown[] = []) {
  Object.assign(network, { sent: [], aims })
  const wrapper = mount(AimsPanel, {
    global: { plugins: [createVuetify(), [VueQueryPlugin, { queryClient: queries }]] },
  })
  await flushPromises()
  const type = async (label: string, value: string) => {
    const found = wrapper.findAll('label[for]').find((one) => one.text().startsWith(label))
    await wrapper.get(`[id="${found?.attributes('for')}"]`).setValue(value)
  }
  const save = async () => {
    await wrapper.get('form').trigger('submit')
    await flushPromises()
    return network.sent.at(-1)
  }
  return { wrapper, type, save }
}
beforeEach(() => {
  signInForTest()
  document.cookie = 'XSRF-TOKEN=token'
  queries.clear()
})

it('sends shares, millimeters and how much closer as one under 0; what is empty is as typical', async () => {
  const { type, save } = await panel()
  await type('Crop', 'Popcorn')
  await type('Singulation', '97.5%')
  await type('Seeds closer', '3')
  await type('Depth wanted', '2')
  await type('Depth error', '1/4')
  const sent = await save()
  expect(sent).toMatchObject({
    method: 'POST',
    body: {
      crop: 'Popcorn',
      size: '',
      singulation: 0.975,
      rate_low: -0.03,
      rate_high: null,
      depth: 50.8,
      depth_band: 6.35,
    },
  })
})

it('changes one over the revision that was seen', async () => {
  const { wrapper, type, save } = await panel([milo])
  expect(wrapper.get('li').text()).toContain('singulation 95%, spacing -3% to typical')
  await wrapper.get('li button').trigger('click')
  await type('Singulation', '94')
  const sent = await save()
  expect(sent).toMatchObject({
    method: 'PUT',
    url: '/api/aims/4',
    body: { singulation: 0.94, rate_low: -0.03, revision: 2 },
  })
})

it('sends nothing while a figure cannot be read', async () => {
  const { wrapper, type, save } = await panel()
  await type('Singulation', 'good')
  expect(await save()).toBeUndefined()
  expect(wrapper.text()).toContain('Nothing was saved')
})
