<script setup lang="ts">
import { computed, nextTick, toRef, useTemplateRef, watch } from 'vue'
import type { Side, WalkGuide } from '@/api/types'
import FractionText from '@/components/FractionText.vue'
import VerdictGlyph from '@/components/VerdictGlyph.vue'
import { useUnits } from '@/composables/useUnits'
import { say, sayRow } from '@/words'
import { splitPaste } from './sheetCells'
import { useEntrySheet } from './useEntrySheet'

/** One check at a time, rows across, gone through like a spreadsheet; nothing is stored before it is said. */
const props = defineProps<{ planterId: number; guide: WalkGuide }>()
const { unitName, reading: print } = useUnits()
const {
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
  ...sheet
} = useEntrySheet(props.planterId, toRef(props, 'guide'))
const table = useTemplateRef<HTMLElement>('table')

const choices = computed(() =>
  checks.value.map(({ key, station }) => ({
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
const isBad = (key: string) => bad.value.some((cell) => cell.key === key)
const isDoubtful = (key: string) => doubtful.value.some((cell) => cell.key === key)

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
  sheet.fill(values, side, row)
}

function focus(key: string): void {
  table.value?.querySelector<HTMLInputElement>(`[data-place="${key}"]`)?.focus()
}

function turn(by: 1 | -1): void {
  const next = checks.value[index.value + by]
  if (next) chosen.value = next.key
}

watch(chosen, () => void nextTick(() => focus(keyOf(rows.value[0] as number, check.value.sides[0] as Side))))
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
      <v-btn variant="outlined" :disabled="index === checks.length - 1" @click="turn(1)">Next check</v-btn>
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
                  bad: isBad(keyOf(row, side)),
                  doubtful: isDoubtful(keyOf(row, side)),
                }"
                :aria-label="`${sayRow(row)} ${say(`side.${side}`)}`"
                :aria-invalid="isBad(keyOf(row, side))"
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
      <li v-for="cell in bad" :key="cell.key">
        <strong>{{ sheet.placeOf(cell.key) }}:</strong> {{ cell.fault }}
      </li>
    </ul>
    <div v-if="doubtful.length > 0" class="faults really" role="alert">
      <strong>Really?</strong>
      <ul>
        <li v-for="cell in doubtful" :key="cell.key">
          <strong>{{ sheet.placeOf(cell.key) }}:</strong> <fraction-text :text="sheet.doubtsOf(cell)" />
        </li>
      </ul>
      <v-checkbox v-model="keepDoubtful" hide-details label="These are right: store them too" />
    </div>
    <v-btn color="primary" size="large" :disabled="ready.length === 0" @click="sheet.store">
      Store {{ ready.length }} readings
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
