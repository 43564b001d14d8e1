import { beforeEach, describe, expect, it } from 'vitest'
import { ref } from 'vue'
import type { WalkGuide } from '@/api/types'
import { useOutbox } from '@/offline/outbox'
import { guideOf, signInForTest } from '@/testing'
import { useSheet } from './useSheet'

describe('a paper sheet that is typed in', () => {
  const stored = () => useOutbox().waiting.flatMap((item) => (item.what === 'reading' ? [item.body] : []))

  function sheetOf(rows: number) {
    const guide = guideOf(rows)
    guide.ribbon = Array.from({ length: rows }, (_, row) => ({
      row: row + 1,
      verdict: 'unchecked',
      life_left: null,
      checked: 0,
    }))
    return useSheet(1, ref<WalkGuide>(guide))
  }

  beforeEach(() => {
    sessionStorage.clear()
    signInForTest()
    const outbox = useOutbox()
    outbox.add = async (...items) => {
      outbox.waiting = [...outbox.waiting, ...items.map((item) => ({ ...item, user: 1 }))]
    }
  })

  it('offers the good cells of a paste, marks the bad, and stores nothing before it is told', () => {
    const sheet = sheetOf(3)
    sheet.paste([['14 3/4'], ['14 3/'], ['41'], ['14']], 0, 1)
    expect(sheet.notice.value).toContain('only 3 rows from row 1 on: 1 left out')
    expect(sheet.ready.value.map(({ key }) => key)).toEqual(['1:opener_blade_diameter:left'])
    expect(sheet.bad.value.map(({ key }) => sheet.placeOf(key))).toEqual(['Row 2, Opener blade diameter left'])
    expect(sheet.doubtful.value.map((cell) => sheet.doubtsOf(cell))).toEqual(['That is 26 in larger than new (15 in).'])
    expect(stored()).toEqual([])

    sheet.store()
    expect(stored()).toMatchObject([{ row: 1, side: 'left', typed: '14 3/4', entry: 'from_sheet', confirmed: false }])
    // What could not be stored stays to be put right.
    expect(sheet.typed.value).toEqual({ '2:opener_blade_diameter:left': '14 3/', '3:opener_blade_diameter:left': '41' })
    sheet.keepDoubtful.value = true
    sheet.store()
    expect(stored()[1]).toMatchObject({ row: 3, typed: '41', confirmed: true })
  })

  it('takes a block of cells, says what has no place, and turns it round', () => {
    const sheet = sheetOf(3)
    const block = [
      ['14', '14 1/8', '14 1/4', '9'],
      ['14 1/2', '14 5/8'],
      ['2', '1 3/4'],
      ['7', '7'],
    ]
    sheet.paste(block, 0, 1)
    expect(sheet.notice.value).toBe(
      '10 cells pasted, but only 3 rows from row 1 on: 1 left out; only 3 lines from here on: 1 left out. Nothing is saved yet.',
    )
    expect(sheet.typed.value).toEqual({
      '1:opener_blade_diameter:left': '14',
      '2:opener_blade_diameter:left': '14 1/8',
      '3:opener_blade_diameter:left': '14 1/4',
      '1:opener_blade_diameter:right': '14 1/2',
      '2:opener_blade_diameter:right': '14 5/8',
      '1:blade_contact_length:centre': '2',
      '2:blade_contact_length:centre': '1 3/4',
    })
    sheet.turnPaste()
    expect(sheet.typed.value['2:opener_blade_diameter:left']).toBe('14 1/2')
    expect(sheet.typed.value['3:opener_blade_diameter:left']).toBe('2')
    expect(sheet.typed.value['1:opener_blade_diameter:right']).toBe('14 1/8')
  })

  it('judges what is typed as it is typed, and keeps it through a reload', () => {
    const sheet = sheetOf(2)
    sheet.paste([['14 3/8', '14 3/4']], 1, 1)
    expect(sheet.verdictOf('1:opener_blade_diameter:right')).toBe('change')
    expect(sheet.verdictOf('2:opener_blade_diameter:right')).toBe('sound')
    expect(sheet.verdictOf('2:opener_blade_diameter:left')).toBeUndefined()
    return new Promise((resolve) => setTimeout(resolve)).then(() => {
      expect(sheetOf(2).ready.value).toHaveLength(2)
    })
  })
})
