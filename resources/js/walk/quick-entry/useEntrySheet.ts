import { useSessionStorage } from '@vueuse/core'
import { computed, type Ref, ref, watch } from 'vue'
import type { Check, Side, WalkGuide, WalkStep } from '@/api/types'
import { placeKey } from '@/api/types'
import { wordDoubts } from '@/measure/bands'
import { readQuantity } from '@/measure/quantity'
import { useOutbox } from '@/offline/outbox'
import { reading, useSteps } from '@/walk/useWalk'
import { useSession } from '@/session'
import { say, sayRow } from '@/words'
import { readCell, type SheetCell } from './sheetCells'

/** A paper sheet that is typed in, one check at a time: what is written, what of it can be stored, and storing it. */
export function useEntrySheet(planterId: number, guide: Ref<WalkGuide>) {
  const outbox = useOutbox()
  const session = useSession()
  const { all } = useSteps(guide)
  const checks = computed(() => guide.value.checks)

  const chosen = ref<Check['key']>(checks.value.find((check) => check.kind === 'measure')?.key ?? 'seed_tube')
  /** By place; kept through a reload until it is stored. */
  const typed = useSessionStorage<Record<string, string>>(`ustrel.sheet.${guide.value.walk?.id}`, {})
  const notice = ref('')
  const keepDoubtful = ref(false)

  const check = computed(() => checks.value.find((candidate) => candidate.key === chosen.value) as Check)
  const rows = computed(() => (check.value.whole_planter ? [0] : guide.value.ribbon.map(({ row }) => row)))
  const steps = computed(() => new Map(all.value.map((step) => [placeKey(step), step])))
  const index = computed(() => checks.value.indexOf(check.value))
  const keyOf = (row: number, side: Side) => placeKey({ row, check: chosen.value, side })

  const cells = computed(() => {
    const rowDoubt = guide.value.row_doubts[chosen.value]
    const keys = rows.value.flatMap((row) => check.value.sides.map((side) => keyOf(row, side)))
    return new Map<string, SheetCell>(
      keys.map((key) => [
        key,
        readCell(typed.value[key] ?? '', check.value, steps.value.get(key) as WalkStep, rowDoubt, session.units),
      ]),
    )
  })
  const good = computed(() =>
    [...cells.value].flatMap(([key, cell]) => (cell && 'content' in cell ? [{ key, ...cell }] : [])),
  )
  const bad = computed(() =>
    [...cells.value].flatMap(([key, cell]) => (cell && 'fault' in cell ? [{ key, ...cell }] : [])),
  )
  const doubtful = computed(() => good.value.filter(({ doubts }) => doubts.length > 0))
  /** What the button would store: the surprising ones only once they are said to be right. */
  const ready = computed(() => good.value.filter(({ doubts }) => keepDoubtful.value || doubts.length === 0))

  /** Words for what is hard to believe of a cell. */
  function doubtsOf({ key, doubts }: (typeof doubtful.value)[number]): string {
    const read = check.value.unit && readQuantity(typed.value[key] ?? '', check.value.unit, session.units)
    return wordDoubts(doubts, read && 'value' in read ? read.value : null, session.units)
  }

  function placeOf(key: string): string {
    const [row, , side] = key.split(':')
    return `${sayRow(Number(row))} ${say(`side.${side}`)}`.trim()
  }

  /** Puts copied cells along the rows, from one on. */
  function fill(values: string[], side: Side, from: number): void {
    const room = rows.value.slice(rows.value.indexOf(from))
    for (const [nth, row] of room.entries()) {
      const value = values[nth]
      if (value !== undefined) typed.value[keyOf(row, side)] = value
    }
    const over = values.length - room.length
    notice.value =
      over > 0
        ? `${values.length} cells were pasted, but from row ${from} on there are ${room.length} rows: the last ${over} are left out.`
        : `${values.length} cells pasted. Nothing is stored yet.`
  }

  function store(): void {
    const walk = guide.value.walk?.id
    if (walk === undefined) return
    const stored = ready.value
    void outbox.add(
      ...stored.map(({ key, content }) => {
        const said = { ...content, entry: 'from_sheet' as const, confirmed: keepDoubtful.value }
        const body = reading(steps.value.get(key) as WalkStep, said)
        return { what: 'reading' as const, id: body.id, walk, planter: planterId, body }
      }),
    )
    const done = new Set(stored.map(({ key }) => key))
    typed.value = Object.fromEntries(Object.entries(typed.value).filter(([key]) => !done.has(key)))
    notice.value = `${stored.length} ${stored.length === 1 ? 'reading' : 'readings'} stored.`
    keepDoubtful.value = false
  }

  watch(chosen, () => (notice.value = ''))

  return {
    chosen,
    typed,
    notice,
    keepDoubtful,
    check,
    checks,
    index,
    rows,
    steps,
    keyOf,
    bad,
    doubtful,
    ready,
    doubtsOf,
    placeOf,
    fill,
    store,
  }
}
