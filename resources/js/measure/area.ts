import type { Units } from './length'

/** What fields are counted in, in acres: an acre beside inches, a hectare beside millimetres. */
export const AREA_UNIT: Record<Units, { name: 'ac' | 'ha'; acres: number }> = {
  in: { name: 'ac', acres: 1 },
  mm: { name: 'ha', acres: 2.4710538147 },
}

/** Acres as a whole figure of the person's own unit. */
export const printAreaFigure = (acres: number, units: Units) =>
  Math.round(acres / AREA_UNIT[units].acres).toLocaleString('en')

export const printArea = (acres: number, units: Units) => `${printAreaFigure(acres, units)} ${AREA_UNIT[units].name}`
