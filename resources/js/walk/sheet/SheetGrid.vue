<script setup lang="ts">
import { computed, onMounted, toRef, useTemplateRef } from 'vue'
import type { WalkGuide } from '@/api/types'
import FractionText from '@/components/FractionText.vue'
import VerdictGlyph from '@/components/VerdictGlyph.vue'
import { useUnits } from '@/composables/useUnits'
import { say } from '@/words'
import { splitPaste } from './sheetCells'
import { type SheetLine, useSheet } from './useSheet'

/** All figures of the walk, rows across and checks down, typed and pasted like a spreadsheet; stored when it is said. */
const props = defineProps<{ planterId: number; guide: WalkGuide }>()
const { unitName, figure } = useUnits()
const {
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
  ...sheet
} = useSheet(props.planterId, toRef(props, 'guide'))
const table = useTemplateRef<HTMLElement>('table')

const faulty = computed(() => new Set(bad.value.map(({ key }) => key)))
const surprising = computed(() => new Set(doubtful.value.map(({ key }) => key)))

function nameOf({ check, side }: SheetLine): string {
  const unit = check.unit ? unitName(check.unit) : ''
  return `${say(`check.${check.key}`)} ${say(`side.${side}`)}`.trim() + (unit && `, ${unit}`)
}

/** What stands there already, where nothing is typed. */
function standing(key: string, { check }: SheetLine): string {
  const now = steps.value.get(key)?.now
  if (!now) return ''
  if (now.value !== null) return figure(now.value, check.unit ?? 'mark')
  return now.state ? say(`state.${now.state}`) : now.result === 'looked_sound' ? 'seen' : 'none'
}

const STEPS: Record<string, [number, number]> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
}

function move(event: KeyboardEvent, at: number, row: number): void {
  const here = lines.value[at] as SheetLine
  let [along, line] = [here.rows.indexOf(row), at]
  const step = STEPS[event.key]
  if (event.key === 'Enter') {
    along += event.shiftKey ? -1 : 1
    // At the end of one line the next begins.
    if (along >= here.rows.length && lines.value[line + 1]) [along, line] = [0, line + 1]
  } else if (step) {
    const field = event.target as HTMLInputElement
    // Inside a text the arrows move the cursor, as in a spreadsheet that edits.
    const inside =
      event.key === 'ArrowLeft'
        ? field.selectionStart !== 0
        : event.key === 'ArrowRight' && field.selectionEnd !== field.value.length
    if (inside) return
    along += step[0]
    line += step[1]
  } else return
  event.preventDefault()
  const to = lines.value[line]
  const onto = to?.rows[Math.min(along, to.rows.length - 1)]
  if (to && onto !== undefined) focus(keyOf(to, onto))
}

function paste(event: ClipboardEvent, line: number, row: number): void {
  const block = splitPaste(event.clipboardData?.getData('text/plain') ?? '')
  if (block.length < 2 && (block[0]?.length ?? 0) < 2) return
  event.preventDefault()
  sheet.paste(block, line, row)
}

function focus(key: string): void {
  table.value?.querySelector<HTMLInputElement>(`[data-place="${key}"]`)?.focus()
}

onMounted(() => {
  const first = lines.value[0]
  if (first) focus(keyOf(first, first.rows[0] as number))
})
</script>

