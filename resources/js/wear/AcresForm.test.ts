import { mount } from '@vue/test-utils'
import { beforeEach, describe, expect, it } from 'vitest'
import { createVuetify } from 'vuetify'
import type { AcresEntry, AcresLine } from '@/api/types'
import { signInForTest } from '@/testing'
import AcresForm from './AcresForm.vue'

const severities = { '- - - -': 1, 'sand - - -': 1.3, '- heavy - -': 1.1, '- - no_till -': 1.15, '- - - heavy': 1.15 }
const line: AcresLine = {
  id: 'l1',
  day: '2026-04-20',
  field: 'Long Field',
  crop: 'popcorn',
  acres: 62.5,
  mph: 5,
  soil: 'sand',
  residue: 'heavy',
  tillage: null,
  downforce: null,
  severity: 1.43,
  own_severity: false,
  shut_off: [
    { rows: [7, 8], share: 0 },
    { rows: [1], share: 0.255 },
  ],
  pass: 'planting',
  lot: 'P7',
  seed_lot_id: 7,
  units_drawn: 25.6,
  left_out: ['zinc'],
  population: '34,000; 32,000 from 40 ac',
  products: ['8 gal/ac starter'],
  map_acres: 60,
  off_map: 0.0417,
  around: 'section control off',
  until: 'the part comes',
  around_over: false,
  note: 'wet corner left',
  set: '',
  logged_by: 'Wren',
}

function form(of?: AcresLine) {
  const wrapper = mount(AcresForm, {
    props: {
      line: of,
      severities,
      rowCount: 8,
      sections: [4, 4],
      lots: [{ id: 7, name: 'P7' }],
      problem: '',
      busy: false,
      parked: [],
    },
    global: { plugins: [createVuetify()], stubs: { VDialog: { template: '<div><slot /></div>' } } },
  })
  const field = (label: string, nth = 0) => {
    const found = wrapper.findAll('label[for]').filter((one) => one.text() === label)[nth]
    return wrapper.get(`[id="${found?.attributes('for')}"]`)
  }
  const press = (name: string) =>
    wrapper
      .findAll('button')
      .find((one) => one.text() === name)!
      .trigger('click')
  const saved = async () => {
    await wrapper.get('form').trigger('submit')
    return wrapper.emitted<[AcresEntry]>('save')!.at(-1)![0]
  }
  return { wrapper, field, press, saved }
}

describe('the form of a field', () => {
  beforeEach(() => signInForTest())

  it('loses nothing of a line that is corrected', async () => {
    const { saved, field } = form(line)
    await field('Acres').setValue('60.5 ac')
    expect(await saved()).toEqual({
      id: expect.any(String) as string,
      day: '2026-04-20',
      field: 'Long Field',
      crop: 'popcorn',
      acres: 60.5,
      mph: 5,
      soil: 'sand',
      residue: 'heavy',
      tillage: null,
      downforce: null,
      severity: null,
      shut_off: line.shut_off,
      pass: 'planting',
      lot: 'P7',
      seed_lot_id: 7,
      left_out: ['zinc'],
      population: '34,000; 32,000 from 40 ac',
      products: line.products,
      map_acres: 60,
      around: 'section control off',
      until: 'the part comes',
      around_over: false,
      note: 'wet corner left',
      supersedes: 'l1',
    })
  })

  it('takes a section for the rows that were shut off, and others that ran less', async () => {
    const { saved, field, press, wrapper } = form()
    await field('Field').setValue('Far Down')
    await field('Acres').setValue('40')
    await press('Section 2')
    await press('Add more rows')
    await field('Rows', 1).setValue('1')
    expect((await saved()).shut_off).toEqual([
      { rows: [5, 6, 7, 8], share: 0 },
      { rows: [1], share: 0.5 },
    ])
    await field('Rows', 1).setValue('9')
    expect(wrapper.text()).toContain('Rows from 1 to 8')
    expect(wrapper.get('button[type=submit]').attributes('disabled')).toBeDefined()
  })

  it('is typed in hectares and km/h where the shop works in millimetres', async () => {
    signInForTest('mm')
    const { saved, field } = form(line)
    expect((field('Hectares').element as HTMLInputElement).value).toBe('25.293')
    // Nobody typed over it.
    expect(await saved()).toMatchObject({ acres: 62.5, mph: 5 })
    await field('Hectares').setValue('25')
    await field('Speed, km/h').setValue('9')
    // 25 ha x 2.47105 ac/ha; 9 / 1.609344
    const { acres, mph } = await saved()
    expect(acres).toBeCloseTo(61.776, 3)
    expect(mph).toBeCloseTo(5.592, 3)
  })

  it('is not sent while a number cannot be read', async () => {
    const { wrapper, field } = form(line)
    await field('Acres').setValue('about 60')
    await wrapper.get('form').trigger('submit')
    expect(wrapper.emitted('save')).toBeUndefined()
    expect(wrapper.text()).toContain('Acres: "about 60" is not a number.')
  })

  it('has no seed on a pass with products only', async () => {
    const { saved, press } = form(line)
    await press('Products only')
    const sent = await saved()
    expect(sent).toMatchObject({ pass: 'products', products: line.products })
    expect(sent).not.toHaveProperty('lot')
    expect(sent).not.toHaveProperty('population')
  })
})
