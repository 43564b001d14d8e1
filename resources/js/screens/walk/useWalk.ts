import { v7 as uuid } from 'uuid'
import { computed, type Ref, ref, watch } from 'vue'
import type { CurrentReading, Reading, WalkGuide, WalkStep } from '@/api/types'
import { type PlaceRef, placeKey } from '@/api/types'
import { judgeByBands } from '@/measure/bands'
import { fromMm, printLength, readLength, type Units } from '@/measure/length'
import { useOutbox } from '@/outbox'
import { useSession } from '@/session'

type Content = Partial<Pick<Reading, 'result' | 'entry' | 'typed' | 'units' | 'confirmed'>>

/** Going through a walk: which place is up, what is done, and recording what is read there. */
export function useWalk(planterId: number, guide: Ref<WalkGuide>) {
  const session = useSession()
  const outbox = useOutbox()
  const done = ref<{ place: PlaceRef; before: CurrentReading | null }[]>([])

  /** Every place in the walk's order; a reading on its way up counts as taken. */
  const steps = computed<WalkStep[]>(() => {
    const order = guide.value.walk.order
    const underWay = new Map<string, Reading>()
    for (const { walk, reading, problem } of outbox.waiting) {
      if (walk === guide.value.walk.id && problem === undefined) underWay.set(placeKey(reading), reading)
    }
    return guide.value.steps
      .map((step) => {
        const reading = underWay.get(placeKey(step))
        return reading ? { ...step, now: expected(step, reading) } : step
      })
      .sort((a, b) => a.turn[order] - b.turn[order])
  })

  const firstUnchecked = () => steps.value.find((step) => step.now === null)
  const at = ref(placeKey(firstUnchecked() ?? (steps.value[0] as WalkStep)))
  const index = computed(() =>
    Math.max(
      0,
      steps.value.findIndex((step) => placeKey(step) === at.value),
    ),
  )
  const current = computed(() => steps.value[index.value] as WalkStep)
  const checked = computed(() => steps.value.filter((step) => step.now !== null).length)
  const ofRow = computed(() =>
    steps.value.filter((step) => step.row === current.value.row).sort((a, b) => a.turn.row_by_row - b.turn.row_by_row),
  )
  const doubts = computed(() => {
    const ofRows = guide.value.row_doubts[current.value.check]
    return ofRows ? [...current.value.doubts, ofRows] : current.value.doubts
  })

  // The spec sheet or the rows may have changed under the walk.
  watch(steps, (all) => {
    if (!all.some((step) => placeKey(step) === at.value) && all[0]) at.value = placeKey(all[0])
  })

  function goTo(place: PlaceRef): void {
    at.value = placeKey(place)
  }

  /** On to the next unchecked place, from here to the end and then from the start; stays where all is done. */
  function advance(): void {
    const after = [...steps.value.slice(index.value + 1), ...steps.value.slice(0, index.value)]
    const next = after.find((step) => step.now === null) ?? steps.value[index.value + 1]
    if (next) goTo(next)
  }

  function goToRow(row: number): void {
    const inRow = steps.value.filter((step) => step.row === row)
    const next = inRow.find((step) => step.now === null) ?? inRow[0]
    if (next) goTo(next)
  }

  function moveRow(by: 1 | -1): void {
    const next = steps.value.find(
      (step) =>
        step.row === current.value.row + by && step.check === current.value.check && step.side === current.value.side,
    )
    if (next) goTo(next)
  }

  function moveStation(by: 1 | -1): void {
    const place = ofRow.value.findIndex((step) => placeKey(step) === at.value)
    const next = ofRow.value[place + by]
    if (next) goTo(next)
  }

  function record(content: Content, at: PlaceRef = current.value): void {
    const step = steps.value.find((candidate) => placeKey(candidate) === placeKey(at))
    done.value.push({ place: at, before: step?.now ?? null })
    outbox.add({ walk: guide.value.walk.id, planter: planterId, reading: makeReading(at, content) })
  }

  function recordTyped(typed: string, confirmed: boolean): void {
    record({ result: 'measured', entry: 'typed', typed, units: session.units, confirmed })
    advance()
  }

  function recordSameAsLast(): void {
    record({ result: 'measured', entry: 'same_as_last' })
    advance()
  }

  function recordNotFitted(): void {
    record({ result: 'not_fitted' })
    advance()
  }

  /** Takes the latest reading back: what stood there before is recorded again, or the place is unchecked again. */
  function undo(): void {
    const latest = done.value.pop()
    if (!latest) return
    const { place, before } = latest
    record(before === null ? { result: 'withdrawn' } : sayAgain(before), place)
    done.value.pop()
    goTo(place)
  }

  return {
    steps,
    current,
    index,
    checked,
    ofRow,
    doubts,
    canUndo: computed(() => done.value.length > 0),
    goTo,
    goToRow,
    moveRow,
    moveStation,
    recordTyped,
    recordSameAsLast,
    recordNotFitted,
    undo,
  }
}

function makeReading({ row, check, side }: PlaceRef, content: Content): Reading {
  return {
    id: uuid(),
    row,
    check,
    side,
    result: 'measured',
    entry: 'typed',
    units: 'in',
    ...content,
    taken_at: new Date().toISOString(),
  }
}

/** What the server will answer, as far as the device can tell. */
function expected(step: WalkStep, reading: Reading): CurrentReading | null {
  if (reading.result === 'withdrawn') return null
  const base = { id: reading.id, taken_at: reading.taken_at }
  if (reading.result === 'not_fitted') {
    return {
      ...base,
      result: 'not_fitted',
      mm: null,
      verdict: 'sound',
      reasons: [{ code: 'not_fitted', ref_mm: null }],
    }
  }
  const nm = reading.entry === 'same_as_last' ? step.last && fromMm(step.last.mm) : readNm(reading)
  if (nm === null) return step.now
  return { ...base, result: 'measured', mm: nm / 1_000_000, ...judgeByBands(step.bands, nm) }
}

function readNm(reading: Reading): number | null {
  const read = readLength(reading.typed ?? '', (reading.units ?? 'in') as Units)
  return 'nm' in read ? read.nm : null
}

function sayAgain(before: CurrentReading): Content {
  if (before.result === 'not_fitted' || before.mm === null) return { result: 'not_fitted' }
  const nm = fromMm(before.mm)
  const inches = readLength(printLength(nm, 'in'), 'in')
  const exact = 'nm' in inches && inches.nm === nm
  return { typed: exact ? printLength(nm, 'in') : `${before.mm} mm`, confirmed: true }
}
