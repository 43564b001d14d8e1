import { flushPromises, mount } from '@vue/test-utils'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { createVuetify } from 'vuetify'
import type { Component } from 'vue'
import type { DugRow, FirstPass } from '@/api/types'
import { signInForTest } from '@/testing'

const { deliver } = vi.hoisted(() => ({ deliver: vi.fn() }))
vi.mock('@/offline/outbox', () => ({ useOutbox: () => ({ deliver }) }))
const { default: AdjustRows } = await import('./AdjustRows.vue')
const { default: FirstPassSteps } = await import('./FirstPassSteps.vue')
const { default: HandTurn } = await import('./HandTurn.vue')
const { default: RateFound } = await import('./RateFound.vue')

type Pass = FirstPass['passes'][number]
const show = (component: Component, props: object) =>
  mount(component, { props, global: { plugins: [createVuetify()], stubs: { RouterLink: true } } })
const row = (of: Partial<DugRow>): DugRow =>
  ({ row: 1, turn: 0, stands: null, turn_to: null, expected: null, ...of }) as DugRow
const pass = (...rows: DugRow[]) =>
  ({ pass: 1, field: '', target: '2 in', alike: 0, rate: null, closing: [], set_before: [], rows }) as Pass

beforeEach(() => {
  localStorage.clear()
  deliver.mockReset().mockResolvedValue(undefined)
  signInForTest()
})

describe('the steps of a first pass', () => {
  const steps = (...done: boolean[]): FirstPass['steps'] =>
    (['turn_by_hand', 'dig', 'adjust', 'dig_again', 'sign_off'] as const).map((key, at) => ({
      key,
      done: done[at] ?? false,
    }))
  it.each([
    [[], 'Turn by hand'],
    [[true, true], 'Adjust'],
    [[false, true, true], 'Turn by hand'],
  ])('with %j done names the first that is not', (done, next) =>
    expect(
      show(FirstPassSteps, { steps: steps(...done) })
        .get('[aria-current=step]')
        .text(),
    ).toContain(next),
  )
  it('names none where all are done', () =>
    expect(
      show(FirstPassSteps, { steps: steps(true, true, true, true, true) })
        .find('[aria-current]')
        .exists(),
    ).toBe(false))
})

describe('turning by hand', () => {
  const signed: FirstPass['sign_offs'] = []
  it('signs every row, or names those that dropped nothing', async () => {
    const wrapper = show(HandTurn, { planterId: 1, rowCount: 8, signed })
    await wrapper.get('button').trigger('click')
    await flushPromises()
    expect(deliver.mock.lastCall?.[0].body).toMatchObject({ kind: 'hand_turned', rows: [] })
    await wrapper.get('input').setValue('3, 7-8')
    await wrapper.get('button').trigger('click')
    await flushPromises()
    expect(deliver.mock.lastCall?.[0].body).toMatchObject({ rows: [3, 7, 8] })
  })
  it('signs nothing for a row that the planter has not', async () => {
    const wrapper = show(HandTurn, { planterId: 1, rowCount: 8, signed })
    await wrapper.get('input').setValue('9')
    expect(wrapper.get('button').attributes('disabled')).toBeDefined()
    expect(wrapper.text()).toContain('Rows from 1 to 8')
  })
})

describe('adjusting', () => {
  it('saves where each handle stands now, of the rows that are to be turned alone', async () => {
    const rows = [row({ row: 1 }), row({ row: 6, turn: 2, stands: 4, turn_to: 6 }), row({ row: 9, turn: -1 })]
    const wrapper = show(AdjustRows, {
      planterId: 1,
      pass: pass(...rows),
      levers: ['One notch up: 0.3 in deeper'],
    })
    expect(wrapper.findAll('li').map((one) => one.get('strong').text())).toEqual(['Row 6', 'Row 9'])
    expect(wrapper.text()).toContain('One notch up: 0.3 in deeper')
    await wrapper.get('form').trigger('submit')
    await flushPromises()
    // Of row 9 nobody has said where it stands: nothing is made up for it.
    const { settings } = deliver.mock.lastCall?.[0].body as { settings: object[] }
    expect(settings).toHaveLength(1)
    expect(settings[0]).toMatchObject({ key: 'depth_mark', row: 6, figure: 6 })
    expect(wrapper.get('[role=status]').text()).toContain('dig again')
  })
  it('asks where rows stand that have marks, before anything tells what a mark is worth', async () => {
    const dug = { turn: null, depth: '1.5 in', stands: 4 }
    const rows = [
      row({ ...dug, row: 3, scale: 'marks' }),
      row({ row: 4, turn: null, depth: null, scale: 'marks' }),
      row({ ...dug, row: 5, scale: 'holes' }),
      // Notches go by the sheet, inches by themselves: nothing to ask there.
      row({ ...dug, row: 6, scale: 'notches' }),
      row({ ...dug, row: 7, scale: 'inches' }),
    ]
    const wrapper = show(AdjustRows, { planterId: 1, pass: pass(...rows), levers: [] })
    expect(wrapper.findAll('li').map((one) => one.get('strong').text())).toEqual(['Row 3', 'Row 5'])
    expect(wrapper.text()).toContain('1.5 in deep; what one mark is worth is not known yet')
    expect(wrapper.text()).toContain('rows set differently show what one mark or one hole is worth')
    expect(wrapper.text()).toContain('Row 3, mark now')
    expect(wrapper.text()).toContain('Row 5, hole now')
  })
  it('keeps back what cannot be read, and says so', async () => {
    const wrapper = show(AdjustRows, {
      planterId: 1,
      pass: pass(row({ row: 6, turn: 2, turn_to: 6 })),
      levers: [],
    })
    await wrapper.get('input').setValue('six or so')
    await wrapper.get('form').trigger('submit')
    await flushPromises()
    expect(deliver).not.toHaveBeenCalled()
    expect(wrapper.text()).toContain('Nothing was saved')
  })
  it('sends the same once more where no answer came', async () => {
    deliver.mockRejectedValueOnce(new TypeError('lost'))
    const wrapper = show(AdjustRows, {
      planterId: 1,
      pass: pass(row({ row: 6, turn: 2, turn_to: 6 })),
      levers: [],
    })
    for (let turn = 0; turn < 2; turn++) {
      await wrapper.get('form').trigger('submit')
      await flushPromises()
    }
    const [first, second] = deliver.mock.calls.map(([item]) => item.id)
    expect(second).toBe(first)
  })
})

describe('the rate', () => {
  it('says which rows are off, what explains it in order, and what would prove it', () => {
    const rate: NonNullable<Pass['rate']> = {
      verdict: 'off',
      said: 'The rate is off',
      ratio: 'Spacing is 1.50 times what is set',
      findings: [
        {
          scope: 'row',
          rows: [5],
          said: 'Row 5: 50% too far apart',
          ratio: '',
          causes: ['The meter', 'The gear'],
          to_prove: 'Dig another row.',
        },
      ],
    }
    const wrapper = show(RateFound, { rate })
    expect(wrapper.findAll('li').map((one) => one.text())).toEqual(['The meter', 'The gear'])
    expect(wrapper.text()).toContain('Dig another row.')
    expect(wrapper.get('[aria-label=Rate]').classes()).toContain('off')
  })
})
