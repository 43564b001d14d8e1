import { mount } from '@vue/test-utils'
import { describe, expect, it } from 'vitest'
import { createVuetify } from 'vuetify'
import { ref } from 'vue'
import { guideOf } from '@/testing'
import { groups, startingPoints } from './catalogue'
import StartingPoints from './StartingPoints.vue'
import UnitFields from './UnitFields.vue'

const whole = (given: Record<string, unknown>) =>
  ({
    ...Object.fromEntries(groups.flatMap(({ assemblies }) => assemblies.map(({ name, kinds }) => [name, kinds[0]]))),
    ...given,
  }) as Record<string, string | boolean | number | null>

function fields(given: Record<string, unknown>, error?: string) {
  const equipment = ref(whole(given))
  const wrapper = mount(UnitFields, {
    props: {
      modelValue: equipment.value,
      'onUpdate:modelValue': (to: typeof equipment.value) => void wrapper.setProps({ modelValue: to }),
      error,
    },
    global: { plugins: [createVuetify()] },
  })
  const tick = (label: string) =>
    wrapper
      .findAll('.v-checkbox')
      .find((box) => box.text() === label)!
      .get('input')
      .setValue(true)
  const count = () => Number(/(\d+) checks a row/.exec(wrapper.text())?.[1])
  return { wrapper, tick, count }
}

describe('what a unit is made of, in the form', () => {
  it('counts and draws at once what is added', async () => {
    const { wrapper, tick, count } = fields({ opener: 'double_disc', depth_gauge: 'gauge_wheels' })
    const before = { count: count(), parts: wrapper.findAll('svg .part').length }
    await tick('Covering discs')
    // Diameter, angle and bearing on both sides, and the spring.
    expect(count()).toBe(before.count + 7)
    expect(wrapper.findAll('svg .part')).toHaveLength(before.parts + 1)
  })

  it('says at once what does not go together, and what to do', async () => {
    const { wrapper } = fields({ opener: 'double_disc', scrapers: true })
    expect(wrapper.find('[role=alert]').exists()).toBe(false)
    await wrapper.getComponent({ name: 'VSelect' }).vm.$emit('update:modelValue', 'runner')
    expect(wrapper.get('[role=alert]').text()).toBe('Scrapers need a double-disc or single-disc opener.')
  })

  it('offers nothing that would not go with the rest', async () => {
    const { wrapper } = fields({ opener: 'runner' })
    const labels = () => wrapper.findAll('.v-checkbox').map((box) => box.text())
    expect(labels()).not.toContain('Scrapers')
    expect(labels()).toContain('Covering discs')
    await wrapper.getComponent({ name: 'VSelect' }).vm.$emit('update:modelValue', 'double_disc')
    expect(labels()).toContain('Scrapers')
  })

  it('shows what the server complains of', () => {
    const { wrapper } = fields({ opener: 'double_disc' }, 'Not like this.')
    expect(wrapper.get('[role=alert]').text()).toBe('Not like this.')
  })

  it('has a word for every assembly and every kind', () => {
    const { wrapper } = fields({ opener: 'double_disc' })
    expect(wrapper.text()).not.toMatch(/(assembly|option|unit_part)\./)
  })
})

describe('the starting points', () => {
  const sheet = (id: number, type: 'vacuum' | 'plate') => ({
    id,
    version: 'a',
    name: type,
    type,
    left_hand_thread: 'left' as const,
    torque: '',
    own: false,
    notch: { value: 6.35, unit: 'mm' as const, typed: '1/4 in', source: 'm' },
    typical_equipment: whole(guideOf(1).planter.equipment),
    checks: [],
  })

  it('are offered where there is a sheet for them, and bring the unit along', async () => {
    const wrapper = mount(StartingPoints, {
      props: { sheets: [sheet(4, 'vacuum'), sheet(5, 'plate')] },
      global: { plugins: [createVuetify()] },
    })
    const offered = wrapper.findAll('button')
    expect(offered).toHaveLength(startingPoints.filter(({ type }) => type === 'vacuum' || type === 'plate').length)
    await offered.find((button) => button.text().startsWith('Garden planter'))!.trigger('click')
    const [start, chosen, equipment] = wrapper.emitted('choose')![0] as unknown as [
      { rows: number },
      { id: number },
      { opener: string },
    ]
    expect([start.rows, chosen.id, equipment.opener]).toEqual([1, 5, 'runner'])
    expect(wrapper.text()).not.toContain('start.')
  })
})
