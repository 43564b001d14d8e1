import { computed, type MaybeRefOrGetter, toValue } from 'vue'
import { useRouter } from 'vue-router'
import { checksAt } from '@/walk/checks'
import { useBoard } from '@/walk/queries'
import type { Cell, Station } from '@/api/types'

/** The board of the walk that matters now, and the ways on from its places. */
export function usePlanterBoard(planter: MaybeRefOrGetter<number>) {
  const router = useRouter()
  const query = useBoard(planter)
  const board = computed(() => query.data.value)
  const checks = computed(() => new Map(board.value?.checks.map((check) => [check.key, check])))
  const find = computed(() => checksAt(board.value ?? { checks: [], row_checks: [] }))
  const checkOf = (cell: Pick<Cell, 'check' | 'row'>) => find.value(cell)

  /** The places of one row by station, front to back; row 0 is the planter as a whole. */
  function stationsOf(row: number): { name: Station; cells: Cell[] }[] {
    const found = new Map<Station, Cell[]>()
    for (const cell of board.value?.cells ?? []) {
      if (cell.row !== row) continue
      const station = checkOf(cell).station
      found.set(station, [...(found.get(station) ?? []), cell])
    }
    return [...found].map(([name, cells]) => ({ name, cells }))
  }

  return {
    query,
    board,
    checks,
    checkOf,
    stationsOf,
    /** Whether its walk is open, so that a place can be measured. */
    canWalk: computed(() => board.value?.walk?.finished_at === null),
    walkTo: ({ row, check, side }: Cell) =>
      void router.push({ name: 'walk', params: { planter: toValue(planter) }, query: { row, check, side } }),
    toRow: (row: number) => void router.push({ name: 'row', params: { planter: toValue(planter), row } }),
  }
}
