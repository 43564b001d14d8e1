import { describe, expect, it } from 'vitest'
import { forecastOf as place } from '@/testing'
import { readRows } from '@/walk/rows'
import { printLeft, willNotLast } from './life'

const none = { p10: 0, p50: 0, p90: 0 }

describe('life left', () => {
  it('says acres as people do', () => {
    expect(printLeft(place().left_acres, false, 'in')).toBe('10 – 1,200 ac')
    expect(printLeft({ p10: 10, p50: 20, p90: null }, false, 'in')).toBe('10 – … ac')
    expect(printLeft({ p10: null, p50: 20.4, p90: null }, true, 'in')).toBe('about 20 ac')
    expect(printLeft(place().left_acres, false, 'mm')).toBe('4 – 486 ha')
    expect(printLeft(none, false, 'in')).toBe('none')
    expect(printLeft({ p10: null, p50: null, p90: null }, false, 'in')).toBe('beyond the forecast')
  })

  it('lists what will not make the season, the worst first', () => {
    const rows = [
      place({ row: 1 }),
      place({ row: 2, chance: 0.3, short: true }),
      place({ row: 3, left_m: none, chance: null, short: true }),
      place({ row: 4, chance: 0.9, short: true }),
    ]
    expect(willNotLast(rows).map(({ row }) => row)).toEqual([3, 4, 2])
  })

  it.each([
    ['3, 4, 9', [3, 4, 9]],
    ['1-3;16', [1, 2, 3, 16]],
    ['9 3 3', [3, 9]],
    ['1 to 3, 16', [1, 2, 3, 16]],
    ['3 – 5', [3, 4, 5]],
    ['17', null],
    ['4-2', null],
    ['all', null],
    ['', null],
  ])('reads the rows %s', (typed, rows) => expect(readRows(typed, 16)).toEqual(rows))
})
