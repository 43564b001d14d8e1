import { computed, type Ref } from 'vue'
import type { Answer, Station, Walk, WalkGuide, WalkStep } from '@/api/types'
import { isToDo, type PlaceRef, placeKey } from '@/api/types'
import { useSession } from '@/session'
import type { useWalk } from '../useWalk'

/** A station of one row: where a technician stands still. Row 0 is the planter as a whole. */
export type Stop = { key: string; row: number; station: Station; steps: WalkStep[] }

/** Going through a walk a station at a time: what is measured is typed, the rest is sound unless said. */
export function useStops(guide: Ref<WalkGuide>, walk: ReturnType<typeof useWalk>) {
  const session = useSession()
  const keyOf = (step: WalkStep) => `${step.row} ${walk.checkOf(step).station}`

  const stops = computed<Stop[]>(() => {
    const found = new Map<string, Stop>()
    for (const step of walk.steps.value) {
      const key = keyOf(step)
      const stop = found.get(key) ?? { key, row: step.row, station: walk.checkOf(step).station, steps: [] }
      stop.steps.push(step)
      found.set(key, stop)
    }
    return inOrder([...found.values()], guide.value.walk as Walk)
  })
  const stop = computed(() => stops.value.find(({ key }) => key === keyOf(walk.current.value)) as Stop)
  const index = computed(() => stops.value.indexOf(stop.value))
  const toDo = (one: Stop) => one.steps.some((step) => isToDo(step))
  /** The stop after this one at which something is left to do, from here to the end and then from the start. */
  const next = computed(() => [...stops.value.slice(index.value + 1), ...stops.value.slice(0, index.value)].find(toDo))
  const isFigure = (step: WalkStep) => walk.checkOf(step).unit !== null
  /** What nobody has said anything of yet, and is looked at rather than measured. */
  const rest = computed(() => stop.value.steps.filter((step) => isToDo(step) && !isFigure(step)))

  /** All that is said while standing here is taken back in one go. */
  const deed = () => stop.value.key

  function goTo(one: Stop | undefined): void {
    const step = one?.steps.find((candidate) => isToDo(candidate)) ?? one?.steps[0]
    if (step) walk.goTo(step)
  }

  return {
    stops,
    stop,
    next,
    rest,
    isFigure,
    done: computed(() => stops.value.filter((one) => !toDo(one)).length),
    goTo,
    typed: (place: PlaceRef, typed: string, confirmed: boolean) =>
      walk.record({ typed, units: session.units, confirmed }, [place], deed()),
    say: (place: PlaceRef, { state, chips }: Pick<Answer, 'state' | 'chips'>) =>
      walk.record({ state: state ?? undefined, chips }, [place], deed()),
    sameAsLast: (place: PlaceRef) => walk.record({ entry: 'same_as_last' }, [place], deed()),
    notFitted: (places: PlaceRef[]) => walk.record({ result: 'not_fitted' }, places, deed()),
    /** The rest here is sound, and on to where something is left to do. */
    restIsSound(): void {
      const onTo = next.value
      walk.record({ result: 'looked_sound', entry: 'rest_here' }, rest.value, deed())
      goTo(onTo)
    },
    isHere: (place: PlaceRef) => stop.value.steps.some((step) => placeKey(step) === placeKey(place)),
  }
}

/** Row by row they stand as the steps do; station by station each station goes along the rows, and back on the next in the snake. */
function inOrder(stops: Stop[], { order }: Walk): Stop[] {
  if (order === 'row_by_row') return stops
  const stations = [...new Set(stops.map(({ station }) => station))]
  return stations.flatMap((station, nth) => {
    const along = stops.filter((stop) => stop.station === station).sort((a, b) => a.row - b.row)
    return order === 'snake' && nth % 2 === 1 ? along.reverse() : along
  })
}
