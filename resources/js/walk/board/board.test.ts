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
    ribbon: [
      { row: 1, verdict: 'change', life_left: 0, checked: 3 },
      { row: 2, verdict: 'unchecked', life_left: null, checked: 0 },
    ],
    whole_planter: { row: 0, verdict: 'unchecked', life_left: null, checked: 0 },
    row_doubts: {},
    findings: [0],
    cells: steps.map((step, index) => ({ ...step, now: nows[index] ?? null })),
  }
}

function matrix(filter: 'all' | 'trouble' | 'unchecked' = 'all') {
  const wrapper = mount(BoardMatrix, {
    props: { board: board(), filter },
    global: { stubs: { RouterLink: { template: '<a><slot /></a>' } } },
    attachTo: document.body,
  })
  const labels = () => wrapper.findAll('td button').map((cell) => cell.attributes('aria-label'))
  const press = async (key: string) => {
    document.activeElement?.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true, cancelable: true }))
    await nextTick()
    await nextTick()
  }
  return { wrapper, labels, press }
}

describe('the board', () => {
  beforeEach(() => {
    document.body.innerHTML = ''
    signInForTest()
  })

  it('says at each place what it reads now and read last time', () => {
    expect(matrix().labels()).toEqual([
      'Row 1, Opener blade diameter left: Change, 14 3/8 in, last time 14 13/16 in',
      'Row 2, Opener blade diameter left: Unchecked',
      'Row 1, Opener blade diameter right: Sound, 14 3/4 in, last time 14 13/16 in',
      'Row 2, Opener blade diameter right: Unchecked',
      'Row 1, Blade contact length: Sound, Not fitted, last time 14 13/16 in',
      'Row 2, Blade contact length: Unchecked',
    ])
  })

  it('is gone through by arrow keys, with one place in the tab order', async () => {
    const { wrapper, press } = matrix()
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

  it('lets what a filter is not about fade', () => {
    const faded = (filter: 'all' | 'trouble' | 'unchecked') => matrix(filter).wrapper.findAll('.faded').length
    expect([faded('all'), faded('trouble'), faded('unchecked')]).toEqual([0, 5, 3])
    expect(passes(board().cells[0]!, 'trouble')).toBe(true)
  })

  it('counts rows that are through and readings in trouble', () => {
    expect(countBoard(board())).toEqual({ rowsDone: 1, watch: 0, change: 1, failed: 0 })
  })

  it('shows one station alone, and opens the scale of a check that takes figures', async () => {
    const { wrapper } = matrix()
    await wrapper.setProps({ station: 'blade_contact' })
    expect(wrapper.findAll('tbody tr')).toHaveLength(1)
    await wrapper.get('.strip').trigger('click')
    expect(wrapper.emitted('strip')?.[0]).toMatchObject([{ key: 'blade_contact_length' }])
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
    expect(told('.outliers')).toEqual(['Far from the rest, which read about 14 3/4 in,: row 2 right at 14 1/4 in,.'])
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
