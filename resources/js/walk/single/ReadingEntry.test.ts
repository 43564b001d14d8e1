import { mount } from '@vue/test-utils'
import { beforeEach, describe, expect, it } from 'vitest'
import { nextTick } from 'vue'
import { createVuetify } from 'vuetify'
import type { Check } from '@/api/types'
import { bladeCheck, scraperCheck, signInForTest, stepsOf, touchCheck } from '@/testing'
import ReadingEntry from './ReadingEntry.vue'

function entry(units: 'in' | 'mm' = 'in', check: Check = bladeCheck) {
  signInForTest(units)
  const props = {
    step: stepsOf(2)[0]!,
    check,
    rowCount: 2,
    bands: check.bands,
    doubts: check.doubts,
    others: [],
    canUndo: false,
    restOfRow: 2,
    restOfStation: 3,
    held: false,
  }
  const wrapper = mount(ReadingEntry, { props, global: { plugins: [createVuetify()] }, attachTo: document.body })
  const field = wrapper.find<HTMLInputElement>('input')
  return {
    wrapper,
    field,
    type: (text: string) => field.setValue(text),
    press: async (key: string) => {
      const target = field.exists() ? field.element : document.body
      target.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true, cancelable: true }))
      await nextTick()
    },
    chip: () => wrapper.find('.chip').text(),
    words: () => wrapper.get('.words').text().replace(/\s+/g, ' '),
  }
}

describe('entering a reading', () => {
  beforeEach(() => (document.body.innerHTML = ''))

  it('says beforehand what the reading is held against, and where that comes from', () => {
    expect(entry().words()).toMatch(/^2025: .* Change below .*: manual\./)
  })

  it('judges while typing, with the reason and the change since last time', async () => {
    const { type, chip, words, wrapper } = entry()
    await type('14 3/8')
    expect(chip()).toBe('Change')
    expect(words()).toContain('under the limit of')
    expect(words()).toContain('less than in 2025')
    expect(wrapper.get('.beside').text()).toBe('365 mm')
    await type('14 9/16')
    expect(chip()).toBe('Watch')
    await type('14 3/')
    expect(wrapper.find('.chip').exists()).toBe(false)
  })

  it('stores on Enter and clears for the next', async () => {
    const { type, press, field, wrapper } = entry()
    await type('14 3/4')
    await press('Enter')
    expect(wrapper.emitted('store')).toEqual([['14 3/4', false]])
    expect(field.element.value).toBe('')
  })

  it('asks once where it is unlikely, and again when another figure is typed', async () => {
    const { type, press, words, wrapper } = entry()
    await type('15 1/2')
    await press('Enter')
    expect(words()).toContain('Is this right?')
    expect(words()).toContain('larger than new')
    await type('15 3/4')
    await press('Enter')
    expect(wrapper.emitted('store')).toBeUndefined()
    await press('Enter')
    expect(wrapper.emitted('store')).toEqual([['15 3/4', true]])
  })

  it('says what is wrong and keeps what was typed', async () => {
    const { type, press, words, field, wrapper } = entry()
    await type('14 17/16')
    await press('Enter')
    expect(words()).toContain('has a fraction of one or more')
    expect(field.element.value).toBe('14 17/16')
    expect(wrapper.emitted('store')).toBeUndefined()
  })

  it('takes letters for shortcuts only while nothing is typed', async () => {
    const { type, press, wrapper } = entry()
    for (const key of ['n', '=', 'u', 'h', ']']) await press(key)
    await type('14.5 i')
    for (const key of ['n', '=', '[']) await press(key)
    expect(wrapper.emitted('key')).toEqual([['n'], ['='], ['u'], ['h'], [']'], ['[']])
  })

  it('takes figures wherever the last tap has left the focus', async () => {
    const { wrapper, field } = entry()
    const button = wrapper.get<HTMLElement>('.pad button').element
    button.focus()
    button.dispatchEvent(new KeyboardEvent('keydown', { key: '1', bubbles: true, cancelable: true }))
    expect(document.activeElement).toBe(field.element)
  })

  it('leaves the keys alone while a dialog is open', async () => {
    const { press, wrapper } = entry()
    await wrapper.setProps({ held: true })
    await press('n')
    expect(wrapper.emitted('key')).toBeUndefined()
  })

  it('reads bare numbers as millimetres for who works in them', async () => {
    const { type, chip, wrapper } = entry('mm')
    await type('365')
    expect(chip()).toBe('Change')
    expect(wrapper.get('.big').text()).toContain('365 mm')
    expect(wrapper.get('.pad').text()).not.toContain('16ths')
  })

  it('takes a touch by one key', async () => {
    const { press, wrapper } = entry('in', touchCheck)
    await press('x')
    await press('g')
    expect(wrapper.emitted('state')).toEqual([[{ state: 'gap', chips: [] }]])
  })

  it('stores sound at once, and asks for the reasons of trouble', async () => {
    const { press, wrapper, words } = entry('in', scraperCheck)
    await press('s')
    await press('w')
    expect(wrapper.emitted('state')).toEqual([[{ state: 'sound', chips: [] }]])
    await press('1')
    await press('2')
    await press('1')
    expect(words()).toContain('Watch Bent.')
    await press('Enter')
    expect(wrapper.emitted('state')?.[1]).toEqual([{ state: 'watch', chips: ['bent'] }])
    // While reasons are ticked the other keys are not for the walk.
    await press('c')
    await press('u')
    expect(wrapper.emitted('key')).toBeUndefined()
  })

  it('lets a reason ticked first say what it amounts to', async () => {
    const { press, wrapper, words } = entry('in', scraperCheck)
    await press('3')
    expect(words()).toContain('Failed Broken.')
    await press('Escape')
    await press('n')
    expect(wrapper.emitted('key')).toEqual([['n']])
  })

  it('says how much the one-go buttons would record', () => {
    const { wrapper } = entry()
    expect(wrapper.findAll('.wide').map((button) => button.text())).toEqual([
      'Rest of this row sound (2)',
      'This station sound on all remaining rows (3)',
    ])
  })
})
