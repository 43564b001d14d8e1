<script setup lang="ts">
import { computed, nextTick, ref, toRef, useTemplateRef, watch } from 'vue'
import type { Check, Side, WalkGuide, WalkStep } from '@/api/types'
import { placeKey } from '@/api/types'
import FractionText from '@/components/FractionText.vue'
import VerdictGlyph from '@/components/VerdictGlyph.vue'
import { useUnits } from '@/composables/useUnits'
import { wordDoubts } from '@/measure/bands'
import { readQuantity } from '@/measure/quantity'
import { useOutbox } from '@/offline/outbox'
import { reading, useSteps } from '@/screens/walk/useWalk'
import { say, sayRow } from '@/words'
import { readCell, type SheetCell, splitPaste } from './sheetCells'

/** One check at a time, rows across; nothing is stored before it is said. */
const props = defineProps<{ planterId: number; guide: WalkGuide }>()
const outbox = useOutbox()
const { units, unitName, reading: print } = useUnits()
const { all } = useSteps(toRef(props, 'guide'))
const table = useTemplateRef<HTMLElement>('table')

const chosen = ref<Check['key']>(props.guide.checks.find((check) => check.kind === 'measure')?.key ?? 'seed_tube')
const typed = ref<Record<string, string>>({})
const notice = ref('')
const keepDoubtful = ref(false)

const check = computed(() => props.guide.checks.find((candidate) => candidate.key === chosen.value) as Check)
const rows = computed(() => (check.value.whole_planter ? [0] : props.guide.ribbon.map(({ row }) => row)))
const steps = computed(() => new Map(all.value.map((step) => [placeKey(step), step])))
const choices = computed(() =>
  props.guide.checks.map(({ key, station }) => ({
    value: key,
    title: say(`check.${key}`),
    props: { subtitle: say(`station.${station}`) },
  })),
)
/** The unit in full, where the figures have one. */
const inUnit = computed(() => {
  const name = check.value.unit ? unitName(check.value.unit) : ''
  const inFull: Record<string, string> = { in: 'inches', mm: 'millimetres', '°': 'degrees' }
  return name && ` in ${inFull[name] ?? name}`
})
const index = computed(() => props.guide.checks.indexOf(check.value))

const keyOf = (row: number, side: Side) => placeKey({ row, check: chosen.value, side })
const cells = computed(() => {
  const read = new Map<string, SheetCell>()
  for (const row of rows.value)
    for (const side of check.value.sides) {
      const key = keyOf(row, side)
      const rowDoubt = props.guide.row_doubts[chosen.value]
      read.set(
        key,
        readCell(typed.value[key] ?? '', check.value, steps.value.get(key) as WalkStep, rowDoubt, units.value),
      )
    }
  return read
})
const good = computed(() => [...cells.value].filter(([, cell]) => cell !== null && 'content' in cell))
const bad = computed(() => [...cells.value].filter(([, cell]) => cell !== null && 'fault' in cell))
const doubtful = computed(() =>
  good.value.filter(([, cell]) => cell !== null && 'doubts' in cell && cell.doubts.length > 0),
)

function what(key: string): string {
  const cell = cells.value.get(key)
  if (!cell || !('doubts' in cell)) return cell && 'fault' in cell ? cell.fault : ''
  const read = check.value.unit && readQuantity(typed.value[key] ?? '', check.value.unit, units.value)
  return wordDoubts(cell.doubts, read && 'value' in read ? read.value : null, units.value)
}

const place = (key: string) => `${sayRow(Number(key.split(':')[0]))} ${say(`side.${key.split(':')[2]}`)}`.trim()

function store(): void {
  const walk = props.guide.walk?.id
  if (walk === undefined) return
  const stored = good.value.filter(([key]) => keepDoubtful.value || !doubtful.value.some(([other]) => other === key))
  void outbox.add(
    ...stored.map(([key, cell]) => {
      const content = cell !== null && 'content' in cell ? cell.content : {}
      const entry = content.result === 'not_fitted' ? ('typed' as const) : ('from_sheet' as const)
      const body = reading(steps.value.get(key) as WalkStep, { ...content, entry, confirmed: keepDoubtful.value })
      return { what: 'reading' as const, walk, planter: props.planterId, body }
    }),
  )
  const done = new Set(stored.map(([key]) => key))
  typed.value = Object.fromEntries(Object.entries(typed.value).filter(([key]) => !done.has(key)))
  notice.value = `${stored.length} ${stored.length === 1 ? 'reading' : 'readings'} stored.`
  keepDoubtful.value = false
}

function move(event: KeyboardEvent, side: Side, row: number): void {
  const sides = check.value.sides
  const by: Record<string, [number, number]> = {
    ArrowLeft: [-1, 0],
    ArrowRight: [1, 0],
    ArrowUp: [0, -1],
    ArrowDown: [0, 1],
  }
  const step = by[event.key]
  let [column, line] = [rows.value.indexOf(row), sides.indexOf(side)]
  if (event.key === 'Enter') {
    column += event.shiftKey ? -1 : 1
    // At the end of one side the other begins.
    if (column >= rows.value.length && line + 1 < sides.length) [column, line] = [0, line + 1]
  } else if (step) {
    const field = event.target as HTMLInputElement
    // Inside a text the arrows move the cursor, as in a spreadsheet that edits.
    const inside =
      event.key === 'ArrowLeft'
        ? field.selectionStart !== 0
        : event.key === 'ArrowRight' && field.selectionEnd !== field.value.length
    if (inside) return
    column += step[0]
    line += step[1]
  } else return
  event.preventDefault()
  const [nextRow, nextSide] = [rows.value[column], sides[line]]
  if (nextRow !== undefined && nextSide !== undefined) focus(keyOf(nextRow, nextSide))
}

