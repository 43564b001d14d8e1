import { flushPromises, mount } from '@vue/test-utils'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { ref } from 'vue'
import { createVuetify } from 'vuetify'
import type { Check, Manual } from '@/api/types'
import { useSession } from '@/session'
import { guideOf, meForTest, signInForTest } from '@/testing'

const network = vi.hoisted(() => ({ sent: [] as unknown[], answer: (): unknown => ({}) }))
vi.mock('@/api/client', async (original) => {
  const send =
    (method: string) =>
    (path: string, { params, body }: { params?: { path: object }; body?: unknown }) => {
      const said = body instanceof FormData ? Object.fromEntries([...body].map(([key, of]) => [key, nameOf(of)])) : body
      network.sent.push([method, path, params?.path, said])
      return Promise.resolve().then(() => ({ data: network.answer(), response: { ok: true } }))
    }
  const nameOf = (of: FormDataEntryValue) => (of instanceof File ? of.name : of)
  return {
    ...(await original<object>()),
    api: { POST: send('POST'), PUT: send('PUT'), DELETE: send('DELETE') },
  }
})
const known = ref<Manual[]>([])
vi.mock('./manuals', async (original) => ({
  ...(await original<object>()),
  useManuals: () => ({ data: known }),
}))

const { Refusal } = await import('@/api/client')
const { default: ManualsPanel } = await import('./ManualsPanel.vue')
const { default: ManualLine } = await import('@/walk/ManualLine.vue')

const manual = (of: Partial<Manual> = {}): Manual => ({
  id: 4,
  name: 'Row units',
  planter_id: 7,
  spec_sheet_id: null,
  bytes: 3 * 1024 ** 2,
  pages: {},
  revision: 2,
  ...of,
})
const global = { plugins: [createVuetify()] }
const panel = (...manuals: Manual[]) => mount(ManualsPanel, { props: { of: { planter_id: 7 }, manuals }, global })
async function choose(wrapper: ReturnType<typeof panel>, file: File) {
  const input = wrapper.get('input[type=file]')
  Object.defineProperty(input.element, 'files', { value: [file], configurable: true })
  await input.trigger('change')
  await flushPromises()
}
const check = guideOf(1).checks.find(({ key }) => key === 'opener_blade_diameter') as Check

beforeEach(() => {
  signInForTest()
  network.sent.length = 0
  network.answer = () => ({})
})

describe('manuals of a planter', () => {
  it('attaches a file under its name', async () => {
    const wrapper = panel()
    expect(wrapper.text()).toContain('up to 40 MB')
    await choose(wrapper, new File(['%PDF-1.4'], 'Row units.PDF'))
    expect(network.sent).toEqual([
      ['POST', '/api/manuals', undefined, { name: 'Row units', planter_id: '7', file: 'Row units.PDF' }],
    ])
    expect(wrapper.get('[role=status]').text()).toContain('“Row units.PDF” is attached.')
  })

  it('sends no file of 41 MB, and says what the server says of one that is no PDF', async () => {
    const wrapper = panel()
    const large = new File([], 'big.pdf')
    Object.defineProperty(large, 'size', { value: 41 * 1024 ** 2 })
    await choose(wrapper, large)
    expect(network.sent).toEqual([])
    expect(wrapper.get('[role=alert]').text()).toContain('“big.pdf” has 41.0 MB. A manual can have up to 40 MB')
    network.answer = () => {
      throw new Refusal(422, 'No.', { file: ['“a.zip” is not a PDF.'] })
    }
    await choose(wrapper, new File(['PK'], 'a.zip'))
    expect(wrapper.get('[role=alert]').text()).toBe('“a.zip” is not a PDF.')
  })

  it('opens each, renames and removes those of the planter, and leaves those of the sheet alone', async () => {
    const wrapper = panel(manual(), manual({ id: 5, name: 'Of the sheet', planter_id: null, spec_sheet_id: 2 }))
    expect(wrapper.findAll('li a').map((of) => of.attributes('href'))).toEqual([
      '/api/manuals/4/file',
      '/api/manuals/5/file',
    ])
    expect(wrapper.findAll('li')[1]?.text()).toContain('with the spec sheet')
    const name = wrapper.get('li input')
    await name.setValue('Openers')
    await name.trigger('change')
    await flushPromises()
    await wrapper.get('button[aria-label="Remove Row units"]').trigger('click')
    await flushPromises()
    expect(wrapper.find('button[aria-label="Remove Of the sheet"]').exists()).toBe(false)
    expect(network.sent).toEqual([
      ['PUT', '/api/manuals/{manual}', { manual: 4 }, { name: 'Openers', pages: {}, revision: 2 }],
      ['DELETE', '/api/manuals/{manual}', { manual: 4 }, undefined],
    ])
  })

  it('shows a helper the manuals and no way to change them', () => {
    useSession().me = { ...meForTest, workshop: 'Tollgate Row Works', may: ['see', 'record'] }
    const wrapper = panel(manual())
    expect(wrapper.find('li a').exists()).toBe(true)
    expect(wrapper.find('input').exists()).toBe(false)
    expect(wrapper.findAll('button')).toHaveLength(0)
  })
})

describe('the page of a check', () => {
  const line = () => mount(ManualLine, { props: { planterId: 7, check }, global })

  it('opens the manual where the check is described', () => {
    known.value = [manual({ pages: { opener_blade_diameter: 41, seed_tube: 9 } }), manual({ id: 5, name: 'Other' })]
    expect(
      line()
        .findAll('a')
        .map((of) => [of.text(), of.attributes('href')]),
    ).toEqual([
      ['Row units, page 41', '/api/manuals/4/file#page=41'],
      ['Other', '/api/manuals/5/file'],
    ])
  })

  it('notes the page that was found beside those of other checks, and takes it away again', async () => {
    known.value = [manual({ pages: { seed_tube: 9 } })]
    const wrapper = line()
    await wrapper.get('button').trigger('click')
    await wrapper.get('input').setValue('41')
    await wrapper.get('form').trigger('submit')
    await flushPromises()
    known.value = [manual({ pages: { seed_tube: 9, opener_blade_diameter: 41 } })]
    const again = line()
    await again.get('button').trigger('click')
    await again.get('input').setValue('')
    await again.get('form').trigger('submit')
    await flushPromises()
    expect(network.sent.map((of) => ((of as unknown[])[3] as Manual).pages)).toEqual([
      { seed_tube: 9, opener_blade_diameter: 41 },
      { seed_tube: 9 },
    ])
  })

  it('is not there where nobody attached a manual', () => {
    known.value = []
    expect(line().text()).toBe('')
  })
})
