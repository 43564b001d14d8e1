import { describe, expect, it } from 'vitest'
import { splitFractions } from '@/measure/fraction'
import { putFraction, putWhole } from './single/keypad'
import { listRows } from './rows'

describe('the touch keypad', () => {
  it('puts wholes and fractions together in either order, and replaces', () => {
    expect(putFraction(putWhole('', 14), '3/8')).toBe('14 3/8')
    expect(putWhole(putFraction('', '3/8'), 14)).toBe('14 3/8')
    expect(putFraction('14 3/8', '7/16')).toBe('14 7/16')
    expect(putWhole('14 3/8', 15)).toBe('15 3/8')
    expect(putFraction(putWhole('', 0), '1/2')).toBe('1/2')
  })
})

describe('rows in words', () => {
  it('names runs', () => {
    expect(listRows([3])).toBe('row 3')
    expect(listRows([1, 4, 10, 11, 12])).toBe('rows 1, 4 and 10 to 12')
    expect(listRows([1, 2])).toBe('rows 1 and 2')
  })
})

describe('fractions in text', () => {
  it('are found and spoken', () => {
    expect(splitFractions('1/8 in under 14 1/2 in')).toEqual([
      { whole: '', top: '1', bottom: '8', spoken: '1 eighth' },
      { text: ' in under ' },
      { whole: '14', top: '1', bottom: '2', spoken: '14 and 1 half' },
      { text: ' in' },
    ])
    expect(splitFractions('14 3/8')[0]).toMatchObject({ spoken: '14 and 3 eighths' })
    expect(splitFractions('saved')).toEqual([{ text: 'saved' }])
  })
})
