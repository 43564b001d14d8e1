import { describe, expect, it } from 'vitest'
import { bladeCheck, contactCheck, guideOf } from '@/testing'
import { slotAt } from '@/parts/slotAt'
import { unitAt } from '@/unit/unitAt'
import { checksAt, ofRow, sidesOf } from './checks'

const one = { ...bladeCheck, sides: ['centre' as const], rows: [3, 4] }
const of = { checks: [{ ...bladeCheck, rows: [1, 2] }, contactCheck], row_checks: [one] }

describe('checks as rows have them', () => {
  it('finds the one of the row, and else what most rows have', () => {
    const at = checksAt(of)
    expect(at({ check: bladeCheck.key, row: 3 })).toBe(one)
    expect(at({ check: bladeCheck.key, row: 1 })).toBe(of.checks[0])
    expect(at({ check: contactCheck.key, row: 3 })).toBe(contactCheck)
    expect(sidesOf(bladeCheck.key, of)).toEqual(['left', 'right', 'centre'])
  })

  it('says of a row only what is said of rows like it', () => {
    const said = { [bladeCheck.key]: 'most', [`${bladeCheck.key} 3`]: 'third' }
    expect(ofRow(said, of.checks[0]!, of, 1)).toBe('most')
    expect(ofRow(said, one, of, 3)).toBe('third')
    expect(ofRow(said, one, of, 4)).toBeUndefined()
  })

  it('knows the unit and the slots of a row', () => {
    const planter = {
      ...guideOf(4).planter,
      other_rows: [
        {
          rows: [4],
          spec_sheet_id: null,
          equipment: { closing_wheels: 'chain' },
          stations: ['closing_chain' as const],
        },
      ],
    }
    expect(unitAt(planter, 4)).toMatchObject({
      equipment: { closing_wheels: 'chain', meter: 'vacuum' },
      stations: ['closing_chain'],
    })
    expect(unitAt(planter, 3).equipment.closing_wheels).toBe('rubber')
    const slot = {
      slot: 'closing_chain' as const,
      station: 'closing_chain' as const,
      sides: ['centre' as const],
      rows: [4],
      check: 'closing_chain' as const,
      measured: false,
    }
    expect(slotAt({ slots: [slot] }, 'closing_chain', 4)).toBe(slot)
    expect(slotAt({ slots: [slot] }, 'closing_chain', 3)).toBeUndefined()
  })
})
