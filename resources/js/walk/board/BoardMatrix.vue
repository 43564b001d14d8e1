<script setup lang="ts">
import { computed } from 'vue'
import type { Board, Cell, Check, Station } from '@/api/types'
import { placeKey } from '@/api/types'
import FractionText from '@/components/FractionText.vue'
import GlanceTable from '@/components/GlanceTable.vue'
import StationHead from '@/components/StationHead.vue'
import VerdictGlyph from '@/components/VerdictGlyph.vue'
import { useUnits } from '@/composables/useUnits'
import { useUnfolded } from '@/composables/useUnfolded'
import { say, sayBriefly, sayCheck } from '@/words'
import { checksAt, sidesOf } from '../checks'
import BoardCell from './BoardCell.vue'
import { type BoardFilter, passes } from './filter'

/** A planter by its stations: each cell the place of it that matters most; a station unfolds into its checks. */
const { board, filter, selectedRow } = defineProps<{ board: Board; filter: BoardFilter; selectedRow?: number }>()
const emit = defineEmits<{ open: [cell: Cell]; select: [row: number]; strip: [check: Check]; wholePlanter: [] }>()
const { unitName, reading } = useUnits()

type Line = {
  key: string
  startsStation: boolean
  station: Station
  cells: (Cell | null)[]
  check?: Check
  name: string
}

const { unfolded, fold } = useUnfolded()
const places = computed(() => new Map(board.cells.map((cell) => [placeKey(cell), cell])))
const rows = computed(() => board.ribbon.map(({ row }) => row))
const checkOf = computed(() => checksAt(board))

const lines = computed(() =>
  board.glance
    .flatMap(({ station, places: shown }): Line[] => [
      {
        key: station,
        startsStation: true,
        station,
        cells: shown.map((at) => (at === null ? null : (board.cells[at] ?? null))),
        name: sayBriefly(`station.${station}`),
      },
      ...(unfolded.value.has(station) ? linesOf(station) : []),
    ])
    .filter(({ cells }) => filter === 'all' || cells.some((cell) => cell && passes(cell, filter))),
)

function linesOf(station: Station): Line[] {
  return board.checks
    .filter((check) => check.station === station)
    .flatMap((check) =>
      sidesOf(check.key, board).map((side, nth) => ({
        key: `${check.key} ${side}`,
        startsStation: false,
        station,
        cells: rows.value.map((row) => places.value.get(placeKey({ row, check: check.key, side })) ?? null),
        ...(check.unit !== null && nth === 0 ? { check } : {}),
        name: lineName(check, side),
      })),
    )
}

function lineName(check: Check, side: Check['sides'][number]): string {
  const unit = check.unit === null ? '' : unitName(check.unit)
  return `${say(`measure.${check.key}`)} ${say(`side.${side}`)}`.trim() + (unit && `, ${unit}`)
}

/** What of the planter as a whole is not sound, the worst first. */
const ofPlanter = computed(() => board.findings.flatMap((at) => board.cells[at] ?? []).filter(({ row }) => row === 0))
const planterPlaces = computed(() => board.cells.filter(({ row }) => row === 0).length)
</script>

<template>
  <glance-table
    :planter-id="board.planter.id"
    :ribbon="board.ribbon"
    :sections="board.planter.sections"
    :lines="lines"
    :selected-row="selectedRow"
    @select="emit('select', $event)"
  >
    <template #head="{ line }">
      <station-head
        v-if="line.startsStation"
        :name="line.name"
        :open="unfolded.has(line.station)"
        @fold="fold(line.station)"
      />
      <button
        v-else-if="line.check"
        type="button"
        class="what strip"
        :aria-label="`${say(`check.${line.check.key}`)}: all rows on a scale`"
        @click="emit('strip', line.check)"
      >
        {{ line.name }}
      </button>
      <span v-else class="what">{{ line.name }}</span>
    </template>
    <template #cell="{ line, row, tabindex, reach }">
      <board-cell
        v-if="line.cells[row - 1]"
        :cell="line.cells[row - 1] as Cell"
        :check="checkOf(line.cells[row - 1] as Cell)"
        :brief="line.startsStation"
        :faded="!passes(line.cells[row - 1] as Cell, filter)"
        :tabindex="tabindex"
        @click="emit('open', line.cells[row - 1] as Cell)"
        @focus="reach"
      />
    </template>
    <template #foot>
      <tr v-if="planterPlaces > 0" class="planter">
        <th scope="row"><station-head name="Whole planter" :open="false" @fold="emit('wholePlanter')" /></th>
        <td :colspan="rows.length">
          <button type="button" class="all" @click="emit('wholePlanter')">
            <span v-for="cell in ofPlanter.slice(0, 3)" :key="placeKey(cell)" :class="['found', cell.now?.verdict]">
              <verdict-glyph :verdict="cell.now?.verdict ?? 'unchecked'" :size="14" />
              {{ sayCheck(cell) }}
              <fraction-text v-if="cell.now && cell.now.value !== null" :text="reading(cell.now, checkOf(cell))" />
            </span>
            <span v-if="ofPlanter.length > 3" class="quiet">and {{ ofPlanter.length - 3 }} more</span>
            <span class="quiet">{{ board.whole_planter.checked }} of {{ planterPlaces }} checked</span>
          </button>
        </td>
      </tr>
    </template>
  </glance-table>
</template>

<style scoped>
.what {
  display: block;
  width: 100%;
  padding: 3px 8px 3px 28px;
  font-size: 0.875rem;
  line-height: 1.25;
  text-align: left;
  color: var(--ink-2);
}
.strip {
  min-height: var(--line-height);
  text-decoration: underline;
  text-underline-offset: 3px;
  text-decoration-color: var(--accent);
}
.planter > * {
  border-top: 1px solid var(--line);
  padding: 0;
}
.planter th {
  position: sticky;
  left: 0;
  z-index: 1;
  background: var(--card);
  text-align: left;
}
.all {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 0 16px;
  width: 100%;
  min-height: var(--line-height);
  padding: 2px 8px;
  font-size: 0.9375rem;
  text-align: left;
}
.found {
  display: inline-flex;
  align-items: center;
  gap: 4px;
  font-weight: 700;
}
</style>
