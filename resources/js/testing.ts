import { createPinia, setActivePinia } from 'pinia'
import type { Band, Check, WalkGuide, WalkStep } from './api/types'
import { useSession } from './session'

/* What component tests share: a signed-in technician and a small walk. Not part of the client. */

const IN = 25.4

export function signInForTest(units: 'in' | 'mm' = 'in'): void {
  setActivePinia(createPinia())
  useSession().me = { id: 1, name: 'Wren', workshop: 'Tollgate', units, theme: 'light' }
}

export const bladeBands: Band[] = [
  { from_mm: 0, verdict: 'change', reasons: [{ code: 'under_limit', ref_mm: 14.5 * IN }] },
  { from_mm: 14.5 * IN, verdict: 'watch', reasons: [{ code: 'near_limit', ref_mm: 14.5 * IN }] },
  { from_mm: 14.625 * IN + 0.000001, verdict: 'sound', reasons: [{ code: 'above_limit', ref_mm: 14.5 * IN }] },
]

const figure = (inches: number) => ({ mm: inches * IN, typed: `${inches} in`, source: 'manual' })

export const bladeCheck: Check = {
  key: 'opener_blade_diameter',
  station: 'opener_blades',
  sides: ['left', 'right'],
  figures: { new: figure(15), limit: figure(14.5), margin: figure(0.125) },
}

const contactCheck: Check = {
  key: 'blade_contact_length',
  station: 'blade_contact',
  sides: ['centre'],
  figures: { low: figure(1.5), high: figure(2.5), aim: figure(2), margin: figure(0.125) },
}

/** The steps of a planter, row by row: left, right, contact. */
export function stepsOf(rows: number): WalkStep[] {
  const places = [
    { check: 'opener_blade_diameter', side: 'left' },
    { check: 'opener_blade_diameter', side: 'right' },
    { check: 'blade_contact_length', side: 'centre' },
  ] as const
  return Array.from({ length: rows }, (_, row) =>
    places.map((place, index): WalkStep => ({
      ...place,
      row: row + 1,
      now: null,
      last: row === 0 ? { mm: 14.8125 * IN, season: 2025 } : null,
      turn: { row_by_row: row * 3 + index, station_by_station: index < 2 ? row * 2 + index : rows * 2 + row },
      bands: bladeBands,
      doubts: [{ code: 'larger_than_new', ref_mm: 15 * IN, below_mm: null, above_mm: 15 * IN }],
    })),
  ).flat()
}

export function guideOf(rows: number): WalkGuide {
  return {
    planter: {
      id: 1,
      farm: 'Ardle Bank Farm',
      name: 'Quill Bottom',
      row_count: rows,
      spacing_mm: 762,
      spacing_typed: '30 in',
      sections: [rows],
      season: 2026,
      planting_start: null,
      days_to_planting: null,
      spec_sheet: { id: 1, name: 'Vacuum', type: 'vacuum' },
    },
    walk: {
      id: 'w1',
      season: 2026,
      kind: 'pre_season',
      order: 'row_by_row',
      row_count: rows,
      places: rows * 3,
      started_at: '2026-03-01T08:00:00Z',
      finished_at: null,
    },
    checks: [bladeCheck, contactCheck],
    ribbon: [],
    steps: stepsOf(rows),
    row_doubts: {},
  }
}
