import { enableAutoUnmount, mount } from '@vue/test-utils'
import { afterEach, beforeEach, describe, expect, it } from 'vitest'
import { computed, nextTick, ref } from 'vue'
import { createVuetify } from 'vuetify'
import type { Check, PlaceRef, WalkGuide } from '@/api/types'
import { useOutbox } from '@/offline/outbox'
import { bladeCheck, guideOf, scraperCheck, signInForTest, touchCheck } from '@/testing'
import StationCard from './StationCard.vue'
import { useStops } from './useStops'
import { useWalk } from '../useWalk'

const bearing: Check = { ...scraperCheck, key: 'opener_bearing', station: 'opener_blades', sides: ['left', 'right'] }

/** Two rows: both blades with their bearings at one station, the contact, and the touch at another. */
function guide(): WalkGuide {
  const plain = guideOf(2)
  const checks = [bladeCheck, bearing, plain.checks[1] as Check, touchCheck]
  const steps = [1, 2].flatMap((row) =>
    checks.flatMap((check) => check.sides.map((side) => ({ row, check: check.key, side, now: null, last: null }))),
  )
  const all = steps.map((_, at) => at)
  return {
    ...plain,
    checks,
    steps,
    walk: { ...plain.walk, checks: checks.map(({ key }) => key) },
    orders: { row_by_row: all, station_by_station: all, snake: all },
  }
}

function desk() {
  signInForTest()
  const outbox = useOutbox()
  outbox.waiting = []
  outbox.add = async (...items) => {
    outbox.waiting = [...outbox.waiting, ...items.map((item) => ({ ...item, user: 1 }))]
  }
  const given = ref<WalkGuide>(guide())
  const walk = useWalk(1, given)
  const stops = useStops(given, walk)
  const props = computed(() => ({
    stop: stops.stop.value,
    checkOf: walk.checkOf,
    bandsOf: walk.bandsOf,
    doubtsOf: walk.doubtsOf,
    othersOf: walk.othersOf,
    rowCount: 2,
    nth: '',
    next: stops.next.value,
    canUndo: walk.canUndo.value,
    held: false,
  }))
  const wrapper = mount(
    {
      components: { StationCard },
      setup: () => ({ props, stops, onKey: (key: string) => key === 'u' && walk.undo() }),
      template: `<station-card v-bind="props" @typed="stops.typed" @say="stops.say" @not-fitted="stops.notFitted"
        @same-as-last="stops.sameAsLast" @on="stops.restIsSound" @key="onKey" />`,
    },
    { global: { plugins: [createVuetify()] }, attachTo: document.body },
  )
  const press = async (...keys: string[]) => {
    for (const key of keys) {
      const target = document.activeElement ?? document.body
      const event = new KeyboardEvent('keydown', { key, bubbles: true, cancelable: true })
      const isTaken = !target.dispatchEvent(event)
      if (!isTaken && target instanceof HTMLInputElement && key.length === 1) {
        target.value += key
        target.dispatchEvent(new Event('input'))
      }
      await nextTick()
      await nextTick()
    }
  }
  const sent = () =>
    outbox.waiting.flatMap((item) =>
      item.what === 'reading'
        ? [
            [
              `${item.body.row} ${item.body.check} ${item.body.side}`,
              item.body.typed ?? item.body.state ?? item.body.result,
              ...(item.body.chips ?? []),
            ].join(' '),
          ]
        : [],
    )
  const title = () => wrapper.get('h1').text().replace(/\s+/g, ' ')
  const at = (place: PlaceRef) => walk.goTo(place)
  return { wrapper, press, sent, title, at, walk, outbox }
}

// Each listens to the keys of the whole window.
enableAutoUnmount(afterEach)

