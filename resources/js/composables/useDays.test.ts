import { afterEach, describe, expect, it, vi } from 'vitest'
import { signInForTest } from '@/testing'
import { useSession } from '@/session'
import { useDays } from './useDays'

function daysIn(timeZone: string, now: string) {
  signInForTest()
  vi.useFakeTimers({ now: new Date(now) })
  const session = useSession()
  if (session.me) session.me = { ...session.me, time_zone: timeZone }
  return useDays()
}

afterEach(() => vi.useRealTimers())

describe('days of this shop', () => {
  // The evening before in Chicago is the next morning in Auckland.
  it.each([
    ['America/Chicago', '2026-11-23'],
    ['UTC', '2026-11-24'],
    ['Pacific/Auckland', '2026-11-24'],
  ])('begin at its own midnight: %s', (zone, day) => {
    const { today, dayOf, momentOf } = daysIn(zone, '2026-11-24T03:30:00.000Z')
    expect(today()).toBe(day)
    expect(dayOf('2026-11-24T03:30:00.000Z')).toBe(day)
    expect(momentOf(day)).toBe('2026-11-24T03:30:00.000Z')
  })

  it.each([
    // Noon in Chicago: six hours behind in winter, five in summer; in Kathmandu five and three quarters ahead.
    ['America/Chicago', '2026-01-20', '2026-01-20T18:00:00.000Z'],
    ['America/Chicago', '2026-07-20', '2026-07-20T17:00:00.000Z'],
    ['Asia/Kathmandu', '2026-07-20', '2026-07-20T06:15:00.000Z'],
  ])('in the past mean their noon: %s %s', (zone, day, moment) => {
    const { momentOf, dayOf } = daysIn(zone, '2026-11-24T03:30:00.000Z')
    expect(momentOf(day)).toBe(moment)
    expect(dayOf(momentOf(day))).toBe(day)
  })
})
