import { describe, expect, it } from 'vitest'
import type { Proposal, ToDecide } from '@/api/types'
import { decidedOn, grouped, isOpen, sayParts, sayRisk, sayRows, sayWhy, withWaiting } from './findings'

const proposal: Proposal = {
  action: 'change',
  why: 'past_limit',
  to: null,
  by: null,
  parts: [],
  cost: 77,
  unpriced: 0,
  minutes: 34,
  chance: 0.58,
  thin: false,
  doubted: false,
  stops: false,
  left: null,
  look_when: null,
  look_acres: null,
  qualified: false,
}
const found = (row: number, more: Partial<ToDecide> = {}): ToDecide => ({
  row,
  check: 'opener_blade_diameter',
  side: 'left',
  verdict: 'change',
  reasons: [{ code: 'under_limit', ref: null, unit: null }],
  value: 365,
  state: null,
  chips: [],
  proposal,
  decision: null,
  overtaken: false,
  before: null,
  done: null,
  could_not: null,
  ...more,
})
const entry = (row: number, more = {}) => ({
  id: `e${row}`,
  row,
  check: 'opener_blade_diameter' as const,
  side: 'left' as const,
  action: 'carry_over' as const,
  happened_at: '2026-03-01T08:00:00Z',
  ...more,
})

describe('what there is to decide', () => {
  it('puts those alike in one line and keeps apart what was decided', () => {
    const lines = withWaiting(
      [found(3), found(6), found(8, { proposal: { ...proposal, action: 'adjust' } }), found(9)],
      [entry(9)],
    )
    expect(grouped(lines).map(({ lines: of, isOpen: open }) => [of.map(({ row }) => row), open])).toEqual([
      [[3, 6], true],
      [[8], true],
      [[9], false],
    ])
    expect(grouped(lines, true)).toHaveLength(4)
  })

  it('takes what waits on the device for decided, and what is taken back for open', () => {
    const [waits, back] = withWaiting(
      [found(3), found(4, { decision: {} as never })],
      [entry(3), entry(4, { withdrawn: true })],
    )
    expect(waits && isOpen(waits)).toBe(false)
    expect(waits && decidedOn(waits)?.action).toBe('carry_over')
    expect(back && isOpen(back)).toBe(true)
    expect(isOpen(found(5, { decision: {} as never, overtaken: true }))).toBe(true)
  })

  it('says rows, parts, risks and figures as a technician would', () => {
    expect([sayRows([0]), sayRows([3]), sayRows([6, 3]), sayRows([1, 2, 3, 4])]).toEqual([
      'Whole planter',
      'Row 3',
      'Rows 3, 6',
      'Rows 1 to 4',
    ])
    expect(
      sayParts([
        { row: 3, slot: 'opener_blade', side: 'left' },
        { row: 3, slot: 'opener_blade', side: 'right' },
        { row: 3, slot: 'seed_tube_guard', side: 'centre' },
      ]),
    ).toBe('2 × opener blade, seed tube guard')
    expect(sayWhy({ why: 'shims_out', by: { value: 1, unit: 'shim' }, to: { value: 50.8, unit: 'mm' } }, 'in')).toBe(
      'take one shim out on each side; contact then about 2 in',
    )
    expect(sayRisk(proposal)).toBe('risk if left: about 3 in 5 (58%)')
    expect(sayRisk({ ...proposal, chance: 0.999 })).toBe('risk if left: almost certain (over 99%)')
    expect(sayRisk({ ...proposal, stops: true })).toBe('must do: the row cannot run')
    expect(sayRisk({ ...proposal, chance: null })).toBe('')
    expect(sayRisk({ ...proposal, chance: 1, doubted: true })).toContain('measure again')
  })
})
