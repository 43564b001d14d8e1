import { computed } from 'vue'
import { fromMm, printDifference, printFigure, printLength } from '@/measure/length'
import { useSession } from '@/session'

/** Prints lengths, given in millimetres as the API has them, the way the signed-in person works. */
export function useUnits() {
  const session = useSession()
  const units = computed(() => session.units)
  const other = computed(() => (units.value === 'in' ? ('mm' as const) : ('in' as const)))

  return {
    units,
    figure: (mm: number) => printFigure(fromMm(mm), units.value),
    length: (mm: number) => printLength(fromMm(mm), units.value),
    difference: (mm: number) => printDifference(fromMm(mm), units.value),
    /** The same in the other system, to stand beside: millimetres whole, inches to the sixteenth. */
    beside: (mm: number) => (other.value === 'mm' ? `${Math.round(mm)} mm` : printLength(fromMm(mm), 'in')),
  }
}
