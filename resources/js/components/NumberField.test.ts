import { mount } from '@vue/test-utils'
import { beforeEach, describe, expect, it } from 'vitest'
import { defineComponent, h, ref } from 'vue'
import { createVuetify } from 'vuetify'
import { useSend } from '@/composables/useSend'
import { type Kind, shownAs } from '@/measure/kinds'
import { useSession } from '@/session'
import { signInForTest } from '@/testing'
import NumberField from './NumberField.vue'

type Props = InstanceType<typeof NumberField>['$props']

/** The field in a form that sends: what it holds, what it says, and whether the form was sent. */
function field(props: Omit<Props, 'label'>, start: number | null = null) {
  const value = ref<number | null>(start)
  let sent = 0
  const wrapper = mount(
    defineComponent(() => {
      const { send } = useSend()
      const submit = () => void send(async () => void (sent += 1))
      return () =>
        h('form', { onSubmit: submit }, [
          h(NumberField, {
            label: 'Amount',
            ...props,
            modelValue: value.value,
            'onUpdate:modelValue': (now: number | null | undefined) => (value.value = now ?? null),
          }),
        ])
    }),
    { global: { plugins: [createVuetify()] } },
  )
  const input = () => wrapper.get('input')
  return {
    value,
    shown: () => input().element.value,
    text: () => wrapper.text(),
    type: (typed: string) => input().setValue(typed),
    leave: () => input().trigger('blur'),
    submit: async () => {
      const before = sent
      await wrapper.get('form').trigger('submit')
      return sent > before
    },
  }
}

const templates = import.meta.glob<string>('../**/*.vue', { query: '?raw', import: 'default', eager: true })
const tags = Object.entries(templates).flatMap(([file, source]) =>
  [...source.matchAll(/<number-field\b([\s\S]*?)\/>/g)].map(([, attributes = '']) => ({ file, attributes })),
)
const figure = (attributes: string, name: string) => {
  const found = new RegExp(`:${name}="([-\\d_.e]+)"`).exec(attributes)
  return found ? Number(found[1]?.replaceAll('_', '')) : undefined
}

describe('every number field of every form', () => {
  beforeEach(() => signInForTest())

  it('is found', () => expect(tags.length).toBeGreaterThan(60))

  it('is the one field for numbers: nothing else asks for digits', () => {
    // Lengths of a walk, of a dig and of a sheet are read as the tape is read, and judged as they are typed.
    const tape = /walk\/|spec\/|field\/Dig|components\/NumberField|drawings\//
    const others = Object.entries(templates).filter(
      ([file, source]) => !tape.test(file) && /inputmode="(?:decimal|numeric)"|type="number"/.test(source),
    )
    expect(others.map(([file]) => file)).toEqual([])
  })

  it.each(tags.map((tag, at) => ({ at, ...tag })))(
    '$at $file takes a thousands mark and a unit',
    async ({ attributes }) => {
      const kind = (/\bkind="(\w+)"/.exec(attributes)?.[1] ?? 'plain') as Kind
      const [low, high] = [figure(attributes, 'low') ?? 0, figure(attributes, 'high') ?? 1e9]
      const whole = /\bwhole\b/.test(attributes)
      const props = { kind, low, high, whole, places: figure(attributes, 'places') ?? 6 }
      const { factor, units } = shownAs(kind, 'in', 'USD')
      const { value, type, submit, text } = field(props)
      const unit = Object.entries(units).find(([, of]) => of === 1)?.[0]
      const written = (figures: string) => (unit === '$' ? `$${figures}` : `${figures} ${unit ?? ''}`.trim())

      await type(written('1,234'))
      if (1234 * factor <= high && 1234 * factor >= low) {
        expect(value.value).toBeCloseTo(1234 * factor, 3)
      } else {
        // Never 1.234, and never nothing: it stays, and the form is not sent.
        expect(value.value).toBeNull()
        expect(await submit()).toBe(false)
        expect(text()).toContain('1,234')
      }
      const fits = Math.max(Math.ceil(low / factor), Math.min(1, high / factor))
      await type(written(String(fits)))
      expect(value.value).toBeCloseTo(fits * factor, 3)
      expect(await submit()).toBe(true)
      await type('12 bananas')
      expect(value.value).toBeNull()
      expect(await submit()).toBe(false)
    },
  )
})

describe('a number field', () => {
  beforeEach(() => signInForTest())

  it('keeps what cannot be read, and says so once it is left', async () => {
    const { type, leave, text, shown } = field({})
    await type('12 lb')
    expect(text()).not.toContain('without a unit')
    await leave()
    expect(text()).toContain('Amount: "12 lb": type the number without a unit.')
    expect(shown()).toBe('12 lb')
  })

  it('takes seeds as a tag counts them, and weights in either unit', async () => {
    const count = field({ kind: 'perPound', low: 10, high: 500_000, places: 1 })
    for (const [typed, perPound] of [
      ['1,600', 1600],
      ['100/oz', 1600],
      ['100 per ounce', 1600],
      ['3,500/kg', 1587.6],
    ] as const) {
      await count.type(typed)
      expect([typed, count.value.value]).toEqual([typed, perPound])
    }
    const weight = field({ kind: 'pounds', low: 0.01, high: 10_000, places: 2 })
    await weight.type('25 kg')
    expect(weight.value.value).toBe(55.12)
    await weight.type('8 oz')
    expect(weight.value.value).toBe(0.5)
  })

  it('holds nothing where nothing is typed, unless it has to be filled in', async () => {
    expect(await field({}).submit()).toBe(true)
    const needed = field({ required: true })
    expect(await needed.submit()).toBe(false)
    expect(needed.text()).toContain('Amount: Type a number.')
  })

  it('writes a number as the shop writes it, and reads it again', async () => {
    useSession().me = { ...useSession().me!, number_style: 'comma' }
    const { shown, type, value } = field({ kind: 'share' }, 0.155)
    expect(shown()).toBe('15,5')
    await type('16,25%')
    expect(value.value).toBe(0.1625)
    await type('16.25')
    expect(value.value).toBeNull()
  })

  it('rounds what was turned from another unit, and never what was typed', async () => {
    const { value, type } = field({ kind: 'plain', unit: 'units', places: 1 })
    await type('2.25')
    expect(value.value).toBe(2.25)
    await type('2.25 units')
    expect(value.value).toBe(2.3)
  })

  it('goes by the units of the person', async () => {
    signInForTest('mm')
    const { shown, type, value } = field({ kind: 'area', places: 3 }, 62.5)
    expect(shown()).toBe('25.293')
    // Nobody typed over it.
    expect(value.value).toBe(62.5)
    await type('25')
    expect(value.value).toBeCloseTo(61.776, 3)
  })

  it('shows what is set from outside, and not what it has itself', async () => {
    const { value, shown, type } = field({})
    await type('1,200')
    expect(shown()).toBe('1,200')
    value.value = 7
    await Promise.resolve()
    await Promise.resolve()
    expect(shown()).toBe('7')
  })
})