describe('a station at a time', () => {
  beforeEach(() => (document.body.innerHTML = ''))

  it('takes a figure with one Enter each, the exception by its letter and reason, and the rest as sound', async () => {
    const { press, sent, title, outbox } = desk()
    await nextTick()
    expect(title()).toBe('Row 1 of 2 · Opener blades')
    await press(...'14 3/4', 'Enter', ...'14 5/8', 'd', '3', 'Enter')
    expect(sent()).toEqual([
      '1 opener_blade_diameter left 14 3/4',
      '1 opener_blade_diameter right 14 5/8',
      '1 opener_bearing right failed broken',
      '1 opener_bearing left looked_sound',
    ])
    expect(outbox.waiting.at(-1)).toMatchObject({ body: { result: 'looked_sound', entry: 'rest_here' } })
    expect(title()).toBe('Row 1 of 2 · Blade contact')
    // No figure is called sound that nobody has read.
    await press('Enter')
    expect(title()).toBe('Row 1 of 2 · Gauge wheels')
    await press('Enter')
    expect(title()).toBe('Row 2 of 2 · Opener blades')
    expect(sent().slice(4)).toEqual(['1 gauge_touch left looked_sound'])
  })

  it('holds everything back while a figure cannot be stored or an open line says nothing', async () => {
    const { press, sent, title, wrapper } = desk()
    await nextTick()
    await press(...'14 3/', 's')
    expect(wrapper.get('[role=alert]').text()).toContain('needs its bottom number')
    expect(wrapper.find('.choices').exists()).toBe(false)
    await press('Escape', ...'41', 'Enter')
    expect(wrapper.get('[role=alert]').text()).toContain('Is this right?')
    await press('Enter', 's')
    expect(wrapper.find('.choices').exists()).toBe(true)
    await wrapper.get('.on').trigger('click')
    expect(wrapper.get('.complaint').text()).toContain('Say what is wrong with “')
    expect(title()).toBe('Row 1 of 2 · Opener blades')
    expect(sent()).toEqual(['1 opener_blade_diameter left 41'])
    await press('s')
    await wrapper.get('.on').trigger('click')
    expect(title()).toBe('Row 1 of 2 · Blade contact')
    expect(sent().slice(1)).toEqual(['1 opener_bearing left looked_sound', '1 opener_bearing right looked_sound'])
  })

  it('takes back what was said of one line, and says nothing of last time where there is none', async () => {
    const { press, sent, title } = desk()
    await nextTick()
    await press('=')
    expect([title(), sent()]).toEqual(['Row 1 of 2 · Opener blades', []])
    // The key of its own line closes it while nothing is said; after that it says that it is sound.
    await press('s', 's', 's', '1', 's')
    expect(sent()).toEqual(['1 opener_bearing left change worn', '1 opener_bearing left sound'])
  })

  it('takes the whole station back at once, and what is not fitted', async () => {
    const { press, sent, title, wrapper } = desk()
    await nextTick()
    await press(...'14 3/4', 'Enter', 's', '1', '2', 'Enter')
    expect(title()).toBe('Row 1 of 2 · Blade contact')
    const stored = sent().length
    await press('u')
    expect(title()).toBe('Row 1 of 2 · Opener blades')
    expect(sent().slice(stored).sort()).toEqual([
      '1 opener_bearing left withdrawn',
      '1 opener_bearing right withdrawn',
      '1 opener_blade_diameter left withdrawn',
    ])
    const button = wrapper.findAll('footer button').find((one) => one.text() === 'Not fitted')
    await press('d')
    await button?.trigger('click')
    expect(sent().at(-1)).toBe('1 opener_bearing right not_fitted')
  })
})

describe('on a phone', () => {
  const { happyDOM } = window as unknown as {
    happyDOM: { setViewport: (to: { width: number; height: number }) => void }
  }
  beforeEach(() => happyDOM.setViewport({ width: 390, height: 844 }))
  afterEach(() => happyDOM.setViewport({ width: 1280, height: 800 }))

  it('has the keys of a tape under the figures: six taps read both blades and go on with the rest sound', async () => {
    const { wrapper, sent } = desk()
    await nextTick()
    await nextTick()
    const tap = async (key: string) => {
      const button = wrapper.findAll('.pad button, .on').find((one) => one.text().startsWith(key))
      expect(button, key).toBeDefined()
      await button?.trigger('mousedown')
      await button?.trigger('click')
      await nextTick()
      await nextTick()
    }
    expect(wrapper.get('input').attributes('inputmode')).toBe('none')
    await tap('14')
    await tap('7 eighths7⁄8')
    await tap('Next')
    await tap('14')
    await tap('3 quarters3⁄4')
    await tap('Rest is sound: on to blade contact')
    expect(sent()).toEqual([
      '1 opener_blade_diameter left 14 7/8',
      '1 opener_blade_diameter right 14 3/4',
      '1 opener_bearing left looked_sound',
      '1 opener_bearing right looked_sound',
    ])
    // The next station is a figure too: the keys stay.
    expect(wrapper.find('.pad').exists()).toBe(true)
  })

  it('shows no keys where there is nothing to type', async () => {
    const { wrapper } = desk()
    await nextTick()
    await wrapper.findAll('.condition button, .line button')[0]?.trigger('click')
    await nextTick()
    expect(wrapper.find('.pad').exists()).toBe(false)
  })
})

it('has no keys on a wide screen, where the keyboard types', async () => {
  const { wrapper } = desk()
  await nextTick()
  expect(wrapper.find('.pad').exists()).toBe(false)
  expect(wrapper.get('input').attributes('inputmode')).toBe('text')
})
