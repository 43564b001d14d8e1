import { describe, expect, it } from 'vitest'
import type { Aim } from '@/api/types'
import { sayAim } from './aims'

const typical: Aim = {
  id: 1,
  crop: 'milo',
  size: '',
  revision: 1,
  singulation: null,
  rate_low: null,
  rate_high: null,
  depth: null,
  depth_band: null,
  emergence_hours: null,
  spacing_cv: null,
}

describe('what counts as good', () => {
  it.each([
    [{}, ''],
    [{ singulation: 0.955 }, 'singulation 95.5%'],
    [{ rate_low: -0.03, rate_high: 0.05 }, 'spacing -3% to +5%'],
    [{ rate_high: 0.1 }, 'spacing typical to +10%'],
    [{ spacing_cv: 0.25 }, 'spacing scatter (CV) 25% at most'],
    [
      { depth: 50.8, depth_band: 3.2, emergence_hours: 60 },
      'depth 2 in, depth off by 0.13 in at most, from 10 to 90% up within 60 h',
    ],
  ])('says %j', (figures, said) => expect(sayAim({ ...typical, ...figures }, 'in')).toBe(said))
  it('says lengths in millimeters to who thinks in them', () =>
    expect(sayAim({ ...typical, depth: 50.8 }, 'mm')).toBe('depth 50.8 mm'))
})
