import { mount } from '@vue/test-utils'
import { describe, expect, it } from 'vitest'
import type { Verdict } from '@/api/types'
import { themes } from '@/theme'
import FractionText from './FractionText.vue'
import PlanterRibbon from './PlanterRibbon.vue'
import RowMark from './RowMark.vue'
import VerdictGlyph from './VerdictGlyph.vue'

const verdicts: Verdict[] = ['unchecked', 'sound', 'watch', 'change', 'failed']

describe('signs', () => {
  it('tell each verdict by a shape of its own, and by name', () => {
    const shapes = verdicts.map((verdict) => mount(VerdictGlyph, { props: { verdict } }))
    expect(new Set(shapes.map((shape) => shape.element.innerHTML)).size).toBe(5)
    expect(shapes.map((shape) => shape.attributes('aria-label'))).toEqual([
      'Unchecked',
      'Sound',
      'Watch',
      'Change',
      'Failed',
    ])
  })

  it('set a fraction and speak it', () => {
    const text = mount(FractionText, { props: { text: '14 3/8 in' } })
    expect(text.get('.spoken').text()).toBe('14 and 3 eighths')
    expect(text.get('[aria-hidden]').text()).toBe('143⁄8')
  })
})

describe('the mark of a row', () => {
  const mark = (of: object, small = false) =>
    mount(RowMark, { props: { row: { row: 3, verdict: 'change', life_left: 0.4, checked: 3, ...of }, small } })
  const height = (of: object) => mark(of).get('.left').attributes('style')

  it('shows the life that is left, a little of it even where none is, and nothing where nobody knows', () => {
    expect(height({})).toContain('height: 40%')
    expect(height({ life_left: 0 })).toContain('height: 6%')
    expect(height({ life_left: null })).toContain('height: 0%')
  })
  it('draws in outline what is expected and not looked at, by the verdict that is expected', () => {
    const expected = mark({ verdict: 'unchecked', expected: 'watch' })
    expect(expected.get('.mark').classes()).toEqual(expect.arrayContaining(['watch', 'expected']))
    expect(mark({}).get('.mark').classes()).not.toContain('expected')
  })
  it('says that a row is parked, but has no word for it where it is small', () => {
    expect(mark({ parked: true }).text()).toBe('parked')
    expect(mark({ parked: true }).find('.life').exists()).toBe(false)
    expect(mark({ parked: true }, true).text()).toBe('')
  })
})

describe('the ribbon', () => {
  const ribbon = verdicts.map((verdict, index) => ({
    row: index + 1,
    verdict,
    life_left: index === 0 ? null : index / 10,
    checked: 3,
  }))

  it('has every row at its place, wings apart, and says what it shows', async () => {
    const strip = mount(PlanterRibbon, { props: { ribbon, sections: [2, 3], selected: 4 } })
    expect(strip.findAll('.section').map((section) => section.findAll('button').length)).toEqual([2, 3])
    expect(strip.findAll('button').map((row) => row.attributes('aria-label'))).toEqual([
      'Row 1: Unchecked',
      'Row 2: Sound, 10% life left in the worst part',
      'Row 3: Watch, 20% life left in the worst part',
      'Row 4: Change, 30% life left in the worst part',
      'Row 5: Failed, 40% life left in the worst part',
    ])
    expect(strip.get('[aria-current]').text()).toBe('4')
    await strip.findAll('button')[1]?.trigger('click')
    expect(strip.emitted('select')).toEqual([[2]])
  })
})

/** Contrast by WCAG 2: (lighter + 0.05) / (darker + 0.05) of the relative luminances. */
function contrast(a: string, b: string): number {
  const luminance = (hex: string) => {
    const [red = 0, green = 0, blue = 0] = [1, 3, 5]
      .map((at) => parseInt(hex.slice(at, at + 2), 16) / 255)
      .map((part) => (part <= 0.03928 ? part / 12.92 : ((part + 0.055) / 1.055) ** 2.4))
    return 0.2126 * red + 0.7152 * green + 0.0722 * blue
  }
  const [low = 0, high = 0] = [luminance(a), luminance(b)].sort((x, y) => x - y)
  return (high + 0.05) / (low + 0.05)
}

describe.each(['light', 'dark'] as const)('the %s theme', (name) => {
  const colors = themes[name].colors as Record<string, string>

  it.each(['ink', 'ink-2', 'primary', 'ochre', 'sound', 'watch', 'change', 'failed', 'unchecked'])(
    'has %s readable on paper and card',
    (color) => {
      expect(contrast(colors[color]!, colors.background!)).toBeGreaterThanOrEqual(4.5)
      expect(contrast(colors[color]!, colors.surface!)).toBeGreaterThanOrEqual(4.5)
    },
  )

  it('has readable text on the accent and on the bar', () => {
    expect(contrast(colors['on-primary']!, colors.primary!)).toBeGreaterThanOrEqual(4.5)
    expect(contrast(colors['on-bar']!, colors.bar!)).toBeGreaterThanOrEqual(4.5)
    expect(contrast(colors.ink!, colors['accent-weak']!)).toBeGreaterThanOrEqual(4.5)
  })
})
