import { v7 as uuid } from 'uuid'
import { computed, type Ref, ref, watch } from 'vue'
import type { Answer, Check, CurrentReading, Doubt, Reading, Station, WalkGuide, WalkStep } from '@/api/types'
import { isToDo, type PlaceRef, placeKey } from '@/api/types'
import { bandsAt, judgeByBands, judgeState } from '@/measure/bands'
import { printQuantity, readFigure, readQuantity, reasonsOf, toSteps } from '@/measure/quantity'
import { useOutbox } from '@/offline/outbox'
import { useSession } from '@/session'
import { checksAt, ofRow } from './checks'

/** What is said of a place; the rest of a reading is where and when. */
export type Content = Partial<Omit<Reading, 'id' | 'row' | 'check' | 'side' | 'taken_at'>>
type Done = { place: PlaceRef; before: CurrentReading | null }
/** What is taken back in one go. */
type Deed = { at: string; done: Done[] }

/** The place on the other side of the row; of the centre it is the place itself. */
export const otherSideOf = ({ row, check, side }: PlaceRef) =>
  placeKey({ row, check, side: side === 'left' ? 'right' : side === 'right' ? 'left' : side })

/** A walk's places with what is on its way up, in the order of the walk. */
export function useSteps(guide: Ref<WalkGuide>) {
  const outbox = useOutbox()
  const find = computed(() => checksAt(guide.value))
  const checkOf = (place: Pick<PlaceRef, 'check' | 'row'>) => find.value(place)

  const underWay = computed(() => {
    const readings = new Map<string, Reading>()
    for (const item of outbox.waiting) {
      if (item.what === 'reading' && item.walk === guide.value.walk?.id && item.problem === undefined)
        readings.set(placeKey(item.body), item.body)
    }
    return readings
  })

  /** Every place of the planter, row by row; a reading on its way up counts as taken. */
  const told = computed<WalkStep[]>(() =>
    guide.value.steps.map((step) => {
      const reading = underWay.value.get(placeKey(step))
      return reading ? { ...step, now: expected(step, reading, checkOf(step), guide.value) } : step
    }),
  )
  const places = computed(() => new Map(told.value.map((step) => [placeKey(step), step])))
  const bandsOf = (step: WalkStep) => {
    const other = places.value.get(otherSideOf(step))?.now?.value ?? null
    return bandsAt(step, checkOf(step), guide.value.row_bands, other)
  }
  /** The same, with sides that are held against each other judged as they stand together now. */
  const all = computed<WalkStep[]>(() =>
    told.value.map((step) => {
      const check = checkOf(step)
      if (check.sides_within === null || step.now?.value == null || underWay.value.size === 0) return step
      return { ...step, now: { ...step.now, ...judgeByBands(bandsOf(step), step.now.value, check) } }
    }),
  )
  /** Those that are walked today, in the walk's order. */
  const steps = computed<WalkStep[]>(() => {
    const walk = guide.value.walk
    const walked = new Set<string>(walk?.checks ?? [])
    return guide.value.orders[walk?.order ?? 'row_by_row']
      .map((index) => all.value[index] as WalkStep)
      .filter((step) => walked.has(step.check))
  })

  return { all, steps, checkOf, bandsOf }
}