<template>
  <div class="grid">
    <div class="head">
      <h1>Sheet</h1>
      <p class="quiet">
        Enter moves along the rows, arrow keys move anywhere, n means not fitted. You can paste cells from a
        spreadsheet. Nothing is saved until you save it.
      </p>
      <v-checkbox v-model="withConditions" class="all" hide-details density="compact" label="Conditions too" />
      <v-btn variant="text" :href="`/api/planters/${planterId}/blank.pdf`" target="_blank">Blank sheet</v-btn>
      <v-btn color="primary" :disabled="ready.length === 0" @click="sheet.store">
        Save {{ ready.length }} readings
      </v-btn>
    </div>
    <div v-if="notice || bad.length + doubtful.length > 0" class="told">
      <p v-if="notice" role="status">
        {{ notice }}
        <button v-if="pasted" type="button" class="turn" @click="sheet.turnPaste">Flip</button>
      </p>
      <ul v-if="bad.length > 0" class="change" role="alert">
        <li v-for="cell in bad.slice(0, 20)" :key="cell.key">
          <strong>{{ sheet.placeOf(cell.key) }}:</strong> {{ cell.fault }}
        </li>
        <li v-if="bad.length > 20">and {{ bad.length - 20 }} more, marked in the sheet.</li>
      </ul>
      <div v-if="doubtful.length > 0" class="really" role="alert">
        <strong>Is this right?</strong>
        <ul>
          <li v-for="cell in doubtful.slice(0, 20)" :key="cell.key">
            <strong>{{ sheet.placeOf(cell.key) }}:</strong> <fraction-text :text="sheet.doubtsOf(cell)" />
          </li>
          <li v-if="doubtful.length > 20">and {{ doubtful.length - 20 }} more.</li>
        </ul>
        <v-checkbox v-model="keepDoubtful" hide-details density="compact" label="These are right, save them too" />
      </div>
    </div>
    <div class="scroll">
      <table ref="table">
        <thead>
          <tr>
            <th scope="col" class="corner">Check</th>
            <th v-for="row in rows" :key="row" scope="col">{{ row }}</th>
          </tr>
        </thead>
        <tbody>
          <tr
            v-for="(line, at) in lines"
            :key="line.key"
            :class="{ starts: line.check.station !== lines[at - 1]?.check.station }"
          >
            <th scope="row">{{ nameOf(line) }}</th>
            <td
              v-for="row in line.rows"
              :key="row"
              :class="{ bad: faulty.has(keyOf(line, row)), doubtful: surprising.has(keyOf(line, row)) }"
            >
              <span v-if="!steps.has(keyOf(line, row))" class="quiet absent" aria-label="Not on this row">—</span>
              <input
                v-else
                v-model="typed[keyOf(line, row)]"
                :data-place="keyOf(line, row)"
                type="text"
                autocomplete="off"
                :placeholder="standing(keyOf(line, row), line)"
                :aria-label="sheet.placeOf(keyOf(line, row))"
                :aria-invalid="faulty.has(keyOf(line, row))"
                @keydown="move($event, at, row)"
                @paste="paste($event, at, row)"
              />
              <verdict-glyph
                v-if="steps.has(keyOf(line, row)) && sheet.verdictOf(keyOf(line, row))"
                class="sign"
                :verdict="sheet.verdictOf(keyOf(line, row)) ?? 'unchecked'"
                :size="12"
              />
            </td>
          </tr>
        </tbody>
      </table>
    </div>
  </div>
</template>

<style scoped>
.absent {
  padding-left: 10px;
}
.grid {
  display: flex;
  flex-direction: column;
  gap: 8px;
  height: 100%;
}
.head {
  flex: none;
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px 12px;
}
.head p {
  flex: 1 1 300px;
  font-size: 0.9375rem;
}
.all {
  flex: none;
}
.told {
  flex: none;
  display: grid;
  gap: 6px;
  max-height: 32%;
  overflow-y: auto;
  padding: 8px 12px;
  background: var(--card);
  border: 1px solid var(--line);
  border-radius: var(--radius);
}
.told ul {
  padding-left: 18px;
}
.turn {
  min-height: 40px;
  padding: 0 8px;
  color: var(--accent);
  text-decoration: underline;
}
.really {
  border-left: 5px solid var(--watch);
  padding-left: 12px;
}
.scroll {
  flex: 0 1 auto;
  min-height: 160px;
  overflow: auto;
  background: var(--card);
  border: 1px solid var(--line);
  border-radius: var(--radius);
}
table {
  border-collapse: separate;
  border-spacing: 0;
}
th {
  background: var(--card);
  text-align: left;
}
thead th {
  position: sticky;
  top: 0;
  z-index: 2;
  min-width: 98px;
  padding: 6px 10px;
  border-bottom: 1px solid var(--line);
}
tbody th,
.corner {
  position: sticky;
  left: 0;
  min-width: 190px;
  padding: 2px 12px;
  font-size: 0.9375rem;
  line-height: 1.2;
}
.corner {
  z-index: 3;
}
tbody th {
  z-index: 1;
}
.starts > * {
  border-top: 1px solid var(--line);
}
td {
  position: relative;
  padding: 1px 2px;
}
input {
  width: 100%;
  min-width: 94px;
  min-height: 38px;
  padding: 0 18px 0 7px;
  font-size: 0.9375rem;
  border: 1px solid transparent;
  border-radius: 5px;
  background: var(--paper);
  color: var(--ink);
}
input::placeholder {
  color: var(--ink-2);
  opacity: 1;
}
input:focus {
  outline: 2px solid var(--accent);
}
.bad input {
  border: 2px solid var(--change);
}
.doubtful input {
  border: 2px solid var(--watch);
}
.sign {
  position: absolute;
  right: 6px;
  top: calc(50% - 6px);
  pointer-events: none;
}
@media (pointer: coarse) {
  input {
    min-height: var(--touch);
  }
}
@media (max-width: 700px) {
  .head p {
    display: none;
  }
  tbody th,
  .corner {
    min-width: 120px;
    max-width: 120px;
    font-size: 0.8125rem;
  }
}
</style>
