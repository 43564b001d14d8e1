import { afterEach, describe, expect, it } from 'vitest'
import { clock, dateAndTime, fullDate, longDay, weekDate, writeDatesAs } from './dates'

const now = new Date('2026-12-01T12:00:00')
afterEach(() => writeDatesAs('point'))

describe('as in the United States', () => {
  it('names the day of the week, and the year only where it is another one', () => {
    expect(weekDate('2026-12-16', now)).toBe('Wed, Dec 16')
    expect(weekDate('2027-01-08', now)).toBe('Fri, Jan 8, 2027')
  })
  it('gives a day of the past its year', () => {
    expect(fullDate('2025-03-01')).toBe('Mar 1, 2025')
    expect(longDay('2026-12-01')).toBe('Tuesday, December 1')
  })
  it('has twelve hours, with a plain space', () => {
    expect(clock('2026-12-01T08:12')).toBe('8:12 AM')
    expect(clock('2026-12-01T00:05')).toBe('12:05 AM')
    expect(dateAndTime('2026-12-16T13:07:00', now)).toBe('Wed, Dec 16, 1:07 PM')
    expect(dateAndTime('2025-12-16T13:07:00', now)).toBe('Tue, Dec 16, 2025, 1:07 PM')
  })
})

it('puts the day first and has 24 hours where the workshop writes a decimal comma', () => {
  writeDatesAs('comma')
  expect(weekDate('2026-12-16', now)).toBe('Wed 16 Dec')
  expect(fullDate('2025-03-01')).toBe('1 Mar 2025')
  expect(clock('2026-12-01T08:12')).toBe('08:12')
  writeDatesAs(null)
  expect(clock('2026-12-01T20:12')).toBe('8:12 PM')
})
