import { describe, expect, it } from 'vitest'
import given from '../../../core/tests/Unit/planters.json'
import finger from '../../../core/specs/finger.json'
import { groups, isOption, makeUp, startingPoints } from './catalogue'

type Kind = string | boolean | number | null
interface Typical {
  typical: Kind | Record<string, Kind>
}
const files = import.meta.glob<{ assemblies?: Record<string, Typical> }>('../../../core/units/*.json', {
  eager: true,
  import: 'default',
})

/** As the server fills in what a planter does not say of itself; what it does not say gives way. */
function carried(given: Record<string, Kind>, type: string): Record<string, Kind> {
  const all = Object.assign({}, ...Object.values(files).map(({ assemblies }) => assemblies)) as Record<string, Typical>
  const typical = Object.entries(all).map(([name, { typical: of }]) => [
    name,
    of !== null && typeof of === 'object' ? (type in of ? of[type] : of['*']) : of,
  ])
  return { ...Object.fromEntries(typical), ...given } as Record<string, Kind>
}

const planters = given as unknown as {
  name: string
  type: string
  equipment: Record<string, Kind>
  checks: Record<string, number>
}[]

describe('what a planter is made of', () => {
  it.each(planters)('is checked as the server has it: $name', ({ equipment, type, checks }) => {
    const made = makeUp(carried(equipment, type))
    expect(made.checks).toEqual(checks)
    expect(made.contradictions).toEqual([])
    expect(made.perRow + made.ofPlanter).toBe(Object.values(checks).reduce((sum, places) => sum + places))
  })

  it('counts what belongs to the whole planter once', () => {
    const { perRow, ofPlanter, stations } = makeUp(carried({}, finger.type))
    // 21 of the planter: frame 4, tires 1, ground wheel and shaft 2, hoses 1, lights 1, monitor 4 – and 55 places on the row.
    expect(ofPlanter).toBe(4 + 1 + 2 + 1 + 1 + 4)
    expect(stations.has('meter_air')).toBe(false)
    expect(perRow).toBeGreaterThan(40)
  })

  it('names what does not go together', () => {
    expect(makeUp(carried({ opener: 'runner' }, 'vacuum')).contradictions).toEqual([
      'scrapers_without_discs',
      'guard_without_blades',
    ])
  })

  it('begins in eight ways, each of which goes together and is another', () => {
    const made = startingPoints.map(({ equipment, type }) => makeUp(carried(equipment as Record<string, Kind>, type)))
    expect(made).toHaveLength(8)
    expect(made.flatMap(({ contradictions }) => contradictions)).toEqual([])
    expect(new Set(made.map(({ checks }) => Object.keys(checks).sort().join()))).toHaveProperty('size', 8)
  })

  it('asks for every assembly of the catalogue', () => {
    const asked = groups.flatMap(({ assemblies }) => assemblies.map(({ name }) => name))
    expect(asked.sort()).toEqual(
      Object.values(files)
        .flatMap(({ assemblies = {} }) => Object.keys(assemblies))
        .sort(),
    )
    expect(isOption({ name: 'firmer', kinds: [false, true] })).toBe(true)
    expect(isOption({ name: 'opener', kinds: ['runner', 'hoe'] })).toBe(false)
  })
})
