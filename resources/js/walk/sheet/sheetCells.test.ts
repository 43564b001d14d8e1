import { describe, expect, it } from 'vitest'
import type { Check } from '@/api/types'
import { bladeCheck, scraperCheck, stepsOf, touchCheck } from '@/testing'
import { readCell, splitPaste, turned } from './sheetCells'

const step = stepsOf(1)[0]!
const read = (text: string, check: Check = bladeCheck) => readCell(text, check, step, undefined, 'in')

describe('a cell of the paper sheet', () => {
  it('is a figure as typed, with what is unlikely of it', () => {
    expect(read('14 3/8')).toEqual({ content: { typed: '14 3/8', units: 'in' }, doubts: [] })
    expect(read('16')).toMatchObject({ doubts: [{ code: 'larger_than_new' }] })
    expect(read('  ')).toBeNull()
    expect(read('n')).toEqual({ content: { result: 'not_fitted' }, doubts: [] })
    expect(read('14 3/')).toEqual({ fault: expect.stringContaining('bottom number') as string })
  })

  it('is a letter or a word where no figure is taken', () => {
    expect(read('s', scraperCheck)).toMatchObject({ content: { state: 'sound' } })
    expect(read('Change', scraperCheck)).toMatchObject({ content: { state: 'change' } })
    expect(read('light touch', touchCheck)).toMatchObject({ content: { state: 'light' } })
    expect(read('l', scraperCheck)).toEqual({ fault: '"l" is not one of sound, watch, change, failed.' })
    const yesNo = { ...touchCheck, states: touchCheck.states.map((one) => ({ ...one, state: 'no' as const })) }
    expect(read('n', yesNo)).toMatchObject({ content: { state: 'no' } })
  })

  it('comes from a block of a spreadsheet, empty cells kept, either way round', () => {
    expect(splitPaste('14 3/4\r\n\r\n14 1/2\r\n')).toEqual([['14 3/4'], [''], ['14 1/2']])
    expect(splitPaste('14\t15\t16')).toEqual([['14', '15', '16']])
    expect(splitPaste('14\t15\n2\t')).toEqual([
      ['14', '15'],
      ['2', ''],
    ])
    expect(turned([['14', '15', '16'], ['2']])).toEqual([
      ['14', '2'],
      ['15', ''],
      ['16', ''],
    ])
  })
})
