import { describe, expect, it } from 'vitest'
import { readList, sayTurn } from './dig'

describe('digs', () => {
  it('says what to turn, and which way', () => {
    const said = [0, 0.5, 1, 1.5, -2, null].map((turn) => sayTurn({ turn, deeper: (turn ?? 0) > 0, scale: 'notches' }))
    expect(said).toEqual([
      'leave it',
      'up 1/2 notch, deeper',
      'up 1 notch, deeper',
      'up 1 1/2 notches, deeper',
      'down 2 notches, shallower',
      '',
    ])
    expect(sayTurn({ turn: -1.5, deeper: true, scale: 'marks' })).toBe('down 1 1/2 marks, deeper')
    expect(sayTurn({ turn: 0.5, deeper: false, scale: 'turns' })).toBe('up 1/2 turn, shallower')
    const by = (turn: number, scale: 'turns' | 'inches' | 'holes') => sayTurn({ turn, deeper: true, scale })
    expect([by(1.25, 'turns'), by(0.375, 'inches'), by(1, 'inches'), by(2.75, 'inches'), by(2, 'holes')]).toEqual([
      'up 1 1/4 turns, deeper',
      'up 3/8 inch, deeper',
      'up 1 inch, deeper',
      'up 2 3/4 inches, deeper',
      'up 2 holes, deeper',
    ])
  })
  it.each([
    ['2, 1 3/4, 45 mm', ['2', '1 3/4', '45 mm']],
    ['2\n1 7/8\n', ['2', '1 7/8']],
    ['1.75; 1.8', ['1.75', '1.8']],
    ['4,5', ['4,5']],
    ['4,5, 5,0', ['4,5', '5,0']],
    ['4,5; 5,0', ['4,5', '5,0']],
    ['6,6,61', ['6', '6', '61']],
    ['', []],
  ])('reads %j figure by figure', (typed, figures) => expect(readList(typed)).toEqual(figures))
})
