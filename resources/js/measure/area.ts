import type { Units } from './length'
import { typedNumber } from './typed'

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

/** What was typed over it, in acres with so many places; what is no number goes up as it was typed. */
export function typedAcres(typed: string, units: Units, places = 3): number | null {
  const area = typedNumber(typed)
  // An acre is what it says.
  return typeof area === 'number' && units !== 'in' ? Number((area * AREA_UNIT[units].acres).toFixed(places)) : area
}

/** What speed is told in, in miles an hour. */
export const SPEED_UNIT: Record<Units, { name: 'mph' | 'km/h'; mph: number }> = {
  in: { name: 'mph', mph: 1 },
  mm: { name: 'km/h', mph: 1 / 1.609344 },
}

export const speedText = (mph: number, units: Units) => String(Number((mph / SPEED_UNIT[units].mph).toFixed(1)))

/** In miles an hour. */
export function typedSpeed(typed: string, units: Units): number | null {
  const speed = typedNumber(typed)
  return typeof speed === 'number' ? speed * SPEED_UNIT[units].mph : speed
}
