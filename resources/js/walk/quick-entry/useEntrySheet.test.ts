import { beforeEach, describe, expect, it } from 'vitest'
import { ref } from 'vue'
import type { WalkGuide } from '@/api/types'
import type { Waiting } from '@/offline/device'
import { useOutbox } from '@/offline/outbox'
import { guideOf, signInForTest } from '@/testing'
import { useEntrySheet } from './useEntrySheet'

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
    return useEntrySheet(1, ref<WalkGuide>(guide))
  }

  beforeEach(() => {
    sessionStorage.clear()
    signInForTest()
    const outbox = useOutbox()
    outbox.add = async (...items) => {
      outbox.waiting = [...outbox.waiting, ...items.map((item) => ({ ...item, user: 1 }) as Waiting)]
    }
  })

  it('offers the good cells of a paste, marks the bad, and stores nothing before it is told', () => {
    const sheet = sheetOf(3)
    sheet.fill(['14 3/4', '14 3/', '41', '14'], 'left', 1)
    expect(sheet.notice.value).toContain('the last 1 are left out')
    expect(sheet.ready.value.map(({ key }) => key)).toEqual(['1:opener_blade_diameter:left'])
    expect(sheet.bad.value.map(({ key }) => sheet.placeOf(key))).toEqual(['Row 2 left'])
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

  it('keeps what is typed through a reload and through other checks', () => {
    const sheet = sheetOf(2)
    sheet.fill(['14 3/4', '14 1/2'], 'right', 1)
    sheet.chosen.value = 'blade_contact_length'
    expect(sheet.ready.value).toEqual([])
    return new Promise((resolve) => setTimeout(resolve)).then(() => {
      expect(sheetOf(2).ready.value).toHaveLength(2)
    })
  })
})
