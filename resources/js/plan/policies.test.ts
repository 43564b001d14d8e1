import { describe, expect, it } from 'vitest'
import { at, axisOf, nearestTurns, sayTurn } from './policies'

describe('the money axis', () => {
  it('holds all strips between round figures', () => {
    const axis = axisOf([
      { p10: 1043, p90: 1822 },
      { p10: 1210, p90: 1540 },
    ])
    expect(axis).toEqual({ from: 1000, to: 2000, ticks: [1000, 1500, 2000] })
    expect(at(1500, axis)).toBe(50)
    expect(axisOf([{ p10: 80, p90: 80 }]).ticks.length).toBeGreaterThan(1)
  })

  it('names what turns the answer, the nearest first', () => {
    const turns = [
      { of: 'part_prices' as const, factor: 0.3, school: 'limit' as const, by: null },
      { of: 'stop_cost' as const, factor: 1.4, school: 'set' as const, by: null },
    ]
    expect(nearestTurns({ turns } as never).map(({ of }) => of)).toEqual(['stop_cost', 'part_prices'])
  })

  it('says of whose share it speaks', () => {
    const turn = { of: 'share' as const, factor: 0.68, school: 'like_new' as const, by: 'like_new' as const }
    expect(sayTurn(turn)).toBe('would be cheapest at a share of 68%.')
    expect(sayTurn({ ...turn, by: 'own' })).toBe('would be cheapest if Yours went at a share of 68%.')
    expect(sayTurn({ of: 'stop_cost', factor: 3.1, school: 'like_new', by: null })).toBe(
      'would be cheapest if a stop cost 310% of what it does.',
    )
  })
})
