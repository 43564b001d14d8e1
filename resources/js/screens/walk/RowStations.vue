<script setup lang="ts">
import type { Check, PlaceRef, WalkStep } from '@/api/types'
import { placeKey } from '@/api/types'
import FractionText from '@/components/FractionText.vue'
import VerdictGlyph from '@/components/VerdictGlyph.vue'
import { useUnits } from '@/composables/useUnits'
import RowUnitDrawing from '@/drawings/RowUnitDrawing.vue'
import { say } from '@/words'

/** The row unit with the station that is up, and what this row reads so far. */
const { checks } = defineProps<{ steps: WalkStep[]; current: WalkStep; checks: Check[] }>()
defineEmits<{ go: [place: PlaceRef] }>()
const { figure } = useUnits()
const stationOf = (step: WalkStep) => checks.find((check) => check.key === step.check)?.station
</script>

<template>
  <section class="sheet">
    <row-unit-drawing :lit="stationOf(current)" />
    <h2>Row {{ current.row }}</h2>
    <ul>
      <li v-for="step in steps" :key="placeKey(step)">
        <button
          type="button"
          :aria-current="placeKey(step) === placeKey(current) ? 'step' : undefined"
          @click="$emit('go', step)"
        >
          <verdict-glyph :verdict="step.now?.verdict ?? 'unchecked'" />
          <span class="name">{{ say(`station.${stationOf(step)}`) }} {{ say(`side.${step.side}`) }}</span>
          <fraction-text v-if="step.now?.mm != null" :text="figure(step.now.mm)" />
          <span v-else-if="step.now">none</span>
        </button>
      </li>
    </ul>
  </section>
</template>

<style scoped>
h2 {
  margin: 10px 0 4px;
}
ul {
  list-style: none;
  padding: 0;
  margin: 0 -8px;
}
button {
  display: flex;
  align-items: center;
  gap: 8px;
  width: 100%;
  min-height: var(--touch);
  padding: 0 8px;
  border-radius: 8px;
  text-align: left;
}
.name {
  flex: 1;
}
button[aria-current] {
  background: var(--accent-weak);
  font-weight: 700;
}
</style>
