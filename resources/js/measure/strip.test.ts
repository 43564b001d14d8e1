import { expect, it } from 'vitest'
import { NM_PER_INCH } from './length'
import { scaleFor, stripRange, stripStretches, stripTicks } from './strip'

const inches = scaleFor('mm', 'in')
const inch = (value: number) => value * NM_PER_INCH

it('spans all figures with a margin, ending at labelled ticks', () => {
  expect(stripRange([inch(14.375), inch(14.5), inch(15)], inches)).toEqual({ from: inch(14.25), to: inch(15.25) })
  expect(stripRange([0, inch(0.05)], inches).from).toBe(0)
})

it('has a tick for every sixteenth and a label at every quarter', () => {
  const ticks = stripTicks(inch(14.25), inch(15.25), inches, 640)
  expect(ticks).toHaveLength(17)
  expect(ticks.filter((tick) => tick.label).map((tick) => tick.label)).toEqual([
    '14 1/4',
    '14 1/2',
    '14 3/4',
    '15',
    '15 1/4',
  ])
  // Too narrow for sixteenths five pixels apart, the labels stay.
  expect(stripTicks(inch(0), inch(3), inches, 200).filter((tick) => tick.label)).toHaveLength(7)
})

it('cuts the bands to what the strip shows', () => {
  const bands = [
    { from: 0, verdict: 'change' as const, reasons: [] },
    { from: 368.3, verdict: 'watch' as const, reasons: [] },
  ]
  expect(stripStretches(bands, inch(14.25), inch(15), inches)).toEqual([
    { verdict: 'change', from: inch(14.25), to: inch(14.5) },
    { verdict: 'watch', from: inch(14.5), to: inch(15) },
  ])
})

it('shows a pressure in the unit of the person', () => {
  const bar = scaleFor('psi', 'mm')
  // 60 psi = 4.137 bar.
  expect(bar.of(60)).toBe(4137)
  const { from, to } = stripRange([bar.of(57), bar.of(63)], bar)
  expect(stripTicks(from, to, bar, 600).filter((tick) => tick.label)).not.toHaveLength(0)
  expect(stripRange([scaleFor('deg', 'in').of(-2)], scaleFor('deg', 'in')).from).toBeLessThan(-2000)
})
