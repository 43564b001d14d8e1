<script setup lang="ts">
import { computed, nextTick, ref, useTemplateRef, watch } from 'vue'
import type { Board, Cell, Check } from '@/api/types'
import { placeKey } from '@/api/types'
import { say } from '@/words'
import { useUnits } from '@/composables/useUnits'
import BoardCell from './BoardCell.vue'
import { type BoardFilter, passes } from './filter'

/** Rows across, checks down; arrow keys move, Enter opens. Scrolls sideways under a fixed first column. */
const { board, filter, selectedRow } = defineProps<{ board: Board; filter: BoardFilter; selectedRow?: number }>()
const emit = defineEmits<{ open: [cell: Cell]; select: [row: number] }>()
const { units } = useUnits()
const table = useTemplateRef<HTMLElement>('table')

const cells = computed(() => new Map(board.cells.map((cell) => [placeKey(cell), cell])))
/** The matrix's lines: a check's side each, top to bottom. */
const lines = computed(() => board.checks.flatMap((check) => check.sides.map((side) => ({ check, side }))))
const firstOfSection = computed(() => {
  const first = new Set<number>()
  board.planter.sections.reduce((row, count) => (first.add(row), row + count), 1)
  return first
})
const focus = ref({ line: 0, row: 1 })

function cellAt(check: Check, side: Check['sides'][number], row: number): Cell {
  return cells.value.get(placeKey({ row, check: check.key, side })) as Cell
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
            {{ row.row }}
          </th>
        </tr>
      </thead>
      <tbody v-for="check in board.checks" :key="check.key">
        <tr v-for="(side, index) in check.sides" :key="side">
          <th scope="row" class="station">
            <span v-if="index === 0" class="name">{{ say(`station.${check.station}`) }}</span>
            <span class="what">{{ `${say(`measure.${check.key}`)} ${say(`side.${side}`)}`.trim() }}, {{ units }}</span>
          </th>
          <td
            v-for="row in board.ribbon"
            :key="row.row"
            :class="{ chosen: row.row === selectedRow, wing: firstOfSection.has(row.row) }"
          >
            <board-cell
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
  overflow-x: auto;
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
}
tbody tr:first-child > * {
  border-top: 1px solid var(--line);
}
tbody:first-of-type tr:first-child > * {
  border-top: 0;
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
.chosen {
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
