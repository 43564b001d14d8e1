<script setup lang="ts">
import { computed, nextTick, ref, useTemplateRef, watch } from 'vue'
import type { Board, Cell, Check, Station } from '@/api/types'
import { placeKey } from '@/api/types'
import { say } from '@/words'
import { useUnits } from '@/composables/useUnits'
import BoardCell from './BoardCell.vue'
import { type BoardFilter, passes } from './filter'

/** Rows across, checks down; arrow keys move, Enter opens. Scrolls sideways under a fixed first column. */
const { board, filter, selectedRow, station } = defineProps<{
  board: Board
  filter: BoardFilter
  selectedRow?: number
  /** Only this one is shown. */
  station?: Station
}>()
const emit = defineEmits<{ open: [cell: Cell]; select: [row: number]; strip: [check: Check] }>()
const { unitName } = useUnits()
const table = useTemplateRef<HTMLElement>('table')

const cells = computed(() => new Map(board.cells.map((cell) => [placeKey(cell), cell])))
const checks = computed(() =>
  board.checks.filter((check) => !check.whole_planter && (station === undefined || check.station === station)),
)
/** The matrix's lines: a check's side each, top to bottom. */
const lines = computed(() => checks.value.flatMap((check) => check.sides.map((side) => ({ check, side }))))
const firstOfSection = computed(() => {
  const first = new Set<number>()
  board.planter.sections.reduce((row, count) => (first.add(row), row + count), 1)
  return first
})
const focus = ref({ line: 0, row: 1 })

function cellAt(check: Check, side: Check['sides'][number], row: number): Cell {
  return cells.value.get(placeKey({ row, check: check.key, side })) as Cell
}

function lineName(check: Check, side: Check['sides'][number]): string {
  const unit = check.unit === null ? '' : unitName(check.unit)
  return `${say(`measure.${check.key}`)} ${say(`side.${side}`)}`.trim() + (unit && `, ${unit}`)
}

function move(event: KeyboardEvent): void {
  const steps: Record<string, [number, number]> = {
    ArrowLeft: [0, -1],
    ArrowRight: [0, 1],
    ArrowUp: [-1, 0],
    ArrowDown: [1, 0],
    '[': [0, -1],
    ']': [0, 1],
  }
  const step = steps[event.key]
  if (!step) return
  event.preventDefault()
  const line = Math.min(lines.value.length - 1, Math.max(0, focus.value.line + step[0]))
  const row = Math.min(board.ribbon.length, Math.max(1, focus.value.row + step[1]))
  focus.value = { line, row }
  emit('select', row)
  void nextTick(() => table.value?.querySelector<HTMLElement>('[tabindex="0"]')?.focus())
}

watch(
  () => selectedRow,
  (row) => {
    if (row !== undefined) {
      focus.value = { ...focus.value, row }
      table.value?.querySelector(`[data-head="${row}"]`)?.scrollIntoView({ block: 'nearest', inline: 'nearest' })
    }
  },
)
</script>

<template>
  <div class="scroll">
    <table ref="table" class="matrix" @keydown="move">
      <thead>
        <tr>
          <th scope="col" class="corner"><span class="spoken">Check</span></th>
          <th
            v-for="row in board.ribbon"
            :key="row.row"
            scope="col"
            :data-head="row.row"
            :class="{ chosen: row.row === selectedRow, wing: firstOfSection.has(row.row) }"
          >
            <router-link
              class="to-row"
              :to="{ name: 'row', params: { planter: board.planter.id, row: row.row } }"
              :aria-label="`Row ${row.row}: its page`"
              >{{ row.row }}</router-link
            >
          </th>
        </tr>
      </thead>
      <tbody
        v-for="(check, nth) in checks"
        :key="check.key"
        :class="{ first: check.station !== checks[nth - 1]?.station }"
      >
        <tr v-for="(side, index) in check.sides" :key="side">
          <th scope="row" class="station">
            <span v-if="index === 0 && check.station !== checks[nth - 1]?.station" class="name">{{
              say(`station.${check.station}`)
            }}</span>
            <button
              v-if="check.unit !== null && index === 0"
              type="button"
              class="what strip"
              :aria-label="`${say(`check.${check.key}`)}: all rows on a scale`"
              @click="emit('strip', check)"
            >
              {{ lineName(check, side) }}
            </button>
            <span v-else class="what">{{ lineName(check, side) }}</span>
          </th>
          <td
            v-for="row in board.ribbon"
            :key="row.row"
            :class="{ chosen: row.row === selectedRow, wing: firstOfSection.has(row.row) }"
          >
            <board-cell
              :check="check"
              :cell="cellAt(check, side, row.row)"
              :faded="!passes(cellAt(check, side, row.row), filter)"
              :tabindex="
                lines[focus.line]?.check === check && lines[focus.line]?.side === side && focus.row === row.row ? 0 : -1
              "
              @click="emit('open', cellAt(check, side, row.row))"
              @focus="
                focus = { line: lines.findIndex((line) => line.check === check && line.side === side), row: row.row }
              "
            />
          </td>
        </tr>
      </tbody>
    </table>
  </div>
</template>

<style scoped>
.scroll {
  overflow: auto;
  max-height: calc(100vh - 300px);
  min-height: 320px;
  background: var(--card);
  border: 1px solid var(--line);
  border-radius: var(--radius);
}
.matrix {
  border-collapse: separate;
  border-spacing: 0;
  min-width: 100%;
}
th,
td {
  padding: 0;
  font-weight: inherit;
}
thead th {
  height: 40px;
  min-width: 66px;
  font-weight: 700;
  border-bottom: 1px solid var(--line);
  position: sticky;
  top: 0;
  z-index: 2;
  background: var(--card);
}
.to-row {
  display: flex;
  align-items: center;
  justify-content: center;
  min-height: var(--touch);
  color: var(--ink);
  text-decoration: none;
}
.to-row:hover {
  text-decoration: underline;
}
.strip {
  padding: 0;
  text-align: left;
  text-decoration: underline;
  text-underline-offset: 3px;
  text-decoration-color: var(--accent);
  min-height: 40px;
}
tbody.first tr:first-child > * {
  border-top: 1px solid var(--line);
}
.matrix .corner {
  z-index: 3;
}
.corner,
.station {
  position: sticky;
  left: 0;
  z-index: 1;
  background: var(--card);
  border-right: 1px solid var(--line);
}
.station {
  text-align: left;
  padding: 6px 12px;
  min-width: 150px;
  line-height: 1.25;
}
.station .name {
  display: block;
  font-weight: 700;
}
.station .what {
  font-size: 0.875rem;
  color: var(--ink-2);
}
.matrix .chosen {
  background: var(--accent-weak);
}
.wing:not(:nth-child(2)) {
  border-left: 3px solid var(--line);
}
@media (max-width: 700px) {
  .station {
    min-width: 104px;
    padding: 6px 8px;
  }
}
</style>
