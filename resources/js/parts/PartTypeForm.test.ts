import { flushPromises, mount } from '@vue/test-utils'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { createVuetify } from 'vuetify'
import type { PartType, PartTypeEdit } from '@/api/types'
import { signInForTest } from '@/testing'

// The client takes hold of fetch as it is loaded, so the stand-in has to be there before.
const network = vi.hoisted(() => {
  const network = { sent: [] as { method: string; url: string; edit: unknown }[], status: 200, answer: {} as unknown }
  globalThis.fetch = (async (request: Request) => {
    network.sent.push({ method: request.method, url: new URL(request.url).pathname, edit: await request.json() })
    if (network.status === 0) throw new TypeError('Failed to fetch')
    return Response.json(network.answer, { status: network.status })
  }) as typeof fetch
  return network
})
const { default: PartTypeForm } = await import('./PartTypeForm.vue')

const blade: PartType = {
  id: 7,
  version: 'a1',
  name: 'Blade, plain',
  own_number: 'T-101',
  slots: ['opener_blade'],
  per_row: 2,
  new_size_mm: 381,
  new_size_typed: '15 in',
  life_m: 2_051_913.6,
  price: 38.5,
  lead_days: 7,
  minimum: null,
  notes: '',
  heavy: false,
  clearance: false,
}

function form(type?: PartType) {
  const wrapper = mount(PartTypeForm, {
    props: { type },
    global: { plugins: [createVuetify()], stubs: { VDialog: { template: '<div><slot /></div>' } } },
  })
  const field = (label: string) => {
    const found = wrapper.findAll('label[for]').find((one) => one.text() === label)
    return wrapper.get(`[id="${found?.attributes('for')}"]`)
  }
  const save = async () => {
    await wrapper.get('form').trigger('submit')
    await flushPromises()
    return network.sent.at(-1) as { method: string; url: string; edit: PartTypeEdit }
  }
  return { wrapper, field, save }
}

describe('a part type', () => {
  beforeEach(() => {
    signInForTest()
    document.cookie = 'XSRF-TOKEN=token'
    Object.assign(network, { sent: [], status: 200, answer: blade })
  })

  it('goes up as it came where nothing was typed', async () => {
    const { save, wrapper } = form(blade)
    expect(await save()).toEqual({
      method: 'PUT',
      url: '/api/part-types/7',
      edit: {
        name: 'Blade, plain',
        own_number: 'T-101',
        slots: ['opener_blade'],
        per_row: 2,
        new_size: '15 in',
        life: '1275 mi',
        price: 38.5,
        lead_days: 7,
        minimum: null,
        notes: '',
        heavy: false,
        clearance: false,
        version: 'a1',
      },
    })
    expect(wrapper.emitted('saved')).toEqual([[blade]])
  })

  it('rounds no expected life off', async () => {
    expect((await form({ ...blade, life_m: 20_116.8 }).save()).edit.life).toBe('12.5 mi')
    signInForTest('mm')
    expect((await form({ ...blade, life_m: 804_672 }).save()).edit.life).toBe('804.67 km')
    expect((await form({ ...blade, life_m: 1_234_567_000 }).save()).edit.life).toBe('1234567 km')
    expect((await form({ ...blade, life_m: null }).save()).edit.life).toBe(null)
  })

  it('reads prices and weeks, and says what was refused where it was', async () => {
    network.status = 422
    network.answer = { message: 'Look again.', errors: { price: ['Too dear.'], slots: ['Choose a slot.'] } }
    const { field, save, wrapper } = form()
    await field('Name').setValue('Seed tube, hard lip')
    await field('Price each').setValue('$1,038.50')
    await field('Lead time, days').setValue('2 weeks')
    const { method, edit } = await save()
    expect(method).toBe('POST')
    expect(edit).toMatchObject({ name: 'Seed tube, hard lip', price: 1038.5, lead_days: 14, own_number: null })
    expect(wrapper.text()).toContain('Too dear.')
    expect(wrapper.text()).toContain('Choose a slot.')
    expect((field('Name').element as HTMLInputElement).value).toBe('Seed tube, hard lip')
    expect(wrapper.emitted('saved')).toBeUndefined()
  })

  it('loses nothing where the server does not answer', async () => {
    network.status = 0
    const { field, save, wrapper } = form(blade)
    await field('Notes').setValue('from the hub side')
    await save()
    expect(wrapper.get('[role=alert]').text()).toBe('The server does not answer. Nothing was saved; try again.')
    expect((field('Notes').element as HTMLTextAreaElement).value).toBe('from the hub side')
  })

  it('asks about rivets and clearance only where they matter', () => {
    const asked = (slots: PartType['slots']) => form({ ...blade, slots }).wrapper.text()
    expect(asked(['opener_blade'])).toContain('needs a guard with clearance')
    expect(asked(['seed_tube_guard'])).toContain('Guard with clearance for large rivets')
    expect(asked(['seed_tube'])).not.toMatch(/clearance/)
  })
})
