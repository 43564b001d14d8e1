import { describe, expect, it } from 'vitest'
import type { Findable, YardPlanter } from '@/api/types'
import { everything, find } from './find'

const planter = (id: number, name: string, row_count = 4) => ({ id, name, row_count }) as YardPlanter
const yard = [planter(1, 'Quill Bottom', 16), planter(2, 'Hask Hill', 8)]
const may = (...abilities: string[]) => ({ may: (ability: string) => abilities.includes(ability) })
const owner = may('see', 'record', 'set', 'run')
const listed: Findable[] = [
  { kind: 'planter', title: 'Quill Bottom', detail: 'Ardle Bank Farm, 16 rows', planter_id: 1, key: '' },
  { kind: 'seed_lot', title: 'Popcorn 7', detail: 'Popcorn, flat', key: '9' },
  { kind: 'meter', title: 'Meter M-07', detail: '', key: '31' },
  { kind: 'part_type', title: 'Opener blade 15 in T-101', detail: 'opener blade', key: '4' },
  { kind: 'field', title: 'Kiln Piece', detail: 'popcorn, Quill Bottom', planter_id: 1, key: '' },
  { kind: 'card', title: 'Row 12: seed tube', detail: 'Hask Hill, Idris Vale', planter_id: 2, key: '2 12:tube' },
  { kind: 'note', title: 'Gauge wheel bolt seized', detail: 'Quill Bottom, Row 10', planter_id: 1, key: '10' },
  { kind: 'note', title: 'Hitch pin bent', detail: 'Hask Hill, Whole planter', planter_id: 2, key: '0' },
  { kind: 'calculator', title: 'Wing ballast', detail: '', key: 'ballast' },
]
const all = (here?: number) => everything(listed, yard, owner, here)
const titles = (typed: string, here?: number) => find(all(here), typed, here).map(({ title }) => title)
const first = (typed: string, here?: number) => find(all(here), typed, here)[0]

describe('what is found', () => {
  it('needs every typed word, as the start of one in the title, the detail or the kind', () => {
    expect(titles('pop')).toEqual(['Popcorn 7', 'Kiln Piece'])
    expect(titles('pop flat')).toEqual(['Popcorn 7'])
    expect(titles('popcorn lot')).toEqual(['Popcorn 7'])
    expect(titles('pop blade')).toEqual([])
    expect(titles('')).toEqual([])
    expect(titles('  ')).toEqual([])
  })

  it('cares for neither case, accents nor marks', () => {
    expect(titles('QUILL')[0]).toBe('Quill Bottom')
    expect(titles('m 07')[0]).toBe('Meter M-07')
    expect(titles('pôpcorn')[0]).toBe('Popcorn 7')
  })

  it('goes by the whole word before the start of one, and the title before the rest', () => {
    expect(titles('blade')[0]).toBe('Opener blade 15 in T-101')
    expect(titles('kiln')[0]).toBe('Kiln Piece')
    expect(find(all(), 'row 1').map(({ title }) => title)[0]).toBe('Row 1')
  })

  it('puts the planter that is open first', () => {
    expect(first('row 3', 2)?.to).toEqual({ name: 'row', params: { planter: 2, row: 3 } })
    expect(first('row 3', 1)?.to).toEqual({ name: 'row', params: { planter: 1, row: 3 } })
    // Row 12 is on the one alone.
    expect(find(all(2), 'row 12', 2).filter(({ kind }) => kind === 'Row')).toHaveLength(1)
  })

  it('is no endless list', () => expect(titles('row').length).toBeLessThanOrEqual(30))
})

describe('where it leads', () => {
  it.each([
    ['quill', { name: 'board', params: { planter: 1 } }],
    ['popcorn 7', { name: 'seed', query: { lot: '9' } }],
    ['meter m', { name: 'meters', query: { meter: '31' } }],
    ['t-101', { name: 'part-type', params: { type: '4' } }],
    ['kiln', { name: 'season', params: { planter: 1 } }],
    ['idris', { name: 'work', params: { planter: 2 }, query: { card: '2 12:tube' } }],
    ['bolt seized', { name: 'row', params: { planter: 1, row: '10' } }],
    ['hitch', { name: 'board', params: { planter: 2 }, query: { open: 'whole-planter' } }],
    ['ballast', { name: 'calculators', params: { planter: 1 }, query: { calculator: 'ballast' } }],
  ])('%s', (typed, to) => expect(first(typed)?.to).toEqual(to))

  it('is the screen of the planter that is open', () => {
    expect(first('season screen', 2)?.to).toEqual({ name: 'season', params: { planter: 2 } })
    expect(first('row watch', 2)?.to).toEqual({ name: 'row-watch', params: { planter: 2 } })
    expect(first('spec sheets', 2)?.to).toEqual({ name: 'spec-sheets' })
  })

  it('is a page of the guide, and a section of it', () => {
    expect(find(all(), 'help odds')[0]?.to).toEqual({ name: 'help', params: { chapter: 'odds' } })
    expect(find(all(), 'measuring error')[0]?.to).toEqual({
      name: 'help',
      params: { chapter: 'odds' },
      hash: '#measuring-error',
    })
  })
})

it('offers nobody a screen that they may not enter', () => {
  const ofGuest = everything([listed[0] as Findable], [yard[0] as YardPlanter], may('see'), 1)
  const screens = ofGuest.filter(({ kind }) => kind === 'Screen').map(({ title }) => title)
  expect(screens).toEqual(['Board', 'Decide', 'Field'])
  const ofHelper = everything(listed, yard, may('see', 'record'), 1)
  expect(find(ofHelper, 'edit planter').map(({ kind }) => kind)).not.toContain('Screen')
  expect(find(ofHelper, 'people screen')).toEqual([])
})

it('says nothing of calculators where there is no planter', () => {
  expect(find(everything(listed, [], owner), 'ballast')).toEqual([])
})
