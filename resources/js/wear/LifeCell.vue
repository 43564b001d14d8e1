<script setup lang="ts">
import { computed } from 'vue'
import type { Check, PlaceForecast } from '@/api/types'
import { useUnits } from '@/composables/useUnits'
import { say, sayCheck } from '@/words'
import { sayOdds } from '@/measure/odds'
import { printLeft, SIGNS } from './life'

/** How long one place will last: its odds by tint and sign, and the acres left. */
const { place, check } = defineProps<{ place: PlaceForecast; check: Check }>()
const { quantity, areaFigure, units } = useUnits()

const left = computed(() => {
  const acres = place.left_acres.p50
  if (acres === null) return place.standing === 'unknown' ? '' : 'beyond this season'
  return acres === 0 ? 'none' : areaFigure(acres)
})
const spoken = computed(() => {
  const size = place.size_mm === null ? '' : `, ${quantity(place.size_mm, check.unit ?? 'mm')}`
  const odds = place.chance === null ? '' : `, ${sayOdds(place.chance)} to reach its limit this season`
  const changed = place.grown ? ', changed?' : ''
  return `Row ${place.row}, ${sayCheck(place)}: ${say(`standing.${place.standing}`)}${size}, ${printLeft(place.left_acres, place.thin, units.value)} left${odds}${changed}`
})
</script>

<template>
  <button type="button" :class="['cell', place.standing]" :aria-label="spoken" :title="spoken">
    <span v-if="place.grown || place.standing !== 'lasts'" class="sign" aria-hidden="true">{{
      place.grown ? '?' : SIGNS[place.standing]
    }}</span>
    <span aria-hidden="true">{{ left }}</span>
  </button>
</template>

<style scoped>
.cell {
  width: 100%;
  min-height: var(--line-height);
  display: flex;
  align-items: center;
  justify-content: center;
  gap: 4px;
  padding: 1px;
  font-size: 0.875rem;
  white-space: nowrap;
}
.cell:hover {
  background: var(--accent-weak);
}
.sign {
  font-size: 0.75rem;
}
.at_limit,
.hardly_lasts {
  font-weight: 700;
  background: color-mix(in srgb, var(--change) 18%, transparent);
}
.at_limit {
  background: color-mix(in srgb, var(--change) 30%, transparent);
}
.may_not_last {
  font-weight: 700;
  background: color-mix(in srgb, var(--watch) 16%, transparent);
}
.lasts {
  background: color-mix(in srgb, var(--sound) 10%, transparent);
}
</style>
