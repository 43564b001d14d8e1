<script setup lang="ts">
import { useEventListener, useMediaQuery } from '@vueuse/core'
import { computed, nextTick, ref, useTemplateRef, watch } from 'vue'
import type { Answer, Band, Check, Doubt, PlaceRef, WalkStep } from '@/api/types'
import { isToDo, placeKey } from '@/api/types'
import { say, sayRow } from '@/words'
import StationCondition from './StationCondition.vue'
import StationFigure from './StationFigure.vue'
import TouchKeypad from '../single/TouchKeypad.vue'
import { letters } from './stationKeys'
import type { Stop } from './useStops'

/**
 * All that is looked at on one row and station: the figures to type, and each condition as one line that is sound unless
 * said. Enter goes from figure to figure and then on; a letter opens its line.
 */
const { stop, checkOf, held, next } = defineProps<{
  stop: Stop
  checkOf: (place: Pick<PlaceRef, 'check' | 'row'>) => Check
  bandsOf: (step: WalkStep) => Band[]
  doubtsOf: (step: WalkStep) => Doubt[]
  othersOf: (place: PlaceRef) => number[]
  rowCount: number
  /** Which of the row's stations it is, and of how many. */
  nth: string
  next: Stop | undefined
  canUndo: boolean
  held: boolean
}>()
const emit = defineEmits<{
  typed: [place: PlaceRef, typed: string, confirmed: boolean]
  say: [place: PlaceRef, answer: Pick<Answer, 'state' | 'chips'>]
  notFitted: [places: PlaceRef[]]
  sameAsLast: [place: PlaceRef]
  on: []
  /** The figure or line that is in hand. */
  reach: [step: WalkStep]
  key: [key: string]
}>()

const figures = computed(() => stop.steps.filter((step) => checkOf(step).unit !== null))
const lines = computed(() =>
  stop.steps
    .filter((step) => checkOf(step).unit === null)
    .map((step, index) => ({ step, key: placeKey(step), letter: letters[index] ?? '' })),
)
const fields = useTemplateRef<InstanceType<typeof StationFigure>[]>('fields')
const conditions = useTemplateRef<InstanceType<typeof StationCondition>[]>('conditions')
// What stands in a list of refs is in no order of its own.
const fieldAt = (step: WalkStep | undefined) => fields.value?.find(({ place }) => step && place === placeKey(step))
const open = ref<string>()
const inHand = ref<string>()
const complaint = ref('')

/** On a phone the keys of a tape stand under the figures, while one is in hand. */
const isPhone = useMediaQuery('(max-width: 700px)')
const fieldInHand = computed(() => fields.value?.find(({ place }) => place === inHand.value))
const padFor = computed(() =>
  isPhone.value && open.value === undefined ? figures.value.find((step) => placeKey(step) === inHand.value) : undefined,
)
/** Whether another figure waits after the one that the keys are for. */
const hasNextFigure = computed(() => {
  const at = figures.value.findIndex((step) => step === padFor.value)
  return at >= 0 && figures.value.some((step, index) => index > at && isToDo(step))
})
function keyIn(typed: string): void {
  if (fieldInHand.value) fieldInHand.value.typed = typed
}

const openLine = computed(() => lines.value.findIndex(({ key }) => key === open.value))
const left = computed(() => lines.value.filter(({ step }) => isToDo(step)).length)
const figuresLeft = computed(() => figures.value.filter((step) => isToDo(step)).length)
const label = computed(() => {
  if (hasNextFigure.value) return 'Next'
  const on =
    next === undefined
      ? ''
      : next.row === stop.row
        ? nameOf(next)
        : `${sayRow(next.row).toLowerCase()}, ${nameOf(next)}`
  const rest =
    left.value > 0
      ? left.value === lines.value.length && figures.value.length === 0
        ? 'All sound here'
        : 'Rest is sound'
      : ''
  if (on === '') return rest || 'All checked'
  return rest ? `${rest}: on to ${on}` : `On to ${on}`
})
const nameOf = (one: Stop) => say(`station.${one.station}`).toLowerCase()

/** To the first figure that is not read yet; where there is none, keys are for the lines. */
function focusFirst(): void {
  const field = fieldAt(figures.value.find((step) => isToDo(step)))
  const active = document.activeElement
  if (field) field.focus()
  else if (active instanceof HTMLElement) active.blur()
}

