import { createPinia, setActivePinia } from 'pinia'
import type { Band, Check, Fitting, Me, PlaceForecast, State, Verdict, Walk, WalkGuide, WalkStep } from './api/types'
import { useSession } from './session'

/* What component tests share: a signed-in technician and a small walk. Not part of the client. */

const IN = 25.4

export const meForTest: Me = {
  id: 1,
  name: 'Wren',
  email: 'wren@tollgate.example',
  role: 'owner',
  may: ['see', 'record', 'set', 'run'],
  planter: null,
  workshop: 'Tollgate',
  is_demo: false,
  currency: 'USD',
  number_style: 'point',
  units: 'in',
  theme: 'light',
  time_zone: 'America/Chicago',
  seal: 'c2VhbA==',
}

export function signInForTest(units: 'in' | 'mm' = 'in'): void {
  setActivePinia(createPinia())
  useSession().me = { ...meForTest, workshop: 'Tollgate Row Works', units }
}

const reason = (code: string) => ({ code, ref: 14.5 * IN, unit: 'mm' as const })

const bladeBands: Band[] = [
  { from: 0, verdict: 'change', reasons: [reason('under_limit')] },
  { from: 14.5 * IN, verdict: 'watch', reasons: [reason('near_limit')] },
  { from: 14.625 * IN + 0.000001, verdict: 'sound', reasons: [reason('above_limit')] },
]

const figure = (inches: number) => ({
  value: inches * IN,
  unit: 'mm' as const,
  typed: `${inches} in`,
  source: 'manual',
})

/** What a check has in common with the others; the rest stands beside it. */
const plain = {
  whole_planter: false,
  figures: {},
  marks: {},
  bands: [],
  doubts: [],
  states: [],
  chips: [],
  compares_rows: false,
  sides_within: null,
  own: null,
  running: false,
}

export const bladeCheck: Check = {
  ...plain,
  key: 'opener_blade_diameter',
  station: 'opener_blades',
  kind: 'measure',
  unit: 'mm',
  rule: 'wear_limit',
  sides: ['left', 'right'],
  rows: null,
  figures: { new: figure(15), limit: figure(14.5), margin: figure(0.125) },
  marks: { limit: 14.5 * IN, new: 15 * IN },
  bands: bladeBands,
  doubts: [{ code: 'larger_than_new', ref: 15 * IN, unit: 'mm', below: null, above: 15 * IN }],
}

export const contactCheck: Check = {
  ...plain,
  key: 'blade_contact_length',
  station: 'blade_contact',
  kind: 'measure',
  unit: 'mm',
  rule: 'window',
  sides: ['centre'],
  rows: null,
  figures: { low: figure(1.5), high: figure(2.5), aim: figure(2), margin: figure(0.125) },
  marks: { low: 1.5 * IN, aim: 2 * IN, high: 2.5 * IN },
  bands: bladeBands,
}

const meaning = (state: State, verdict: Verdict, code = 'looked_at') => ({
  state,
  verdict,
  reasons: [{ code, ref: null, unit: null }],
})

export const scraperCheck: Check = {
  ...plain,
  key: 'scraper',
  station: 'scrapers',
  kind: 'condition',
  unit: null,
  rule: 'recorded',
  sides: ['left'],
  rows: null,
  states: [
    meaning('sound', 'sound'),
    meaning('watch', 'watch'),
    meaning('change', 'change'),
    meaning('failed', 'failed'),
  ],
  chips: [
    { chip: 'worn', verdict: 'change' },
    { chip: 'bent', verdict: 'watch' },
    { chip: 'broken', verdict: 'failed' },
  ],
}

export const touchCheck: Check = {
  ...plain,
  key: 'gauge_touch',
  station: 'gauge_wheels',
  kind: 'touch',
  unit: null,
  rule: 'recorded',
  sides: ['left'],
  rows: null,
  states: [
    meaning('gap', 'change', 'touch_gap'),
    meaning('light', 'sound', 'touch_light'),
    meaning('tight', 'watch', 'touch_tight'),
  ],
}

