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

/** Acres to be typed over, in the person's own unit: to the thousandth, and no more digits than there are. */
export const areaText = (acres: number, units: Units) => String(Number((acres / AREA_UNIT[units].acres).toFixed(3)))

/** What speed is told in, in miles an hour. */
export const SPEED_UNIT: Record<Units, { name: 'mph' | 'km/h'; mph: number }> = {
  in: { name: 'mph', mph: 1 },
  mm: { name: 'km/h', mph: 1 / 1.609344 },
}

export const speedText = (mph: number, units: Units) => String(Number((mph / SPEED_UNIT[units].mph).toFixed(1)))
