import { describe, expect, it } from 'vitest'
import { explainSeverity, groundOf } from './ground'

describe('acres', () => {
  const severities = {
    '- - - -': 1,
    'sand - - -': 1.3,
    '- heavy - -': 1.1,
    '- - no_till -': 1.15,
    '- - - light': 0.9,
    '- heavy no_till -': 1.27,
    'sand heavy no_till -': 1.64,
  }
  const line = {
    id: '',
    day: '',
    field: '',
    crop: null,
    acres: 1,
    mph: null,
    severity: 1.64,
    own_severity: false,
    pass: 'planting' as const,
    lot: null,
    seed_lot_id: null,
    units_drawn: null,
    left_out: [],
    population: null,
    products: [],
    map_acres: null,
    off_map: null,
    around: null,
    until: null,
    around_over: false,
    note: '',
    set: '',
    logged_by: '',
  }

  it('words the ground and explains its severity', () => {
    const ground = { soil: 'sand', residue: 'heavy', tillage: 'no_till', downforce: null } as const
    expect(
      groundOf({
        ...line,
        ...ground,
        shut_off: [
          { rows: [7, 8], share: 0 },
          { rows: [1], share: 0.25 },
        ],
      }),
    ).toBe('sand, heavy residue, no-till, severity 1.64, rows 7, 8 shut off, rows 1 ran 25%')
    expect(explainSeverity(ground, severities)).toBe(
      '1.64: sand 1.3 × heavy residue 1.1 × no-till 1.15. 1 is average ground.',
    )
    expect(explainSeverity({ soil: null, residue: 'heavy', tillage: 'no_till', downforce: null }, severities)).toMatch(
      /^1\.27: /,
    )
    expect(explainSeverity({ soil: null, residue: null, tillage: null, downforce: null }, severities)).toContain(
      '1 is average ground',
    )
  })
})
