import { mount } from '@vue/test-utils'
import { describe, expect, it } from 'vitest'
import { createVuetify } from 'vuetify'
import words from '../../../lang/en/tour.json'
import station from '../../../lang/en/spec.json'
import { guideOf } from '@/testing'
import UnitTour from './UnitTour.vue'

const VDialog = { props: ['modelValue'], template: '<div><slot v-if="modelValue" /></div>' }
function tour(stations: string[], from?: string) {
  const { equipment } = guideOf(1).planter
  return mount(UnitTour, {
    props: { modelValue: true, unit: { equipment, stations }, from } as never,
    global: { plugins: [createVuetify()], stubs: { VDialog } },
  })
}
const press = (wrapper: ReturnType<typeof tour>, name: string) =>
  wrapper
    .findAll('button')
    .find((button) => button.text() === name)!
    .trigger('click')

describe('how a unit works', () => {
  it('goes through what this planter has, front to back, and no further', async () => {
    const wrapper = tour(['opener', 'press_wheel'])
    expect(wrapper.get('h3').text()).toBe('Opener')
    expect(wrapper.text()).toContain('1 of 2')
    await press(wrapper, 'Next')
    expect(wrapper.get('h3').text()).toBe('Press wheel')
    expect(wrapper.text()).toContain(words['tour.press_wheel.worn'])
    expect(wrapper.findAll('button').map((button) => button.text())).not.toContain('Next')
    await wrapper.get('.tour').trigger('keydown.left')
    expect(wrapper.get('h3').text()).toBe('Opener')
  })

  it('draws only what is there, and goes to what is tapped', async () => {
    const wrapper = tour(['meter', 'opener', 'press_wheel'], 'meter')
    expect(wrapper.findAll('svg .part')).toHaveLength(3)
    await wrapper.findAll('svg .part').at(-1)!.trigger('click')
    expect(wrapper.get('h3').text()).toBe('Press wheel')
  })

  it('has something to say of every station of a row', () => {
    const whole = ['frame', 'wheels_and_drive', 'hydraulics', 'air_and_fill', 'fertilizer_system', 'electronics']
    const rows = Object.keys(station).flatMap((key) =>
      key.startsWith('station.') && !whole.includes(key.slice(8)) ? [key.slice(8)] : [],
    )
    for (const of of rows) expect(words).toHaveProperty([`tour.${of}.does`])
    expect(Object.keys(words)).toHaveLength(2 * rows.length)
  })
})
