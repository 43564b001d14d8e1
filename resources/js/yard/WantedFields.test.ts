import { mount } from '@vue/test-utils'
import { describe, expect, it } from 'vitest'
import { createVuetify } from 'vuetify'
import type { Equipment } from '@/api/types'
import { groups } from '@/unit/catalogue'
import WantedFields from './WantedFields.vue'

const plain: Equipment = Object.fromEntries(
  groups.flatMap(({ assemblies }) => assemblies.map(({ name, kinds }) => [name, kinds[0] ?? null])),
)

function fields(units: Equipment[], modelValue: Record<string, string> = {}) {
  const wrapper = mount(WantedFields, {
    props: {
      modelValue,
      units,
      about: (field: string) => (field === 'wanted.tyre_pressure' ? 'More than 0.' : undefined),
    },
    global: { plugins: [createVuetify()] },
  })
  return { wrapper, labels: wrapper.findAll('.v-text-field label').map((label) => label.text()) }
}

describe('targets of a planter', () => {
  it('asks for what the planter has, each once, and for nothing else', () => {
    expect(fields([plain]).wrapper.find('fieldset').exists()).toBe(false)
    const tires = { ...plain, tires: true, tyre_pairs: 2 }
    const { labels } = fields([tires, { ...tires, fertilizer: true }])
    expect([...new Set(labels)].toSorted()).toEqual([
      'Band below the seed',
      'Band beside the seed',
      'Tire pressure',
      'Tire pressure, second pair',
    ])
  })

  it('says what was typed beside what was there, and what was wrong', async () => {
    const { wrapper } = fields([{ ...plain, tires: true }], { fertilizer_band_offset: '2 in' })
    expect(wrapper.text()).toContain('More than 0.')
    await wrapper.get('input').setValue('55 psi')
    expect(wrapper.emitted('update:modelValue')).toEqual([
      [{ fertilizer_band_offset: '2 in', tyre_pressure: '55 psi' }],
    ])
  })
})
