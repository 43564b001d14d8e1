import { beforeEach, describe, expect, it, vi } from 'vitest'
import { type Ref, ref } from 'vue'
import type { WalkGuide } from '@/api/types'
import { useOutbox } from '@/outbox'
import { guideOf, signInForTest } from '@/testing'
import { useWalk } from './useWalk'

describe('going through a walk', () => {
  let guide: Ref<WalkGuide>
  const walked = () => useWalk(1, guide)
  const sent = () =>
    useOutbox().waiting.map(({ reading }) => [reading.row, reading.side, reading.result, reading.typed])

  beforeEach(() => {
    localStorage.clear()
    vi.stubGlobal('fetch', () => new Promise(() => {}))
    signInForTest()
    useOutbox().send = async () => {}
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
    expect(walk.checked.value).toBe(6)

    guide.value = guideOf(2)
    guide.value.walk.order = 'station_by_station'
    localStorage.clear()
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
      result: 'measured' as const,
      mm: 374.65,
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
      mm: 365.125,
      verdict: 'change',
      reasons: [{ code: 'under_limit' }],
    })
    walk.goTo(walk.steps.value[0]!)
    walk.recordSameAsLast()
    expect(walk.steps.value[0]?.now).toMatchObject({ mm: 376.2375, verdict: 'sound' })
  })

  it('takes back by recording what stood there before', () => {
    const walk = walked()
    walk.recordTyped('14 3/8', false)
    walk.goTo(walk.steps.value[0]!)
    walk.recordTyped('14 5/8', false)
    walk.undo()
    expect(walk.current.value).toMatchObject({ row: 1, side: 'left', now: { mm: 365.125 } })
    walk.undo()
    expect(walk.current.value.now).toBeNull()
    expect(walk.canUndo.value).toBe(false)
    expect(sent()).toEqual([
      [1, 'left', 'measured', '14 3/8'],
      [1, 'left', 'measured', '14 5/8'],
      [1, 'left', 'measured', '14 3/8 in'],
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
    expect(walk.current.value).toMatchObject({ row: 2, side: 'right' })
    walk.moveRow(1)
    expect(walk.current.value.row).toBe(2)
  })

  it('leaves a place that is gone, because the planter has changed', () => {
    const walk = walked()
    walk.goToRow(2)
    guide.value = guideOf(1)
    return Promise.resolve().then(() => expect(walk.current.value).toMatchObject({ row: 1, side: 'left' }))
  })

  it('has what the other rows make hard to believe among its doubts', () => {
    guide.value.row_doubts = {
      opener_blade_diameter: { code: 'far_from_rows', ref_mm: 374.65, below_mm: 363, above_mm: 386 },
    }
    const walk = walked()
    expect(walk.doubts.value.map((doubt) => doubt.code)).toEqual(['larger_than_new', 'far_from_rows'])
    walk.moveStation(1)
    walk.moveStation(1)
    expect(walk.doubts.value.map((doubt) => doubt.code)).toEqual(['larger_than_new'])
  })
})