function goOn(): void {
  // What is typed and cannot be stored holds everything else back.
  if (fields.value?.some((field) => !field.enter())) return
  const line = lines.value[openLine.value]
  if (line && isUnsaid()) {
    complaint.value = `Say what is wrong with “${say(`measure.${line.step.check}`)} ${say(`side.${line.step.side}`)}”, or press its key again.`
    return
  }
  emit('on')
}

function enter(): void {
  const at = figures.value.findIndex((step) => placeKey(step) === inHand.value)
  const isTyping = at >= 0 && (padFor.value !== undefined || document.activeElement instanceof HTMLInputElement)
  if (!isTyping) return goOn()
  if (!fieldAt(figures.value[at])?.enter()) return
  const after = figures.value.findIndex((step, index) => index > at && isToDo(step))
  if (after < 0 || isUnsaid()) return goOn()
  open.value = undefined
  fieldAt(figures.value[after])?.focus()
}

/** Whether a line is open of which nothing is said yet. */
const isUnsaid = () => openLine.value >= 0 && !condition()?.isSaid
const condition = () => conditions.value?.find(({ place }) => place === open.value)

function toggle(key: string): void {
  complaint.value = ''
  open.value = open.value === key ? undefined : key
  const line = lines.value.find((one) => one.key === key)
  if (line && open.value) emit('reach', line.step)
}

/** What "not fitted" is about: the open line, the figure in hand, or else all that nothing was said of. */
function notFitted(): void {
  const line = lines.value[openLine.value]
  const figure = figures.value.find((step) => placeKey(step) === inHand.value)
  const places = line ? [line.step] : figure ? [figure] : stop.steps.filter((step) => isToDo(step))
  emit('notFitted', places)
  open.value = undefined
  void nextTick(focusFirst)
}

