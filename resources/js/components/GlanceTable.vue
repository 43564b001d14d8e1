<script setup lang="ts" generic="Line extends { key: string; startsStation: boolean }">
import { computed, nextTick, ref, useTemplateRef, watch } from 'vue'
import type { RibbonRow } from '@/api/types'
import RowMark, { sayRow } from './RowMark.vue'

/**
 * Rows of a planter across, lines down. Arrow keys move, Enter opens. Scrolls sideways under a fixed first column, and
 * never the page.
 */
const { planterId, ribbon, sections, lines, selectedRow } = defineProps<{
  planterId: number
  ribbon: RibbonRow[]
  sections: number[]
  lines: Line[]
  selectedRow?: number
}>()
const emit = defineEmits<{ select: [row: number] }>()
defineSlots<{
  head(of: { line: Line }): unknown
  cell(of: { line: Line; row: number; tabindex: number; reach: () => void }): unknown
  foot(): unknown
}>()
const table = useTemplateRef<HTMLElement>('table')

const rowCount = computed(() => ribbon.length)
const firstOfSection = computed(() => {
  const first = new Set<number>()
  sections.reduce((row, count) => (first.add(row), row + count), 1)
  return first
})
const focus = ref({ line: '', row: 1 })
const focusedLine = computed(() =>
  Math.max(
    0,
    lines.findIndex(({ key }) => key === focus.value.line),
  ),
)

const STEPS: Record<string, [number, number]> = {
  ArrowLeft: [0, -1],
  ArrowRight: [0, 1],
  ArrowUp: [-1, 0],
  ArrowDown: [1, 0],
  '[': [0, -1],
  ']': [0, 1],
}

function move(event: KeyboardEvent): void {
  const step = STEPS[event.key]
  if (!step) return
  event.preventDefault()
  const line = lines[Math.min(lines.length - 1, Math.max(0, focusedLine.value + step[0]))]
  const row = Math.min(rowCount.value, Math.max(1, focus.value.row + step[1]))
  focus.value = { line: line?.key ?? '', row }
  emit('select', row)
  void nextTick(() => table.value?.querySelector<HTMLElement>('[tabindex="0"]')?.focus())
}

watch(
  () => selectedRow,
  (row) => {
    if (row === undefined) return
    focus.value = { ...focus.value, row }
    table.value?.querySelector(`[data-head="${row}"]`)?.scrollIntoView({ block: 'nearest', inline: 'nearest' })
  },
)
</script>

<template>
  <div class="scroll">
    <table ref="table" class="table" :style="{ '--rows': rowCount }" @keydown="move">
      <thead>
        <tr>
          <th scope="col" class="corner"><span class="spoken">Station</span></th>
          <th
            v-for="of in ribbon"
            :key="of.row"
            scope="col"
            :data-head="of.row"
            :class="{ chosen: of.row === selectedRow, wing: firstOfSection.has(of.row) }"
          >
            <router-link
              class="to-row"
              :to="{ name: 'row', params: { planter: planterId, row: of.row } }"
              :aria-label="sayRow(of)"
              :title="sayRow(of)"
              >{{ of.row }}<row-mark :row="of"
            /></router-link>
          </th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="(line, index) in lines" :key="line.key" :class="{ starts: line.startsStation }">
          <th scope="row" class="head"><slot name="head" :line="line" /></th>
          <td
            v-for="row in rowCount"
            :key="row"
            :class="{ chosen: row === selectedRow, wing: firstOfSection.has(row) }"
          >
            <slot
              name="cell"
              :line="line"
              :row="row"
              :tabindex="index === focusedLine && row === focus.row ? 0 : -1"
              :reach="() => (focus = { line: line.key, row })"
            />
          </td>
        </tr>
      </tbody>
      <tfoot>
        <slot name="foot" />
      </tfoot>
    </table>
  </div>
</template>

<style scoped>
.scroll {
  --line-height: 29px;
  overflow: auto;
  background: var(--card);
  border: 1px solid var(--line);
  border-radius: var(--radius);
}
.table {
  border-collapse: separate;
  border-spacing: 0;
  --head: 174px;
  width: max(100%, calc(var(--head) + var(--rows) * 66px));
  table-layout: fixed;
}
th,
td {
  padding: 0;
  font-weight: inherit;
}
thead th {
  font-weight: 700;
  border-bottom: 1px solid var(--line);
  position: sticky;
  top: 0;
  z-index: 2;
  background: var(--card);
}
.table .corner {
  width: var(--head);
  z-index: 3;
}
.to-row {
  display: flex;
  flex-direction: column;
  align-items: center;
  gap: 2px;
  padding: 4px 0 6px;
  color: var(--ink);
  text-decoration: none;
}
.to-row:hover {
  text-decoration: underline;
}
.starts > * {
  border-top: 1px solid var(--line);
}
tr:first-child > * {
  border-top: 0;
}
.corner,
.head {
  position: sticky;
  left: 0;
  z-index: 1;
  background: var(--card);
  text-align: left;
}
.table .chosen {
  background: var(--accent-weak);
}
.wing:not(:nth-child(2)) {
  border-left: 3px solid var(--line);
}
@media (pointer: coarse) {
  .scroll {
    --line-height: var(--touch);
  }
}
@media (max-width: 700px) {
  .table {
    --head: 116px;
  }
}
</style>
