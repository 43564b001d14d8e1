import { flushPromises, mount } from '@vue/test-utils'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { createVuetify } from 'vuetify'
import { guideOf, signInForTest } from '@/testing'

const push = vi.hoisted(() => vi.fn())
const network = vi.hoisted(() => {
  const network = { answer: () => Response.json({}), sent: [] as unknown[] }
  globalThis.fetch = (async (request: Request | string) => {
    if (typeof request !== 'string') network.sent.push(await request.json())
    return network.answer()
  }) as typeof fetch
  return network
})
vi.mock('vue-router', async (original) => ({ ...(await original<object>()), useRouter: () => ({ push }) }))

const { default: PlanterForm } = await import('./PlanterForm.vue')
const sheet = {
  id: 7,
  version: 'a1',
  name: 'Vacuum',
  type: 'vacuum' as const,
  left_hand_thread: 'left' as const,
  torque: '',
  own: false,
  notch: { value: 6.35, unit: 'mm' as const, typed: '1/4 in', source: 'm' },
  typical_equipment: guideOf(1).planter.equipment,
  checks: [],
}

function form() {
  const wrapper = mount(PlanterForm, {
    props: { sheets: [sheet] },
    global: { plugins: [createVuetify()], stubs: { RouterLink: true } },
  })
  const fields = wrapper.findAll('input')
  const fill = (index: number, text: string) => fields[index]!.setValue(text)
  const submit = async () => {
    await wrapper.get('form').trigger('submit')
    await flushPromises()
  }
  return { wrapper, fill, submit }
}

describe('the planter form', () => {
  beforeEach(() => {
    signInForTest()
    network.sent.length = 0
    push.mockClear()
  })

  it('shows the planter from behind while it is described', async () => {
    const { wrapper, fill } = form()
    const sections = () => wrapper.findAll('.section').map((section) => section.findAll('.row').length)
    expect(sections()).toEqual([8])
    await fill(2, '6')
    await fill(4, '2, 4')
    expect(sections()).toEqual([2, 4])
    await fill(4, '2, 5')
    expect(sections()).toEqual([6])
    await fill(2, '65')
    expect(wrapper.find('.preview').exists()).toBe(false)
  })

  it('sends what was typed and goes to the board', async () => {
    network.answer = () => Response.json({ ...guideOf(6).planter, id: 31 })
    const { fill, submit } = form()
    for (const [index, text] of ['Quill', 'Ardle', '6', '76 cm', '2 4'].entries()) await fill(index, text)
    await submit()
    expect(network.sent).toEqual([
      {
        name: 'Quill',
        farm: 'Ardle',
        row_count: 6,
        spacing: '76 cm',
        sections: [2, 4],
        spec_sheet_id: 7,
        equipment: sheet.typical_equipment,
        other_rows: [],
        parked_rows: [],
        wanted: {},
        planned_acres: null,
        planting_days: null,
        planting_start: null,
      },
    ])
    expect(push).toHaveBeenCalledWith({ name: 'board', params: { planter: 31 } })
  })

  it('names what was refused at its field and keeps everything typed', async () => {
    const errors = {
      row_count: ['A planter has 1 to 48 rows, a drill up to 64.'],
      'sections.0': ['Write the rows of each section.'],
    }
    network.answer = () =>
      Response.json({ message: 'A planter has 1 to 48 rows, a drill up to 64.', errors }, { status: 422 })
    const { wrapper, fill, submit } = form()
    for (const [index, text] of ['Quill', 'Ardle', 'many', '30', 'x'].entries()) await fill(index, text)
    await submit()
    expect(network.sent).toEqual([])
    await fill(2, '60')
    await submit()
    expect(network.sent).toMatchObject([{ row_count: 60, sections: ['x'] }])
    expect(wrapper.findAll('.v-messages__message').map((message) => message.text())).toEqual(
      expect.arrayContaining(['A planter has 1 to 48 rows, a drill up to 64.', 'Write the rows of each section.']),
    )
    expect(
      wrapper
        .findAll('input')
        .slice(0, 5)
        .map((input) => input.element.value),
    ).toEqual(['Quill', 'Ardle', '60', '30', 'x'])
    expect(push).not.toHaveBeenCalled()
  })
})
