import { describe, expect, it } from 'vitest'
import { roundMarks, sayLeftOut, sayMedian, stepsOf } from './lives'

describe('lives of parts', () => {
  const distance = (metres: number) => `${metres} m`
  const curve = {
    part_type_id: 1,
    name: 'Tube',
    parts: 3,
    left_out: 0,
    ended: 2,
    longest_m: 900,
    median_m: 300,
    median_low_m: 100,
    median_high_m: null,
    steps: [{ ran_m: 300, share: 0.5, low: 0.2, high: 0.8, at_risk: 2 }],
  }

  it('says the median with its interval, and that nothing has ended', () => {
    expect(sayMedian(curve, distance)).toBe('3 fitted, 2 worn out or failed; half reach 300 m (100 m to open).')
    expect(sayMedian({ ...curve, median_low_m: null }, distance)).toContain('Too few worn out to say how sure that is.')
    expect(sayMedian({ ...curve, ended: 0 }, distance)).toContain('none worn out yet; the longest has run 900 m')
    expect(sayMedian({ ...curve, median_m: null }, distance)).toContain('more than half still running')
  })

  it('owns up to what is left out', () => {
    expect([0, 1, 7].map((left_out) => sayLeftOut({ ...curve, left_out }))).toEqual([
      '',
      ' One more is left out: its distance is not known.',
      ' 7 more are left out: their distance is not known.',
    ])
  })

  it('steps from all running to as far as any got', () => {
    expect(stepsOf(curve).map(({ ran, share }) => [ran, share])).toEqual([
      [0, 1],
      [300, 0.5],
      [900, 0.5],
    ])
  })

  it('marks round miles or kilometres', () => {
    const miles = (furthest: number) => roundMarks(furthest * 1609.344, 'in').map((at) => Math.round(at / 1609.344))
    expect(miles(767)).toEqual([0, 200, 400, 600])
    expect(miles(2000)).toEqual([0, 500, 1000, 1500, 2000])
    expect(miles(3)).toEqual([0, 1, 2, 3])
    expect(miles(0)).toEqual([0])
    expect(roundMarks(36_000, 'mm')).toEqual([0, 10_000, 20_000, 30_000])
  })
})
