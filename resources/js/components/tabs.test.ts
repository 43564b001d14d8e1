import { expect, it } from 'vitest'
import { screensFor } from './tabs'

const may =
  (...abilities: string[]) =>
  (ability: string) =>
    abilities.includes(ability)
const names = (planterId: number | undefined, ...abilities: string[]) =>
  screensFor({ may: may(...abilities) }, planterId).map(({ name }) => name)

it('shows the tabs of a planter that is open, and only what a guest may see', () => {
  expect(names(3, 'see', 'record')).toEqual(['board', 'season', 'walk', 'decide', 'work', 'bench', 'field'])
  expect(names(3, 'see')).toEqual(['board', 'decide', 'field'])
})

it('shows the rooms of the shop where none is open: people to the owner alone, nothing to a guest', () => {
  expect(names(undefined, 'see', 'record', 'set', 'run')).toEqual([
    'yard',
    'today',
    'store',
    'seed',
    'meters',
    'people',
    'shop',
  ])
  expect(names(undefined, 'see', 'record')).not.toContain('people')
  expect(names(undefined, 'see')).toEqual([])
})
