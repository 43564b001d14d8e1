import { beforeEach, describe, expect, it } from 'vitest'
import { type Ref, ref } from 'vue'
import { useOutbox } from '@/offline/outbox'
import { guideOf, signInForTest } from '@/testing'
import { useWalk } from './useWalk'

describe('going through a walk', () => {
  let guide: Ref<ReturnType<typeof guideOf>>
  const walked = () => useWalk(1, guide)
  const sent = () =>
    useOutbox().waiting.flatMap((item) =>
      item.what === 'reading' ? [[item.body.row, item.body.side, item.body.result, item.body.typed]] : [],
    )

  beforeEach(() => {
    signInForTest()
    const outbox = useOutbox()
    outbox.send = async () => {}
    // Only what is in memory; keeping it on the device has tests of its own.
    outbox.add = async (...items) => {
      outbox.waiting = [...outbox.waiting, ...items.map((item) => ({ ...item, user: 1 }))]
    }
    guide = ref(guideOf(2))
  })

  it('goes row by row or station by station, to the next unchecked', () => {
    const walk = walked()
    const way: string[] = []
    for (let step = 0; step < 6; step++) {
      way.push(`${walk.current.value.row} ${walk.current.value.side}`)
      walk.recordTyped('14 3/4', false)
    }
    expect(way).toEqual(['1 left', '1 right', '1 centre', '2 left', '2 right', '2 centre'])
    expect(walk.unchecked.value).toEqual([])

    guide.value = guideOf(2)
    guide.value.walk.order = 'station_by_station'
    useOutbox().waiting = []
    expect(walked().steps.value.map((step) => `${step.row} ${step.side}`)).toEqual([
      '1 left',
      '1 right',
      '2 left',
      '2 right',
      '1 centre',
      '2 centre',
    ])
  })

  it('starts at the first unchecked place and comes round to one that was left out', () => {
    const now = {
      id: 'x',
      result: 'recorded' as const,
      value: 374.65,
      state: null,
      chips: [],
      verdict: 'sound' as const,
      reasons: [],
      taken_at: '',
    }
    guide.value.steps[0] = { ...guide.value.steps[0]!, now }
    const walk = walked()
    expect(walk.current.value).toMatchObject({ row: 1, side: 'right' })
    walk.goToRow(2)
    for (let step = 0; step < 3; step++) walk.recordTyped('14 3/4', false)
    expect(walk.current.value).toMatchObject({ row: 1, side: 'right' })
  })

  it('judges a reading on its way up as the server will', () => {
    const walk = walked()
    walk.recordTyped('14 3/8', false)
    expect(walk.steps.value[0]?.now).toMatchObject({
      value: 365.125,
      verdict: 'change',
      reasons: [{ code: 'under_limit' }],
    })
    walk.goTo(walk.steps.value[0]!)
    walk.recordSameAsLast()
    expect(walk.steps.value[0]?.now).toMatchObject({ value: 376.2375, verdict: 'sound' })
  })

  it('takes back by recording what stood there before', () => {
    const walk = walked()
    walk.recordTyped('14 3/8', false)
    walk.goTo(walk.steps.value[0]!)
    walk.recordTyped('14 5/8', false)
    walk.undo()
    expect(walk.current.value).toMatchObject({ row: 1, side: 'left', now: { value: 365.125 } })
    walk.undo()
    expect(walk.current.value.now).toBeNull()
    expect(walk.canUndo.value).toBe(false)
    expect(sent()).toEqual([
      [1, 'left', 'recorded', '14 3/8'],
      [1, 'left', 'recorded', '14 5/8'],
      [1, 'left', 'recorded', '14 3/8 in'],
      [1, 'left', 'withdrawn', undefined],
    ])
  })

  it('moves by row at one check, and by station on one row, and stops at the ends', () => {
    const walk = walked()
    walk.moveRow(-1)
    walk.moveStation(-1)
    expect(walk.current.value).toMatchObject({ row: 1, side: 'left' })
    walk.moveRow(1)
    walk.moveStation(1)
    expect(walk.current.value).toMatchObject({ row: 2, check: 'blade_contact_length' })
    walk.moveRow(1)
    expect(walk.current.value.row).toBe(2)
  })

  it('leaves a place that is gone, because the planter has changed', () => {
    const walk = walked()
    walk.goToRow(2)
    guide.value = guideOf(1)
    return Promise.resolve().then(() => expect(walk.current.value).toMatchObject({ row: 1, side: 'left' }))
  })

  it('has what the other rows make unlikely among its doubts', () => {
    guide.value.row_doubts = {
      opener_blade_diameter: { code: 'far_from_rows', ref: 374.65, unit: 'mm', below: 363, above: 386 },
    }
    const walk = walked()
    expect(walk.doubtsOf(walk.current.value).map((doubt) => doubt.code)).toEqual(['larger_than_new', 'far_from_rows'])
    walk.moveStation(1)
    expect(walk.doubtsOf(walk.current.value).map((doubt) => doubt.code)).toEqual([])
  })

  it('calls the rest of a row or a station sound in one go, and takes it back in one', () => {
    const walk = walked()
    walk.recordTyped('14 3/4', false)
    expect([walk.restOfRow.value.length, walk.restOfStation.value.length]).toEqual([2, 3])
    walk.recordRestOfRow()
    expect(walk.current.value).toMatchObject({ row: 2, side: 'left' })
    expect(walk.steps.value[1]?.now).toMatchObject({ result: 'looked_sound', verdict: 'sound', value: null })
    walk.recordRestOfStation()
    expect(walk.unchecked.value.map((step) => [step.row, step.check])).toEqual([[2, 'blade_contact_length']])
    walk.undo()
    walk.undo()
    expect(walk.unchecked.value).toHaveLength(5)
    expect(sent().filter(([, , result]) => result === 'withdrawn')).toHaveLength(4)
  })

  it('walks only what was chosen, in the order that was chosen', () => {
    guide.value.walk.order = 'snake'
    guide.value.walk.checks = ['opener_blade_diameter']
    expect(walked().steps.value.map((step) => `${step.row} ${step.side}`)).toEqual([
      '1 left',
      '2 left',
      '2 right',
      '1 right',
    ])
  })

  it('judges by last time where that counts, or else by the rows', () => {
    guide.value.steps[0] = {
      ...guide.value.steps[0]!,
      bands: [{ from: 0, verdict: 'watch', reasons: [{ code: 'will_not_last', ref: 368.3, unit: 'mm' }] }],
    }
    guide.value.row_bands = { blade_contact_length: [{ from: 0, verdict: 'failed', reasons: [] }] }
    const walk = walked()
    const verdicts = ['14 3/4', '14 3/4', '2'].map((typed) => {
      const { row, check, side } = walk.current.value
      walk.recordTyped(typed, false)
      return walk.steps.value.find((step) => step.row === row && step.check === check && step.side === side)?.now
        ?.verdict
    })
    expect(verdicts).toEqual(['watch', 'sound', 'failed'])
  })
})
