import type { RouteLocationRaw } from 'vue-router'
import type { Findable, YardPlanter } from '@/api/types'
import { chapters } from '@/help/chapters'
import { fileOf } from '@/spec/manuals'
import { faces, type Role, screensFor } from '@/components/tabs'

/** A screen, or a file that opens beside it. */
type Place = RouteLocationRaw | { file: string }

export interface Found {
  /** A kind of thing, in the words of a person. */
  kind: string
  title: string
  detail: string
  to: Place
  /** Whose it is; undefined where it is the shop's. */
  planterId?: number
}

const kinds: Record<Findable['kind'], string> = {
  planter: 'Planter',
  field: 'Field',
  card: 'Card',
  part_type: 'Part',
  seed_lot: 'Seed lot',
  meter: 'Meter',
  manual: 'Manual',
  note: 'Note',
  calculator: 'Calculator',
}

function placeOf({ kind, planter_id, key }: Findable, here: number): Place {
  const params = { planter: planter_id ?? here }
  switch (kind) {
    case 'planter':
      return { name: 'board', params }
    case 'field':
      return { name: 'season', params }
    case 'card':
      return { name: 'work', params, query: { card: key } }
    case 'note':
      return key === '0'
        ? { name: 'board', params, query: { open: 'whole-planter' } }
        : { name: 'row', params: { ...params, row: key } }
    case 'part_type':
      return { name: 'part-type', params: { type: key } }
    case 'seed_lot':
      return { name: 'seed', query: { lot: key } }
    case 'meter':
      return { name: 'meters', query: { meter: key } }
    case 'manual':
      return { file: fileOf(Number(key)) }
    case 'calculator':
      return { name: 'calculators', params, query: { calculator: key } }
  }
}

/** All that can be found: what the server listed, and the rows, screens and help that the device knows itself. */
export function everything(listed: Findable[], yard: YardPlanter[], role: Role, planterId?: number): Found[] {
  const here = planterId ?? yard[0]?.id
  const found: Found[] = []
  const screen = (title: string, detail: string, to: RouteLocationRaw) =>
    found.push({ kind: 'Screen', title, detail, to, planterId })
  if (here !== undefined) {
    const name = yard.find(({ id }) => id === here)?.name ?? ''
    const params = { planter: here }
    for (const tab of screensFor(role, here)) screen(tab.label, name, { name: tab.name, params })
    if (role.may('record')) {
      for (const face of faces.Field) screen(face.title, name, { name: face.name, params })
      screen('Life left', name, { name: 'board', params, query: { face: 'life' } })
      screen('Sheet of figures', name, { name: 'sheet', params })
    }
    if (role.may('set')) {
      screen('Edit planter', name, { name: 'edit-planter', params })
      screen('Import', name, { name: 'import', params })
    }
  }
  for (const room of screensFor(role, undefined)) screen(room.label, '', { name: room.name })
  if (role.may('record')) {
    for (const face of [...faces.Parts, ...faces.Shop]) screen(face.title, '', { name: face.name })
    screen('Password and devices', '', { name: 'account' })
  }
  if (role.may('set')) screen('Add planter', '', { name: 'new-planter' })
  for (const of of listed)
    if (of.kind !== 'calculator' || here !== undefined)
      found.push({
        kind: kinds[of.kind],
        title: of.title,
        detail: of.detail,
        to: placeOf(of, here ?? 0),
        planterId: of.planter_id ?? undefined,
      })
  for (const { id, name, row_count } of yard)
    for (let row = 1; row <= row_count; row++)
      found.push({
        kind: 'Row',
        title: `Row ${row}`,
        detail: name,
        to: { name: 'row', params: { planter: id, row } },
        planterId: id,
      })
  for (const { key, title, sections } of chapters) {
    found.push({ kind: 'Help', title, detail: '', to: { name: 'help', params: { chapter: key } } })
    for (const { id, title: section } of sections)
      found.push({
        kind: 'Help',
        title: section,
        detail: title,
        to: { name: 'help', params: { chapter: key }, hash: `#${id}` },
      })
  }
  return found
}

const wordsOf = (text: string) =>
  text
    .normalize('NFD')
    .replaceAll(/\p{Mn}/gu, '')
    .toLowerCase()
    .split(/[^\p{L}\p{N}]+/u)
    .filter((word) => word !== '')

/** How well one typed word meets the words of a text: whole, as a start, within, or not at all. */
function meets(typed: string, words: string[]): number {
  if (words.includes(typed)) return 3
  if (words.some((word) => word.startsWith(typed))) return 2
  return typed.length > 2 && words.some((word) => word.includes(typed)) ? 1 : 0
}

const MOST = 30

/**
 * What has every typed word, the best first: a title goes before a detail, a whole word before a start, what belongs to the
 * planter that is open before the rest.
 */
export function find(all: Found[], typed: string, here?: number): Found[] {
  const words = wordsOf(typed)
  if (words.length === 0) return []
  const scored = all.flatMap((found, index) => {
    const [title, detail] = [wordsOf(found.title), wordsOf(`${found.detail} ${found.kind}`)]
    let score = 0
    for (const word of words) {
      const [inTitle, inDetail] = [meets(word, title), meets(word, detail)]
      if (inTitle === 0 && inDetail === 0) return []
      score += Math.max(inTitle * 4, inDetail * 2)
    }
    if (title[0]?.startsWith(words[0] ?? '')) score += 3
    if (here !== undefined && found.planterId === here) score += 2
    // The thing itself before what is said of it.
    if (found.kind === 'Help') score -= 4
    return [{ found, score, index }]
  })
  return scored
    .sort((a, b) => b.score - a.score || a.index - b.index)
    .slice(0, MOST)
    .map(({ found }) => found)
}
