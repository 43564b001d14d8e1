<script setup lang="ts">
import { computed } from 'vue'
import type { Board, Forecast, PlaceForecast, Planter, Station } from '@/api/types'
import { placeKey } from '@/api/types'
import GlanceTable from '@/components/GlanceTable.vue'
import StationHead from '@/components/StationHead.vue'
import { useUnfolded } from '@/composables/useUnfolded'
import { checksAt, sidesOf } from '@/walk/checks'
import { say, sayBriefly } from '@/words'
import LifeCell from './LifeCell.vue'
import { SIGNS } from './life'

/** The lines of the board by how long what wears there will last; a station unfolds into its measures. */
const { planter, forecast, board, selectedRow } = defineProps<{
  planter: Pick<Planter, 'id' | 'sections'>
  forecast: Forecast
  board: Pick<Board, 'checks' | 'row_checks' | 'ribbon'>
  selectedRow?: number
}>()
const emit = defineEmits<{ open: [place: PlaceForecast]; select: [row: number] }>()

type Line = { key: string; startsStation: boolean; station: Station; cells: (PlaceForecast | null)[]; name: string }

const { unfolded, fold } = useUnfolded()
const places = computed(() => new Map(forecast.places.map((place) => [placeKey(place), place])))
const checkOf = computed(() => checksAt(board))

const lines = computed(() =>
  forecast.glance
    .filter(({ places: shown }) => shown.some((at) => at !== null))
    .flatMap(({ station, places: shown }): Line[] => [
      {
        key: station,
        startsStation: true,
        station,
        cells: shown.map((at) => (at === null ? null : (forecast.places[at] ?? null))),
        name: sayBriefly(`station.${station}`),
      },
      ...(unfolded.value.has(station) ? linesOf(station, shown.length) : []),
    ]),
)

function linesOf(station: Station, rows: number): Line[] {
  return board.checks
    .filter((check) => check.station === station && 'life' in check.figures)
    .flatMap((check) =>
      sidesOf(check.key, board).map((side) => ({
        key: `${check.key} ${side}`,
        startsStation: false,
        station,
        cells: Array.from(
          { length: rows },
          (_, index) => places.value.get(placeKey({ row: index + 1, check: check.key, side })) ?? null,
        ),
        name: `${say(`measure.${check.key}`)} ${say(`side.${side}`)}`.trim(),
      })),
    )
}
</script>

<template>
  <glance-table
    :planter-id="planter.id"
    :ribbon="board.ribbon"
    :sections="planter.sections"
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
      <span v-else class="what">{{ line.name }}</span>
    </template>
    <template #cell="{ line, row, tabindex, reach }">
      <life-cell
        v-if="line.cells[row - 1]"
        :place="line.cells[row - 1] as PlaceForecast"
        :check="checkOf(line.cells[row - 1] as PlaceForecast)"
        :tabindex="tabindex"
        @click="emit('open', line.cells[row - 1] as PlaceForecast)"
        @focus="reach"
      />
    </template>
  </glance-table>
  <p class="legend quiet">
    Acres left (median: half last longer).
    <span v-for="(sign, standing) in { ...SIGNS, lasts: '' }" :key="standing" :class="['sign', { lasts: sign === '' }]"
      ><i aria-hidden="true">{{ sign }}</i> {{ say(`standing.${standing}`) }}</span
    >
  </p>
</template>

<style scoped>
.what {
  display: block;
  padding: 3px 8px 3px 28px;
  font-size: 0.875rem;
  line-height: 1.25;
  color: var(--ink-2);
}
.legend {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 16px;
  margin: 6px 0;
  font-size: 0.9375rem;
}
.lasts {
  padding: 0 6px;
  background: color-mix(in srgb, var(--sound) 10%, transparent);
}
.sign {
  white-space: nowrap;
}
i {
  font-style: normal;
}
</style>
