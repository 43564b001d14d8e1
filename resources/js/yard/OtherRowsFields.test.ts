import { mount } from '@vue/test-utils'
import { describe, expect, it } from 'vitest'
import { createVuetify } from 'vuetify'
import { nextTick } from 'vue'
import type { Equipment, Planter, SpecSheet } from '@/api/types'
import { groups } from '@/unit/catalogue'
import OtherRowsFields from './OtherRowsFields.vue'
import { draftsOf, editOf, type OtherRowsDraft, rowsOf, unitOf } from './otherRows'

const plain: Equipment = Object.fromEntries(
  groups.flatMap(({ assemblies }) => assemblies.map(({ name, kinds }) => [name, kinds[0] ?? null])),
)
const most: Equipment = { ...plain, meter: 'vacuum', closing_wheels: 'rubber', firmer: true, central_fill: true }
const finger = {
  id: 9,
  name: 'Finger',
  type: 'finger',
  typical_equipment: { ...most, meter: 'finger', firmer: false, central_fill: false },
} as unknown as SpecSheet

function fields(given: OtherRowsDraft[], errors: Record<string, string> = {}) {
  const wrapper = mount(OtherRowsFields, {
    props: {
      modelValue: given,
      'onUpdate:modelValue': (to: OtherRowsDraft[]) => void wrapper.setProps({ modelValue: to }),
      parked: '',
      'onUpdate:parked': (to: string) => void wrapper.setProps({ parked: to }),
      most,
      sheets: [finger],
      rowCount: 8,
      about: (field: string) => errors[field],
    },
    global: { plugins: [createVuetify()] },
  })
  const button = (name: string) => wrapper.findAll('button').find((one) => one.text() === name)!
  return { wrapper, button, drafts: () => wrapper.props('modelValue') }
}

describe('rows that differ', () => {
  it('adds a group, opens it, and says what it has instead', async () => {
    const { wrapper, button, drafts } = fields([])
    expect(wrapper.find('.group').exists()).toBe(false)
    await button('Add rows that differ').trigger('click')
    expect(wrapper.get('.group').text()).toContain('What these rows have')
    await wrapper.get('.group input').setValue('7, 8')
    const select = wrapper
      .get('.group')
      .findAllComponents({ name: 'VSelect' })
      .find((one: { props: (of: string) => unknown }) => one.props('label') === 'Closing wheels')!
    await select.vm.$emit('update:modelValue', 'cast')
    expect(drafts()).toEqual([{ rows: '7, 8', sheet: null, equipment: { closing_wheels: 'cast' } }])
    expect(wrapper.get('.group').text()).toContain('Closing wheels: Cast')
    // Set back, nothing differs any more.
    await select.vm.$emit('update:modelValue', 'rubber')
    expect(drafts()[0]!.equipment).toEqual({})
    await button('Remove').trigger('click')
    expect(drafts()).toEqual([])
  })

  it('offers rows only what rows can differ in', async () => {
    const { wrapper } = fields([{ rows: '1', sheet: null, equipment: {} }])
    await wrapper
      .findAll('button')
      .find((one) => one.text() === 'Change what these rows have')!
      .trigger('click')
    const labels = wrapper.findAll('.v-checkbox').map((box) => box.text())
    expect(labels).toContain('Seed firmers')
    expect(labels).not.toContain('Central fill')
  })

  it('starts rows of another sheet with what is typical there, and leaves the planter alone', async () => {
    const { wrapper, drafts } = fields([{ rows: '7', sheet: null, equipment: { closing_wheels: 'cast' } }])
    const select = wrapper
      .findAllComponents({ name: 'VSelect' })
      .find((one) => one.props('label') === 'Spec sheet of these rows')!
    await select.vm.$emit('update:modelValue', 9)
    await nextTick()
    expect(drafts()).toEqual([{ rows: '7', sheet: 9, equipment: {} }])
    expect(wrapper.get('.group').text()).toContain('Meter: Finger')
    expect(wrapper.get('.group').text()).toContain('no seed firmers')
    const [draft = { rows: '', sheet: null, equipment: {} }] = drafts()
    const unit = unitOf(draft, most, finger)
    expect([unit.meter, unit.firmer, unit.central_fill]).toEqual(['finger', false, true])
  })

  it('names what was refused at the very group', () => {
    const { wrapper } = fields([{ rows: '7', sheet: null, equipment: {} }], {
      'other_rows.0': 'Rows 7 have the same as the other rows.',
      parked_rows: 'All rows are parked.',
    })
    expect(wrapper.get('.group p[role=alert]').text()).toBe('Rows 7 have the same as the other rows.')
    expect(wrapper.text()).toContain('All rows are parked.')
  })
})

describe('rows that differ, to and from the API', () => {
  it('goes there and back', () => {
    const other_rows: Planter['other_rows'] = [
      { rows: [1, 2, 3, 7], spec_sheet_id: null, equipment: { closing_wheels: 'cast' }, stations: [] },
      { rows: [8], spec_sheet_id: 9, equipment: { meter: 'finger', firmer: true }, stations: [] },
    ]
    const drafts = draftsOf({ other_rows }, most, [finger])
    expect(drafts).toEqual([
      { rows: '1-3, 7', sheet: null, equipment: { closing_wheels: 'cast' } },
      // A finger meter is typical of that sheet; the firmer is not.
      { rows: '8', sheet: 9, equipment: { firmer: true } },
    ])
    expect(editOf(drafts, 8).map(({ rows, spec_sheet_id }) => [rows, spec_sheet_id])).toEqual([
      [[1, 2, 3, 7], null],
      [[8], 9],
    ])
  })

  it.each([
    ['', []],
    ['2 to 4', [2, 3, 4]],
    ['2-4, 9', [0]],
    ['the left ones', [0]],
  ])('sends %s so that the server can say what is wrong', (typed, rows) => expect(rowsOf(typed, 8)).toEqual(rows))
})
