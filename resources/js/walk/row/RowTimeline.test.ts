import { mount } from '@vue/test-utils'
import { beforeEach, describe, expect, it } from 'vitest'
import type { RowRecord, TimelineReading } from '@/api/types'
import { bladeCheck, signInForTest } from '@/testing'
import RowTimeline from './RowTimeline.vue'

const reading = (fields: Partial<TimelineReading>) =>
  ({
    check: 'opener_blade_diameter',
    side: 'left',
    season: 2026,
    value: 365.125,
    state: null,
    chips: [],
    verdict: 'change',
    taken_at: '2026-03-01T09:00:00.000Z',
    ...fields,
  }) as TimelineReading

const fitting = (fields: Partial<RowRecord['fittings'][number]>) =>
  ({
    id: 'f',
    slot: 'opener_blade',
    side: 'left',
    part: 'Blade, plain',
    used: false,
    cost: 38.5,
    note: '',
    season: 2026,
    removed_season: null,
    fitted_at: '2026-03-01T11:00:00.000Z',
    removed_at: null,
    removal_reason: null,
    part_ran_m: 160_934.4,
    ...fields,
  }) as RowRecord['fittings'][number]

function timeline(record: Partial<RowRecord>) {
  const empty = { row: 3, readings: [], notes: [], photos: [], fittings: [], shim_moves: [], carried: [], run_m: 0 }
  const wrapper = mount(RowTimeline, {
    props: {
      record: { ...empty, forecast: { places: [] }, ...record } as unknown as RowRecord,
      checkOf: () => bladeCheck,
    },
  })
  const said = () => wrapper.findAll('li').map((entry) => entry.text().replace(/\s+/g, ' '))
  return { wrapper, said }
}

describe('what is on record of a row', () => {
  beforeEach(() => signInForTest())

  it('goes from the newest back, season by season, the old blade with its readings', () => {
    const { wrapper, said } = timeline({
      readings: [
        reading({}),
        reading({ season: 2025, taken_at: '2025-03-01T09:00:00.000Z', value: 374.65, verdict: 'sound' }),
      ],
      fittings: [
        fitting({}),
        fitting({
          // In the autumn before the season that it was fitted for.
          season: 2024,
          removed_season: 2026,
          fitted_at: '2023-11-01T11:00:00.000Z',
          removed_at: '2026-03-01T11:00:00.000Z',
          removal_reason: 'worn',
          used: true,
          cost: null,
          note: 'from the pile',
        }),
      ],
      shim_moves: [
        {
          id: 's',
          row: 3,
          side: 'centre',
          pairs: -2,
          season: 2026,
          contact_before_mm: null,
          note: '',
          happened_at: '2026-03-01T12:00:00.000Z',
          by: 'Wren',
        },
      ],
    })
    expect(wrapper.findAll('summary').map((one) => one.text())).toEqual([
      '2026 4 entries',
      '2025 1 entry',
      '1 figure sound',
      '2024 1 entry',
    ])
    const lines = said()
    expect(lines[0]).toContain('Inner shims: 2 taken out on each side.')
    expect(lines.slice(1, 3).join(' | ')).toContain('Fitted: opener blade left, Blade, plain. Cost 38.50.')
    expect(lines.slice(1, 3).join(' | ')).toContain('Out: opener blade left, worn out, after 100 mi.')
    expect(lines[3]).toContain('14 and 3 eighths')
    // What was sound is folded away.
    expect(wrapper.get('.sound-ones summary').text()).toBe('1 figure sound')
    expect(wrapper.get('.sound-ones li').text()).toContain('14 and 3 quarters')
    expect(lines[5]).toContain('(used). from the pile')
    expect(wrapper.findAll('details').map((one) => one.attributes('open'))).toEqual([
      '',
      undefined,
      undefined,
      undefined,
    ])
  })

  it('says what will stand there while nothing does', () => {
    expect(timeline({}).wrapper.text()).toContain('Nothing yet.')
  })
})