const isFigureKey = (event: KeyboardEvent) =>
  event.target instanceof HTMLInputElement && /^[\d.,/ "'minft-]$/.test(event.key)
/** The figure in hand may be off to the left or the right, which is typed behind it. */
const isSideKey = (key: string) =>
  /^[lr]$/i.test(key) && figures.value.some((step) => placeKey(step) === inHand.value && checkOf(step).chips.length > 0)
const ANYWHERE = ['[', ']', '{', '}', '?']
const WHEN_EMPTY = ['u', 'h']

function onKey(event: KeyboardEvent): void {
  if (held || event.ctrlKey || event.metaKey || event.altKey) return
  if (event.target instanceof HTMLTextAreaElement) return
  if (take(event)) event.preventDefault()
}

function take(event: KeyboardEvent): boolean {
  const { key } = event
  const field = fields.value?.find(({ place }) => place === inHand.value)
  const isEmpty = field?.isEmpty ?? true
  if (key === 'Enter') {
    // A button that has the focus is pressed by it.
    if (event.target instanceof HTMLButtonElement || event.target instanceof HTMLAnchorElement) return false
    enter()
    return true
  }
  if (key === 'Escape') {
    open.value = undefined
    field?.clear()
    return true
  }
  if (open.value !== undefined && isEmpty && condition()?.takeKey(key)) return true
  if (isFigureKey(event) || (!isEmpty && isSideKey(key))) return false
  const line = lines.value.find(({ letter }) => letter === key)
  if (line) {
    // What is typed is stored first: the figures that follow are reasons.
    if (field?.enter() ?? true) toggle(line.key)
    return true
  }
  if (key === '=' && field && isEmpty) {
    const step = figures.value.find((one) => placeKey(one) === inHand.value)
    if (!step?.last) return true
    emit('sameAsLast', step)
    void nextTick(() => enter())
    return true
  }
  if (ANYWHERE.includes(key) || (isEmpty && WHEN_EMPTY.includes(key))) {
    emit('key', key)
    return true
  }
  // A figure is for the field that waits for it, wherever the last tap has left the focus.
  if (/^[\d.]$/.test(key) && !(event.target instanceof HTMLInputElement)) focusFirst()
  return false
}

useEventListener('keydown', onKey)
watch(
  [() => stop.key, () => held],
  ([key], [before]) => {
    if (key !== before) {
      open.value = undefined
      inHand.value = undefined
      complaint.value = ''
    }
    if (!held) void nextTick(focusFirst)
  },
  { immediate: true },
)
</script>

<template>
  <section class="sheet card">
    <header>
      <h1>
        {{ sayRow(stop.row) }}<span v-if="stop.row > 0" class="of"> of {{ rowCount }}</span> ·
        {{ say(`station.${stop.station}`) }}
      </h1>
      <span class="quiet">{{ nth }}</span>
    </header>
    <div class="lines">
      <station-figure
        v-for="step in figures"
        :key="placeKey(step)"
        ref="fields"
        :step="step"
        :check="checkOf(step)"
        :bands="bandsOf(step)"
        :doubts="doubtsOf(step)"
        :others="othersOf(step)"
        :keypad="isPhone"
        @store="(typed, confirmed) => emit('typed', step, typed, confirmed)"
        @reach="((inHand = placeKey(step)), emit('reach', step))"
      />
      <p v-if="lines.length > 0" class="unless quiet">Sound unless you mark it: press its key or tap.</p>
      <station-condition
        v-for="line in lines"
        :key="line.key"
        ref="conditions"
        :step="line.step"
        :check="checkOf(line.step)"
        :letter="line.letter"
        :open="open === line.key"
        @open="toggle(line.key)"
        @close="toggle(line.key)"
        @say="emit('say', line.step, $event)"
      />
    </div>
    <p v-if="complaint" class="complaint change" role="alert">{{ complaint }}</p>
    <p v-else-if="figuresLeft > 0 && next && !padFor" class="complaint quiet">
      {{ figuresLeft === 1 ? '1 figure is' : `${figuresLeft} figures are` }} not read yet; going on leaves it open.
    </p>
    <touch-keypad
      v-if="padFor"
      class="pad"
      :model-value="fieldInHand?.typed ?? ''"
      :check="checkOf(padFor)"
      without-next
      @mousedown.prevent
      @update:model-value="keyIn"
    />
    <footer>
      <v-btn class="on" color="primary" size="large" @mousedown.prevent @click="padFor ? enter() : goOn()"
        >{{ label }}<kbd>Enter</kbd></v-btn
      >
      <v-btn variant="outlined" @mousedown.prevent @click="notFitted">Not fitted</v-btn>
      <v-btn variant="outlined" @click="emit('key', 'm')">Note, photo</v-btn>
      <v-btn variant="outlined" :disabled="!canUndo" @click="emit('key', 'u')">Undo</v-btn>
    </footer>
  </section>
</template>

<style scoped>
.card {
  display: flex;
  flex-direction: column;
  min-height: 0;
  max-height: 100%;
  padding: 0;
}
header {
  display: flex;
  align-items: baseline;
  justify-content: space-between;
  gap: 12px;
  padding: 12px 16px 6px;
}
.of {
  font-weight: 400;
  color: var(--ink-2);
}
.lines {
  flex: 1 1 auto;
  min-height: 0;
  overflow-y: auto;
}
.unless {
  padding: 6px 16px;
  font-size: 0.9375rem;
}
.complaint {
  padding: 4px 16px 0;
  font-size: 0.9375rem;
}
footer {
  display: flex;
  gap: 10px;
  padding: 12px 16px;
}
.on {
  flex: 1;
  min-width: 0;
}
kbd {
  margin-left: 10px;
  font-family: var(--font);
  font-weight: 400;
  opacity: 0.8;
}
@media (pointer: coarse) {
  kbd {
    display: none;
  }
}
@media (max-width: 700px) {
  header {
    padding: 8px 10px 4px;
  }
  /* Figures and keys have its room. */
  header .quiet {
    display: none;
  }
  .pad {
    padding: 8px 10px 0;
    border-top: 1px solid var(--line);
  }
  h1 {
    font-size: 1.125rem;
  }
  footer {
    flex-wrap: wrap;
    gap: 6px;
    padding: 8px 10px;
  }
  .on {
    flex-basis: 100%;
  }
  .on :deep(.v-btn__content) {
    white-space: normal;
  }
  footer > :not(.on) {
    flex: 1;
  }
}
</style>
