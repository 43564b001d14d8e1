import { mount } from '@vue/test-utils'
import { beforeEach, describe, expect, it } from 'vitest'
import { nextTick } from 'vue'
import type { Board, Check, CurrentReading } from '@/api/types'
import { groupFindings } from './findings'
import { guideOf, signInForTest } from '@/testing'
import BoardMatrix from './BoardMatrix.vue'
import StripPlot from './StripPlot.vue'
import { countBoard, passes } from './filter'

const read = (verdict: CurrentReading['verdict'], value: number | null): CurrentReading => ({
  id: 'x',
  result: value === null ? 'not_fitted' : 'recorded',
  value,
  state: null,
  chips: [],
  verdict,
  reasons: [],
  taken_at: '',
})

/** Two rows: row 1 read (change, sound, not fitted), row 2 not. */
function board(): Board {
  const { planter, walk, checks, steps } = guideOf(2)
  const nows = [read('change', 365.125), read('sound', 374.65), read('sound', null)]
  return {
    planter: { ...planter, sections: [1, 1] },
    walk,
    season: 2026,
    checks,
    row_checks: [],
    ribbon: [
      { row: 1, verdict: 'change', life_left: 0, checked: 3 },
      { row: 2, verdict: 'unchecked', life_left: null, checked: 0 },
    ],
    whole_planter: { row: 0, verdict: 'unchecked', life_left: null, checked: 0 },
    row_doubts: {},
    findings: [0],
    glance: [
      { station: 'opener_blades', places: [0, 3] },
      { station: 'blade_contact', places: [2, 5] },
    ],
    cells: steps.map((step, index) => ({ ...step, now: nows[index] ?? null })),
  }
}

function matrix(filter: 'all' | 'trouble' | 'unchecked' = 'all') {
  const wrapper = mount(BoardMatrix, {
    props: { board: board(), filter },
    global: { stubs: { RouterLink: { template: '<a><slot /></a>' }, VIcon: true } },
    attachTo: document.body,
  })
  const labels = () => wrapper.findAll('tbody td button').map((cell) => cell.attributes('aria-label'))
  const unfold = (name: string) =>
    wrapper
      .findAll('th button[aria-expanded]')
      .find((head) => head.text() === name)
      ?.trigger('click')
  const press = async (key: string) => {
    document.activeElement?.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true, cancelable: true }))
    await nextTick()
    await nextTick()
  }
  return { wrapper, labels, unfold, press }
}

describe('the board', () => {
  beforeEach(() => {
    document.body.innerHTML = ''
    signInForTest()
  })

  it('shows of each station the place that matters, and what is sound without its figure', () => {
    const { wrapper, labels } = matrix()
    expect(labels()).toEqual([
      'Row 1, Opener blade diameter left: Change, 14 3/8 in, last time 14 13/16 in',
      'Row 2, Opener blade diameter left: Unchecked',
      'Row 1, Blade contact length: Sound, Not fitted, last time 14 13/16 in',
      'Row 2, Blade contact length: Unchecked',
    ])
    expect(wrapper.findAll('tbody td button').map((cell) => cell.find('.text').exists())).toEqual([
      true,
      false,
      false,
      false,
    ])
  })

  it('unfolds a station into its checks, each with what it reads now and read last time', async () => {
    const { wrapper, labels, unfold } = matrix()
    await unfold('Opener blades')
    expect(labels().slice(2, 6)).toEqual([
      'Row 1, Opener blade diameter left: Change, 14 3/8 in, last time 14 13/16 in',
      'Row 2, Opener blade diameter left: Unchecked',
      'Row 1, Opener blade diameter right: Sound, 14 3/4 in, last time 14 13/16 in',
      'Row 2, Opener blade diameter right: Unchecked',
    ])
    await wrapper.get('.strip').trigger('click')
    expect(wrapper.emitted('strip')?.[0]).toMatchObject([{ key: 'opener_blade_diameter' }])
    await unfold('Opener blades')
    expect(labels()).toHaveLength(4)
  })

  it('is gone through by arrow keys, with one place in the tab order', async () => {
    const { wrapper, unfold, press } = matrix()
    await unfold('Blade contact')
    const stops = () =>
      wrapper.findAll('td button[tabindex="0"]').map((cell) => cell.attributes('aria-label')?.split(':')[0])
    wrapper.get<HTMLElement>('td button[tabindex="0"]').element.focus()
    for (const key of ['ArrowDown', 'ArrowRight', 'ArrowDown', 'ArrowDown', 'ArrowRight']) await press(key)
    expect(stops()).toEqual(['Row 2, Blade contact length'])
    expect(document.activeElement?.getAttribute('aria-label')).toContain('Row 2, Blade contact length')
    await press('[')
    expect(stops()).toEqual(['Row 1, Blade contact length'])
    await wrapper.get('td button[tabindex="0"]').trigger('click')
    expect(wrapper.emitted('open')?.[0]).toMatchObject([{ row: 1, check: 'blade_contact_length' }])
  })

  it('keeps only the lines that a filter is about, and lets the rest of them fade', () => {
    const shown = (filter: 'all' | 'trouble' | 'unchecked') => {
      const { wrapper } = matrix(filter)
      return [wrapper.findAll('tbody tr').length, wrapper.findAll('.faded').length]
    }
    expect([shown('all'), shown('trouble'), shown('unchecked')]).toEqual([
      [2, 0],
      [1, 1],
      [2, 2],
    ])
    expect(passes(board().cells[0]!, 'trouble')).toBe(true)
  })

  it('counts rows that are through and readings in trouble', () => {
    expect(countBoard(board())).toEqual({ rows: 2, rowsDone: 1, watch: 0, change: 1, failed: 0 })
  })

  it('names the rows that read alike together, and those far from the rest', () => {
    const whole = board()
    const [blade] = whole.checks as [Check]
    const at = (row: number, side: 'left' | 'right', inches: number, verdict: CurrentReading['verdict'] = 'sound') => ({
      ...(whole.cells[0] as Board['cells'][number]),
      row,
      side,
      now: read(verdict, inches * 25.4),
    })
    whole.cells = [at(1, 'left', 14.75), at(1, 'right', 14.625), at(2, 'left', 14.75), at(2, 'right', 14.25, 'change')]
    whole.row_doubts[blade.key] = { code: 'far_from_rows', ref: 374.65, unit: 'mm', below: 368, above: 381 }
    const strip = mount(StripPlot, {
      props: { board: whole, check: blade },
      global: {
        stubs: {
          VDialog: { template: '<div><slot /></div>' },
          VBtn: true,
          FractionText: { props: ['text'], template: '<b>{{ text }},</b>' },
        },
      },
    })
    const told = (selector: string) => strip.findAll(selector).map((line) => line.text().replace(/\s+/g, ' '))
    expect(told('.rows li')).toEqual([
      '14 1/4 in,row 2 right',
      '14 5/8 in,row 1 right',
      '14 3/4 in,rows 1 left, 2 left',
    ])
    expect(told('.outliers')).toEqual(['Far from the others, which read about 14 3/4 in,: row 2 right at 14 1/4 in,.'])
  })
})

describe('findings', () => {
  it('stand in groups in the order of their worst', () => {
    const { cells } = board()
    const found = [3, 1, 4, 1].map((row) => ({ ...cells[0]!, row }))
    expect(groupFindings(found, (cell) => `Row ${cell.row}`).map(({ name, cells }) => [name, cells.length])).toEqual([
      ['Row 3', 1],
      ['Row 1', 2],
      ['Row 4', 1],
    ])
  })
})
