<script setup lang="ts">
import type { PlaceRef, WalkStep } from '@/api/types'
import { placeKey } from '@/api/types'
import FractionText from '@/components/FractionText.vue'
import VerdictGlyph from '@/components/VerdictGlyph.vue'
import { useUnits } from '@/composables/useUnits'
import RowUnitDrawing from '@/drawings/RowUnitDrawing.vue'
import { say } from '@/words'

/** The row unit with the station that is up, and what this row reads so far. */
defineProps<{ steps: WalkStep[]; current: WalkStep }>()
defineEmits<{ go: [place: PlaceRef] }>()
const { figure } = useUnits()
const stationOf = { opener_blade_diameter: 'opener_blades', blade_contact_length: 'blade_contact' } as const
</script>

<template>
  <section class="sheet">
    <row-unit-drawing :lit="stationOf[current.check]" />
    <h2>Row {{ current.row }}</h2>
    <ul>
      <li v-for="step in steps" :key="placeKey(step)">
        <button
          type="button"
          :aria-current="placeKey(step) === placeKey(current) ? 'step' : undefined"
          @click="$emit('go', step)"
        >
          <verdict-glyph :verdict="step.now?.verdict ?? 'unchecked'" />
          <span class="name">{{ say(`station.${stationOf[step.check]}`) }} {{ say(`side.${step.side}`) }}</span>
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
