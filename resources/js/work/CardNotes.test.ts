import { mount } from '@vue/test-utils'
import { expect, it } from 'vitest'
import type { WorkPiece } from '@/api/types'
import CardNotes from './CardNotes.vue'

const piece = (looks: string[], back: string[]) => ({ looks, back }) as WorkPiece
const pieces = [piece(['guard', 'dirt_inside'], ['contact']), piece(['guard'], ['contact', 'arm_shims'])]
const lines = (of: 'looks' | 'back') =>
  mount(CardNotes, { props: { pieces, of } })
    .findAll('li')
    .map((one) => one.text())

it('says each note once for all rows of a card, in the order in which hands come to them', () => {
  expect(lines('looks')).toEqual([
    'the seed tube guard: width and both sides',
    'packed dirt between the blades: scrape it out',
  ])
  expect(lines('back')[0]).toContain('two cards')
  expect(lines('back')).toHaveLength(2)
})

it('says nothing where nothing comes off', () => {
  expect(mount(CardNotes, { props: { pieces: [piece([], [])], of: 'looks' } }).text()).toBe('')
})