function paste(event: ClipboardEvent, side: Side, row: number): void {
  const values = splitPaste(event.clipboardData?.getData('text/plain') ?? '')
  if (values.length < 2) return
  event.preventDefault()
  const from = rows.value.indexOf(row)
  const room = rows.value.slice(from)
  for (const [nth, at] of room.entries()) if (values[nth] !== undefined) typed.value[keyOf(at, side)] = values[nth]
  const over = values.length - room.length
  notice.value =
    over > 0
      ? `${values.length} cells were pasted, but from row ${row} on there are ${room.length} rows: the last ${over} are left out.`
      : `${values.length} cells pasted. Nothing is stored yet.`
}

function focus(key: string): void {
  table.value?.querySelector<HTMLInputElement>(`[data-place="${key}"]`)?.focus()
}

function turn(by: 1 | -1): void {
  const next = props.guide.checks[index.value + by]
  if (next) chosen.value = next.key
}

watch(chosen, () => {
  notice.value = ''
  void nextTick(() => focus(keyOf(rows.value[0] as number, check.value.sides[0] as Side)))
})
</script>

<template>
  <div class="entry">
    <div class="head">
      <h1>Quick entry</h1>
      <v-btn variant="outlined" :disabled="index === 0" @click="turn(-1)">Check before</v-btn>
      <v-autocomplete
        v-model="chosen"
        class="which"
        label="Check"
        :items="choices"
        variant="outlined"
        hide-details
        density="comfortable"
      />
      <v-btn variant="outlined" :disabled="index === guide.checks.length - 1" @click="turn(1)">Next check</v-btn>
      <v-btn variant="text" :href="`/api/planters/${planterId}/blank.pdf`" target="_blank">Blank sheet</v-btn>
    </div>
    <p class="quiet">
      <template v-if="check.unit">Figures{{ inUnit }}; n for not fitted.</template
      ><template v-else
        >{{ check.states.map(({ state }) => say(`state.${state}`)).join(', ') }}: the first letter does.</template
      >
      Arrows and Enter move; a column copied from a spreadsheet can be pasted. Nothing is stored before you say so.
    </p>
    <div ref="table" class="scroll">
      <table>
        <thead>
          <tr>
            <th scope="col">Row</th>
            <th v-for="row in rows" :key="row" scope="col">{{ row === 0 ? 'planter' : row }}</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="side in check.sides" :key="side">
            <th scope="row">{{ say(`side.${side}`) || say(`measure.${check.key}`) }}</th>
            <td v-for="row in rows" :key="row">
              <input
                v-model="typed[keyOf(row, side)]"
                :data-place="keyOf(row, side)"
                type="text"
                autocomplete="off"
                :class="{
                  bad: bad.some(([key]) => key === keyOf(row, side)),
                  doubtful: doubtful.some(([key]) => key === keyOf(row, side)),
                }"
                :aria-label="`${sayRow(row)} ${say(`side.${side}`)}`"
                :aria-invalid="bad.some(([key]) => key === keyOf(row, side))"
                @keydown="move($event, side, row)"
                @paste="paste($event, side, row)"
              />
              <span class="now"
                ><template v-if="steps.get(keyOf(row, side))?.now"
                  ><verdict-glyph :verdict="steps.get(keyOf(row, side))!.now!.verdict" :size="12" />
                  <fraction-text :text="print(steps.get(keyOf(row, side))!.now!, check)" /></template
                ><template v-else>&nbsp;</template></span
              >
            </td>
          </tr>
        </tbody>
      </table>
    </div>
    <p v-if="notice" role="status">{{ notice }}</p>
    <ul v-if="bad.length > 0" class="faults change" role="alert">
      <li v-for="[key] in bad" :key="key">
        <strong>{{ place(key) }}:</strong> {{ what(key) }}
      </li>
    </ul>
    <div v-if="doubtful.length > 0" class="faults really" role="alert">
      <strong>Really?</strong>
      <ul>
        <li v-for="[key] in doubtful" :key="key">
          <strong>{{ place(key) }}:</strong> <fraction-text :text="what(key)" />
        </li>
      </ul>
      <v-checkbox v-model="keepDoubtful" hide-details label="These are right: store them too" />
    </div>
    <v-btn
      color="primary"
      size="large"
      :disabled="good.length - (keepDoubtful ? 0 : doubtful.length) === 0"
      @click="store"
    >
      Store {{ good.length - (keepDoubtful ? 0 : doubtful.length) }} readings
    </v-btn>
  </div>
</template>

<style scoped>
.entry {
  display: grid;
  gap: 12px;
  max-width: 1500px;
  margin: 0 auto;
}
.head {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 10px;
}
.which {
  flex: 0 1 340px;
}
.scroll {
  overflow-x: auto;
  background: var(--card);
  border: 1px solid var(--line);
  border-radius: var(--radius);
}
table {
  border-collapse: collapse;
}
th {
  padding: 8px 10px;
  position: sticky;
  left: 0;
  background: var(--card);
}
td {
  padding: 2px 3px;
}
input {
  width: 66px;
  min-height: var(--touch);
  padding: 0 6px;
  border: 1px solid var(--line);
  border-radius: 6px;
  background: var(--paper);
  color: var(--ink);
  font-size: 1rem;
}
input.bad {
  border: 2px solid var(--change);
}
input.doubtful {
  border: 2px solid var(--watch);
}
.now {
  display: block;
  text-align: center;
  font-size: 0.8125rem;
  white-space: nowrap;
}
.faults {
  padding-left: 18px;
}
.really {
  border-left: 5px solid var(--watch);
  padding-left: 12px;
}
</style>