/** Going through a walk: which place is up, what is done, and recording what is read there. */
export function useWalk(planterId: number, guide: Ref<WalkGuide>) {
  const session = useSession()
  const outbox = useOutbox()
  const { steps, checkOf, bandsOf } = useSteps(guide)
  const deeds = ref<Deed[]>([])

  const at = ref(placeKey(steps.value.find((step) => isToDo(step)) ?? (steps.value[0] as WalkStep)))
  const index = computed(() =>
    Math.max(
      0,
      steps.value.findIndex((step) => placeKey(step) === at.value),
    ),
  )
  const current = computed(() => steps.value[index.value] as WalkStep)
  const check = computed(() => checkOf(current.value))
  const unchecked = computed(() => steps.value.filter((step) => isToDo(step)))
  const ofThisRow = computed(() => {
    const inOrder = guide.value.steps.filter((step) => step.row === current.value.row).map(placeKey)
    const shown = new Map(steps.value.map((step) => [placeKey(step), step]))
    return inOrder.flatMap((key) => shown.get(key) ?? [])
  })
  function doubtsOf(step: WalkStep): Doubt[] {
    const check = checkOf(step)
    const ofRows = ofRow(guide.value.row_doubts, check, guide.value, step.row)
    const ofPlace = step.doubts ?? check.doubts
    return ofRows ? [...ofPlace, ofRows] : ofPlace
  }
  /** What the same check reads at the other places. */
  const othersOf = (place: PlaceRef) =>
    steps.value
      .filter(
        (step) => checkOf(step) === checkOf(place) && placeKey(step) !== placeKey(place) && step.now?.value != null,
      )
      .map((step) => step.now?.value as number)
  /** What may be called sound in one go, without what is looked at now and left undone. */
  const restOfRow = computed(() => unchecked.value.filter((step) => step.row === current.value.row))
  const restOfStation = computed(() => unchecked.value.filter((step) => checkOf(step).station === check.value.station))

  // The spec sheet, the rows or the choice of stations may have changed under the walk.
  watch(steps, (all) => {
    if (!all.some((step) => placeKey(step) === at.value) && all[0]) goTo(all.find((step) => isToDo(step)) ?? all[0])
  })

  function goTo(place: PlaceRef): void {
    at.value = placeKey(place)
  }

  /** On to the next unchecked place, from here to the end and then from the start; stays where all is done. */
  function advance(): void {
    const after = [...steps.value.slice(index.value + 1), ...steps.value.slice(0, index.value)]
    const next = after.find((step) => isToDo(step)) ?? steps.value[index.value + 1]
    if (next) goTo(next)
  }

  function goToFirst(places: WalkStep[]): void {
    const next = places.find((step) => isToDo(step)) ?? places[0]
    if (next) goTo(next)
  }

  const goToRow = (row: number) => goToFirst(steps.value.filter((step) => step.row === row))

  function moveRow(by: 1 | -1): void {
    const next = steps.value.find(
      (step) =>
        step.row === current.value.row + by && step.check === current.value.check && step.side === current.value.side,
    )
    if (next) goTo(next)
  }

  function moveStation(by: 1 | -1): void {
    const stations = [...new Set(ofThisRow.value.map((step) => checkOf(step).station))]
    const next: Station | undefined = stations[stations.indexOf(check.value.station) + by]
    if (next) goToFirst(ofThisRow.value.filter((step) => checkOf(step).station === next))
  }

  /**
   * Says something of places. What is said in one deed is taken back in one go: each by itself, or all that is said at a
   * station under one name.
   */
  function record(content: Content, places: PlaceRef[] = [current.value], deed: string | null = uuid()): void {
    const walk = guide.value.walk?.id
    if (walk === undefined || places.length === 0) return
    const before = places.map((place) => ({
      place,
      before: steps.value.find((step) => placeKey(step) === placeKey(place))?.now ?? null,
    }))
    const latest = deeds.value.at(-1)
    if (latest && latest.at === deed) latest.done.push(...before)
    else if (deed !== null) deeds.value.push({ at: deed, done: before })
    void outbox.add(
      ...places.map((place) => {
        const body = reading(place, content)
        return { what: 'reading' as const, id: body.id, walk, planter: planterId, body }
      }),
    )
  }

  function answer(content: Content): void {
    record(content)
    advance()
  }

  /** Takes the latest back: what stood there before is recorded again, or the place is unchecked again. */
  function undo(): void {
    const latest = deeds.value.pop()
    // What stood there first counts, where one place was said twice.
    const first = new Map(latest?.done.toReversed().map((one) => [placeKey(one.place), one]))
    for (const { place, before } of first.values()) {
      record(
        before === null || before.id === null ? { result: 'withdrawn' } : sayAgain(before, checkOf(place)),
        [place],
        null,
      )
    }
    if (latest?.done[0]) goTo(latest.done[0].place)
  }

  return {
    steps,
    current,
    check,
    bandsOf,
    doubtsOf,
    othersOf,
    unchecked,
    ofRow: ofThisRow,
    restOfRow,
    restOfStation,
    canUndo: computed(() => deeds.value.length > 0),
    checkOf,
    record,
    goTo,
    goToRow,
    moveRow,
    moveStation,
    recordTyped: (typed: string, confirmed: boolean) => answer({ typed, units: session.units, confirmed }),
    recordState: ({ state, chips }: Pick<Answer, 'state' | 'chips'>) => answer({ state: state ?? undefined, chips }),
    recordSameAsLast: () => answer({ entry: 'same_as_last' }),
    recordNotFitted: () => answer({ result: 'not_fitted' }),
    recordRestOfRow() {
      record({ result: 'looked_sound', entry: 'rest_of_row' }, restOfRow.value)
      advance()
    },
    recordRestOfStation() {
      record({ result: 'looked_sound', entry: 'rest_of_station' }, restOfStation.value)
      advance()
    },
    undo,
  }
}

