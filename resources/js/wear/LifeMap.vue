<script setup lang="ts">
import { computed } from 'vue'
import type { Check, PlaceForecast } from '@/api/types'
import FractionText from '@/components/FractionText.vue'
import { useUnits } from '@/composables/useUnits'
import { say } from '@/words'
import { printChance, printLeft } from './life'

/** The planter seen from behind, each row by how long one of its parts will last. */
const { places, check, rowCount, sections } = defineProps<{
  places: PlaceForecast[]
  check: Check
  rowCount: number
  sections: number[]
}>()
const emit = defineEmits<{ open: [place: PlaceForecast] }>()
const { quantity } = useUnits()

const SIGNS: Record<PlaceForecast['standing'], string> = {
  at_limit: '▲',
  hardly_lasts: '▲',
  may_not_last: '◐',
  lasts: '●',
  nominal: '○',
  unknown: '–',
}

const starts = computed(() => {
  let row = 1
  return new Set(sections.map((count) => (row += count) - count))
})
const columns = computed(() =>
  Array.from({ length: rowCount }, (_, index) => ({
    row: index + 1,
    startsSection: index > 0 && starts.value.has(index + 1),
    cells: check.sides.map((side) => {
      const place = places.find((candidate) => candidate.row === index + 1 && candidate.side === side)
      return { side, place, standing: place?.standing ?? 'unknown' }
    }),
  })),
)
</script>

<template>
  <div class="scroll" tabindex="0" role="group" :aria-label="`Life left by row: ${say(`check.${check.key}`)}`">
    <div class="map">
      <div v-for="column in columns" :key="column.row" :class="['column', { starts: column.startsSection }]">
        <span class="row">{{ column.row }}</span>
        <button
          v-for="{ side, place, standing } in column.cells"
          :key="side"
          type="button"
          :class="['cell', standing]"
          :disabled="place === undefined"
          :aria-label="`Row ${column.row} ${say(`side.${side}`)}: ${say(`standing.${standing}`)}`"
          @click="place && emit('open', place)"
        >
          <span class="side" aria-hidden="true"
            >{{ side === 'centre' ? '' : side.charAt(0).toUpperCase() }} {{ SIGNS[standing] }}</span
          >
          <template v-if="place">
            <strong
              ><fraction-text :text="place.size_mm === null ? '' : quantity(place.size_mm, check.unit ?? 'mm')"
            /></strong>
            <span>{{ printLeft(place.left_acres, place.thin) }}</span>
            <span v-if="place.chance !== null && place.left_m.p50 !== 0" class="odds">{{
              printChance(place.chance)
            }}</span>
          </template>
          <span v-else class="quiet">not measured</span>
        </button>
      </div>
    </div>
  </div>
  <p class="legend quiet">
    <span v-for="(sign, standing) in SIGNS" :key="standing"
      ><i :class="['swatch', standing]" aria-hidden="true">{{ sign }}</i> {{ say(`standing.${standing}`) }}</span
    >
  </p>
  <p class="quiet">
    In each: size to be expected now, acres left (from nine in ten to one in ten), odds of reaching the limit this
    season.
  </p>
</template>

<style scoped>
.scroll {
  overflow-x: auto;
  padding-bottom: 8px;
}
.map {
  display: flex;
  gap: 4px;
  min-width: min-content;
}
.column {
  display: grid;
  gap: 4px;
  flex: 1 0 104px;
  align-content: start;
}
.column.starts {
  border-left: 3px solid var(--line);
  padding-left: 4px;
}
.row {
  text-align: center;
  font-weight: 700;
}
.cell {
  display: grid;
  justify-items: center;
  align-content: start;
  gap: 2px;
  min-height: 96px;
  padding: 6px 2px;
  border-radius: 8px;
  border: 1px solid var(--line);
  font-size: 0.875rem;
  line-height: 1.25;
  white-space: nowrap;
}
.cell strong {
  font-size: 1rem;
}
.side {
  font-size: 0.8125rem;
}
.odds {
  font-weight: 700;
}
.at_limit,
.hardly_lasts {
  background: color-mix(in srgb, var(--change) 18%, var(--card));
  border-color: var(--change);
}
.at_limit {
  background: color-mix(in srgb, var(--change) 30%, var(--card));
}
.may_not_last {
  color: inherit;
  background: color-mix(in srgb, var(--watch) 16%, var(--card));
  border-color: var(--watch);
}
.lasts {
  background: color-mix(in srgb, var(--sound) 10%, var(--card));
}
.nominal {
  border-style: dashed;
}
.legend {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 16px;
  margin: 8px 0 4px;
}
.swatch {
  display: inline-block;
  width: 22px;
  text-align: center;
  font-style: normal;
  border: 1px solid var(--line);
  border-radius: 4px;
}
</style>
