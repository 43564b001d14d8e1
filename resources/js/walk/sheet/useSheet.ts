import { useSessionStorage } from '@vueuse/core'
import { computed, type Ref, ref } from 'vue'
import type { Check, Side, Verdict, WalkGuide, WalkStep } from '@/api/types'
import { placeKey } from '@/api/types'
import { bandsAt, judgeByBands, judgeState, wordDoubts } from '@/measure/bands'
import { readFigure } from '@/measure/quantity'
import { useOutbox } from '@/offline/outbox'
import { useSession } from '@/session'
import { ofRow, sidesOf } from '@/walk/checks'
import { otherSideOf, reading, useSteps } from '@/walk/useWalk'
import { sayCheck, sayRow } from '@/words'
import { readCell, type SheetCell, turned } from './sheetCells'

/** A line of the sheet: one side of a check, on all rows, or once for the planter as a whole. */
export type SheetLine = { key: string; check: Check; side: Side; rows: number[] }
type Paste = { block: string[][]; line: number; row: number }

/** All figures of a walk as a grid: what is typed, what of it can be stored, and storing it. */
export function useSheet(planterId: number, guide: Ref<WalkGuide>) {
  const outbox = useOutbox()
  const session = useSession()
  const { all, checkOf } = useSteps(guide)

  /** By place; kept through a reload until it is stored. */
  const typed = useSessionStorage<Record<string, string>>(`ustrel.sheet.${guide.value.walk?.id}`, {})
  const withConditions = ref(false)
  const notice = ref('')
  const keepDoubtful = ref(false)
  /** The latest paste, with the places that it went to. */
  const pasted = ref<Paste & { keys: Set<string> }>()

  const rows = computed(() => guide.value.ribbon.map(({ row }) => row))
  const steps = computed(() => new Map(all.value.map((step) => [placeKey(step), step])))
  const lines = computed<SheetLine[]>(() => {
    const walked = new Set<string>(guide.value.walk?.checks)
    return guide.value.checks
      .filter((check) => walked.has(check.key) && (withConditions.value || check.unit !== null))
      .flatMap((check) =>
        sidesOf(check.key, guide.value).map((side) => ({
          key: `${check.key} ${side}`,
          check,
          side,
          rows: check.whole_planter ? [0] : rows.value,
        })),
      )
  })
  const keyOf = ({ check, side }: SheetLine, row: number) => placeKey({ row, check: check.key, side })

  /** What is typed anywhere, also where the line is not shown now. */
  const cells = computed(
    () =>
      new Map<string, SheetCell>(
        Object.entries(typed.value).flatMap(([key, text]): [string, SheetCell][] => {
          const step = steps.value.get(key)
          if (!step) return []
          const check = checkOf(step)
          const doubt = ofRow(guide.value.row_doubts, check, guide.value, step.row)
          return [[key, readCell(text, check, step, doubt, session.units)]]
        }),
      ),
  )
  const good = computed(() =>
    [...cells.value].flatMap(([key, cell]) => (cell && 'content' in cell ? [{ key, ...cell }] : [])),
  )
  const bad = computed(() =>
    [...cells.value].flatMap(([key, cell]) => (cell && 'fault' in cell ? [{ key, ...cell }] : [])),
  )
  const doubtful = computed(() => good.value.filter(({ doubts }) => doubts.length > 0))
  /** What the button would store: the surprising ones only once they are said to be right. */
  const ready = computed(() => good.value.filter(({ doubts }) => keepDoubtful.value || doubts.length === 0))

  /** How what is typed at a place is judged, or else what stands there. */
  function verdictOf(key: string): Verdict | undefined {
    const step = steps.value.get(key) as WalkStep
    const cell = cells.value.get(key)
    if (!cell) return step.now?.verdict
    if ('fault' in cell || cell.doubts.length > 0) return undefined
    const check = checkOf(step)
    const { state, typed: text } = cell.content
    if (state) return judgeState(check, { state, chips: [] }).verdict
    const value = valueOf(text ?? '', check)
    const other = otherSideOf(step)
    const beside = valueOf(typed.value[other] ?? '', check) ?? steps.value.get(other)?.now?.value ?? null
    const bands = bandsAt(step, check, guide.value.row_bands, beside)
    return value === null ? 'sound' : judgeByBands(bands, value, check).verdict
  }

  /** The figure that a text says, in the check's unit; null where it says none. */
  function valueOf(text: string, check: Check): number | null {
    const read = check.unit && readFigure(text, check, session.units)
    return read && 'value' in read ? read.value : null
  }

  /** Words for what is hard to believe of a cell. */
  function doubtsOf({ key, doubts }: (typeof doubtful.value)[number]): string {
    const check = checkOf(steps.value.get(key) as WalkStep)
    return wordDoubts(doubts, valueOf(typed.value[key] ?? '', check), session.units)
  }

  function placeOf(key: string): string {
    const step = steps.value.get(key) as WalkStep
    return `${sayRow(step.row)}, ${sayCheck(step)}`
  }

  /**
   * Puts copied cells in from a place on: lines down and rows along. A single column goes along the rows, as the rows of
   * a planter stand below each other on most lists.
   */
  function paste(block: string[][], line: number, row: number): void {
    const isColumn = block.length > 1 && block.every((cells) => cells.length === 1)
    fill({ block: isColumn ? turned(block) : block, line, row })
  }

  function fill(paste: Paste): void {
    const { block, line } = paste
    const row = Math.max(paste.row, 1)
    const width = Math.max(...block.map((cells) => cells.length))
    const room = { lines: lines.value.length - line, rows: rows.value.length - row + 1 }
    const filled: Record<string, string> = {}
    for (const [down, cells] of block.slice(0, room.lines).entries()) {
      const to = lines.value[line + down] as SheetLine
      const from = Math.max(0, to.rows.indexOf(row))
      for (const [along, text] of cells.entries()) {
        const at = to.rows[from + along]
        if (at !== undefined && steps.value.has(keyOf(to, at))) filled[keyOf(to, at)] = text
      }
    }
    typed.value = { ...typed.value, ...filled }
    pasted.value = { ...paste, keys: new Set(Object.keys(filled)) }
    const over = [
      width > room.rows && `only ${room.rows} rows from row ${row} on: ${width - room.rows} left out`,
      block.length > room.lines && `only ${room.lines} lines from here on: ${block.length - room.lines} left out`,
    ].filter(Boolean)
    const count = block.reduce((sum, cells) => sum + cells.length, 0)
    notice.value = `${count} cells pasted${over.length > 0 ? `, but ${over.join('; ')}` : ''}. Nothing is saved yet.`
  }

  /** The latest paste the other way round. */
  function turnPaste(): void {
    if (!pasted.value) return
    const { block, keys, ...at } = pasted.value
    typed.value = Object.fromEntries(Object.entries(typed.value).filter(([key]) => !keys.has(key)))
    fill({ ...at, block: turned(block) })
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
    pasted.value = undefined
  }

  return {
    typed,
    withConditions,
    notice,
    keepDoubtful,
    pasted,
    rows,
    lines,
    steps,
    keyOf,
    bad,
    doubtful,
    ready,
    verdictOf,
    doubtsOf,
    placeOf,
    paste,
    turnPaste,
    store,
  }
}
