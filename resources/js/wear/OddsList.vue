<script setup lang="ts">
import type { Check, PlaceForecast } from '@/api/types'
import { placeKey } from '@/api/types'
import FractionText from '@/components/FractionText.vue'
import { useUnits } from '@/composables/useUnits'
import { fullDate } from '@/dates'
import { sayCheck } from '@/words'
import { printChance } from '@/measure/odds'
import { printLeft } from './life'

/** Places by their odds of reaching the limit before the season ends, the worst first. */
const { places, checkOf } = defineProps<{
  places: PlaceForecast[]
  checkOf: (place: Pick<PlaceForecast, 'check' | 'row'>) => Check
}>()
const emit = defineEmits<{ open: [place: PlaceForecast] }>()
const { quantity, units } = useUnits()
</script>

<template>
  <p v-if="places.length === 0" class="quiet">Every measured part is expected to last the season.</p>
  <ul v-else>
    <li v-for="place in places" :key="placeKey(place)">
      <button type="button" @click="emit('open', place)">
        <span class="odds">{{ place.left_m.p50 === 0 ? 'at its limit' : printChance(place.chance ?? 1) }}</span>
        <span class="what"
          ><strong>Row {{ place.row }}</strong> {{ sayCheck(place).toLowerCase() }}
          <fraction-text v-if="place.size_mm !== null" :text="quantity(place.size_mm, checkOf(place).unit ?? 'mm')"
        /></span>
        <span class="quiet"
          >{{
            place.left_m.p50 === 0
              ? 'change or adjust before planting'
              : `${printLeft(place.left_acres, place.thin, units)} left`
          }}{{ place.due_on && place.left_m.p50 !== 0 ? `, about ${fullDate(place.due_on)}` : ''
          }}{{ place.outliers.length > 0 ? '; one reading does not fit' : '' }}</span
        >
      </button>
    </li>
  </ul>
</template>

<style scoped>
ul {
  list-style: none;
  padding: 0;
}
button {
  display: grid;
  grid-template-columns: 96px minmax(240px, 1fr) 1.2fr;
  align-items: center;
  gap: 8px;
  width: 100%;
  min-height: var(--touch);
  text-align: left;
  border-top: 1px solid var(--line);
}
.odds {
  font-weight: 700;
  color: var(--change);
}
@media (max-width: 700px) {
  button {
    grid-template-columns: 80px 1fr;
  }
  button .quiet {
    grid-column: 2;
  }
}
</style>