/** A reading made on this device, with an id of its own. */
export function reading({ row, check, side }: PlaceRef, content: Content): Reading {
  return {
    id: uuid(),
    row,
    check,
    side,
    result: 'recorded',
    entry: 'typed',
    units: 'in',
    ...content,
    taken_at: new Date().toISOString(),
  }
}

/** What the server will answer, as far as the device can tell. */
function expected(step: WalkStep, sent: Reading, check: Check, guide: WalkGuide): CurrentReading | null {
  if (sent.result === 'withdrawn') return null
  const base = { id: sent.id, taken_at: sent.taken_at, value: null, state: null, chips: [] }
  if (sent.result === 'not_fitted' || sent.result === 'looked_sound') {
    const reasons = [{ code: sent.result, ref: null, unit: null }]
    return { ...base, result: sent.result, verdict: 'sound', reasons }
  }
  const answer = sent.entry === 'same_as_last' ? step.last : read(sent, check)
  if (answer === null) return step.now
  const judged =
    answer.value === null
      ? judgeState(check, answer)
      : judgeByBands(bandsAt(step, check, guide.row_bands, null), answer.value, check)
  const { value, state, chips } = answer
  const reasons = value === null ? judged.reasons : [...judged.reasons, ...reasonsOf(chips)]
  return { ...base, value, state, chips, result: 'recorded', verdict: judged.verdict, reasons }
}

function read({ typed, units, state, chips }: Reading, check: Check): Answer | null {
  if (check.unit === null) return { value: null, state: state ?? null, chips: chips ?? [] }
  const figure = readFigure(typed ?? '', check, units)
  return 'value' in figure ? { ...figure, state: null } : null
}

function sayAgain(before: CurrentReading, check: Check): Content {
  if (before.result === 'looked_sound') return { result: 'looked_sound', entry: 'rest_of_row' }
  if (before.result === 'not_fitted') return { result: 'not_fitted' }
  if (before.value === null || check.unit === null) return { state: before.state ?? undefined, chips: before.chips }
  if (check.unit !== 'mm') return { typed: String(before.value), units: 'in', confirmed: true }
  const inches = printQuantity(before.value, 'mm', 'in')
  const again = readQuantity(inches, 'mm', 'in')
  const isExact = 'value' in again && toSteps(again.value, 'mm') === toSteps(before.value, 'mm')
  const off = before.chips.includes('off_left') ? ' L' : before.chips.includes('off_right') ? ' R' : ''
  return { typed: `${isExact ? inches : `${before.value} mm`}${off}`, confirmed: true }
}