/** The steps of a planter, row by row: left, right, contact. */
export function stepsOf(rows: number): WalkStep[] {
  const places = [
    { check: 'opener_blade_diameter', side: 'left' },
    { check: 'opener_blade_diameter', side: 'right' },
    { check: 'blade_contact_length', side: 'centre' },
  ] as const
  return Array.from({ length: rows }, (_, row) =>
    places.map((place): WalkStep => ({
      ...place,
      row: row + 1,
      now: null,
      last: row === 0 ? { value: 376.2375, state: null, chips: [], season: 2025 } : null,
    })),
  ).flat()
}

export function guideOf(rows: number): WalkGuide & { walk: Walk } {
  const all = Array.from({ length: rows * 3 }, (_, at) => at)
  return {
    planter: {
      id: 1,
      version: 'a1',
      farm: 'Ardle Bank Farm',
      name: 'Quill Bottom',
      row_count: rows,
      spacing_mm: 762,
      spacing_typed: '30 in',
      sections: [rows],
      season: 2026,
      planting_start: null,
      planned_acres: null,
      planting_days: null,
      days_to_planting: null,
      equipment: {
        meter: 'vacuum',
        drive: 'electric',
        downforce: 'spring',
        closing_wheels: 'rubber',
        row_cleaner: true,
        coulter: false,
        fertilizer: false,
        firmer: true,
        central_fill: false,
        markers: false,
        lift_assist: false,
        heavy_blades: false,
        clearance_guard: false,
        fertilizer_both_sides: false,
        liquid: false,
        electronics: true,
        depth_scale: 'notches',
        tyre_pairs: null,
      },
      stations: ['opener_blades', 'blade_contact'],
      other_rows: [],
      parked_rows: [],
      wanted: {},
      spec_sheet: { id: 1, name: 'Vacuum', type: 'vacuum', left_hand_thread: 'left', torque: '' },
    },
    walk: {
      id: 'w1',
      season: 2026,
      kind: 'pre_season',
      order: 'row_by_row',
      row_count: rows,
      checks: ['opener_blade_diameter', 'blade_contact_length'],
      pack: null,
      places: rows * 3,
      started_at: '2026-03-01T08:00:00Z',
      finished_at: null,
    },
    season: 2026,
    checks: [bladeCheck, contactCheck],
    row_checks: [],
    steps: stepsOf(rows),
    orders: {
      row_by_row: all,
      station_by_station: [...all.filter((at) => at % 3 < 2), ...all.filter((at) => at % 3 === 2)],
      snake: [
        ...all.filter((at) => at % 3 === 0),
        ...all.filter((at) => at % 3 === 1).reverse(),
        ...all.filter((at) => at % 3 === 2),
      ],
    },
    last_pack: null,
    pace: null,
    version: 'v1',
    revision: 1,
    as_of: '2026-03-01T08:00:00.000Z',
    ribbon: [],
    whole_planter: { row: 0, verdict: 'unchecked', life_left: null, checked: 0 },
    row_doubts: {},
    row_bands: {},
    seconds_a_reading: null,
    notes: [],
    photos: [],
  }
}

/** What is forecast of a place: a left opener blade by default. */
export function forecastOf(fields: Partial<PlaceForecast> = {}): PlaceForecast {
  return {
    row: 1,
    check: 'opener_blade_diameter',
    side: 'left',
    slot: 'opener_blade',
    fitting_id: null,
    size_mm: 374,
    use_m: 1000,
    left_m: { p10: 100, p50: 200, p90: 300 },
    left_acres: { p10: 10.4, p50: 20, p90: 1200 },
    chance: 0.1,
    due_on: null,
    thin: false,
    readings: 2,
    outliers: [],
    standing: 'lasts',
    short: false,
    grown: false,
    ...fields,
  }
}

/** What is fitted in a slot: a plain blade on the left of row 1 by default, 50 miles old. */
export function fittingOf(fields: Partial<Fitting>): Fitting {
  return {
    id: 'f',
    row: 1,
    slot: 'opener_blade',
    side: 'left',
    part_id: 'piece',
    part_type_id: 2,
    part: 'Blade, plain',
    used: false,
    size_mm: 381,
    ran_before_m: 0,
    shims: null,
    cost: 38.5,
    note: '',
    fitted_at: '2025-03-01T10:00:00.000Z',
    fitted_by: 'Wren',
    removed_at: null,
    removal_reason: null,
    run_m: 80_467.2,
    part_ran_m: 80_467.2,
    ...fields,
  }
}
