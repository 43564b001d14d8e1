import { expect, it } from 'vitest'
import { sayField } from './sayField'

it('calls a figure of a sheet by its check, and other fields by their names', () => {
  expect(sayField('sheet.checks.opener_blade_diameter.figures.limit.value')).toBe('Opener blade diameter, change below')
  expect(sayField('sheet.checks.opener_blade_diameter.figures.limit.source')).toMatch(/, source$/)
  expect(sayField('lead_days')).toBe('lead days')
  expect(sayField('sheet.notch.value')).toBe('notch value')
})
