<script setup lang="ts">
import { computed, defineAsyncComponent } from 'vue'
import { useWearChart } from '@/wear/queries'
import type { Check, PlaceForecast } from '@/api/types'
import FractionText from '@/components/FractionText.vue'
import { useUnits } from '@/composables/useUnits'
import { fullDate } from '@/dates'
import { sayCheck } from '@/words'
import { sayOdds } from '@/measure/odds'
import { printLeft } from './life'

/** One part's wear: the chart, what is left, and what to do. */
const { planterId, place, check } = defineProps<{ planterId: number; place: PlaceForecast; check: Check }>()
const emit = defineEmits<{ close: []; change: []; row: [] }>()
const WearChart = defineAsyncComponent(() => import('./WearChart.vue'))
const { area, distance, quantity, units } = useUnits()
const chart = useWearChart(
  () => planterId,
  () => place,
)
/** How far nine in ten of such parts get, half of them, one in ten. */
const reach = computed(() => {
  if (place.left_m.p50 === null || place.left_m.p50 === 0) return []
  const all = [
    { share: '9 in 10', at: 'p10' },
    { share: 'half', at: 'p50' },
    { share: '1 in 10', at: 'p90' },
  ] as const
  return all.map(({ share, at }) => {
    const [acres, metres] = [place.left_acres[at], place.left_m[at]]
    return {
      share,
      acres: acres === null ? 'too late to tell' : area(acres),
      furrow: metres === null ? 'too late to tell' : distance(metres),
    }
  })
})
</script>

<template>
  <v-dialog :model-value="true" max-width="860" aria-label="Wear" @update:model-value="emit('close')">
    <div class="sheet asks">
      <h2>Row {{ place.row }}, {{ sayCheck(place).toLowerCase() }}</h2>
      <dl>
        <div>
          <dt>Expected now</dt>
          <dd><fraction-text :text="place.size_mm === null ? '–' : quantity(place.size_mm, check.unit ?? 'mm')" /></dd>
        </div>
        <div>
          <dt>Has run</dt>
          <dd>{{ distance(place.use_m) }} of furrow</dd>
        </div>
        <div v-if="reach.length === 0">
          <dt>Left</dt>
          <dd>
            {{ printLeft(place.left_acres, place.thin, units)
            }}{{ place.left_m.p50 ? `, ${distance(place.left_m.p50)} of furrow` : '' }}
          </dd>
        </div>
        <div v-if="place.chance !== null">
          <dt>Limit this season</dt>
          <dd>
            {{ sayOdds(place.chance)
            }}{{ place.due_on && place.left_m.p50 !== 0 ? `, about ${fullDate(place.due_on)}` : '' }}
          </dd>
        </div>
      </dl>
      <table v-if="reach.length > 0">
        <thead>
          <tr>
            <th scope="col">Of parts like this</th>
            <th scope="col">have left, or more</th>
            <th scope="col">of furrow</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="{ share, acres, furrow } in reach" :key="share">
            <th scope="row">{{ share }}</th>
            <td>{{ acres }}</td>
            <td>{{ furrow }}</td>
          </tr>
        </tbody>
      </table>
      <p v-if="place.thin">
        Few readings yet, so this is mostly the spec sheet’s nominal life and very rough. Measure again after some
        acres; rows help forecast each other.
      </p>
      <p v-if="place.grown" class="watch">
        The newest reading is larger than possible after wear. Was the part changed?
        <template v-if="place.slot">If so, record the change. If not, measure again.</template>
        <template v-else>Measure again to be sure.</template>
      </p>
      <p v-else-if="place.outliers.length > 0" class="watch">
        {{ place.outliers.length === 1 ? 'One reading does' : `${place.outliers.length} readings do` }} not fit the rest
        and hardly {{ place.outliers.length === 1 ? 'weighs' : 'weigh' }};
        {{ place.outliers.length === 1 ? 'it is' : 'they are' }} drawn hollow. Measure again to be sure.
      </p>
      <wear-chart v-if="chart.data.value" :chart="chart.data.value" />
      <p v-else-if="chart.error.value" class="change" role="alert">The chart did not load. Try again.</p>
      <div class="actions">
        <v-btn variant="text" @click="emit('close')">Close</v-btn>
        <v-btn variant="outlined" @click="emit('row')">Open row {{ place.row }}</v-btn>
        <v-btn v-if="place.slot" color="primary" @click="emit('change')">{{
          place.grown ? 'It was changed' : 'Change this part'
        }}</v-btn>
      </div>
    </div>
  </v-dialog>
</template>

<style scoped>
dl {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 28px;
}
dt {
  color: var(--ink-2);
  font-size: 0.875rem;
}
table {
  justify-self: start;
  border-spacing: 0;
}
th,
td {
  text-align: left;
  padding: 2px 20px 2px 0;
}
th {
  color: var(--ink-2);
  font-weight: 400;
}
dd {
  margin: 0;
  font-weight: 700;
}
</style>
