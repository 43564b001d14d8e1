<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Planter, Station } from '@/api/types'
import RowUnitDrawing from '@/drawings/RowUnitDrawing.vue'
import { say } from '@/words'

/** How the unit works, front to back, as it is composed: what each assembly does and what follows when it is worn. */
const isOpen = defineModel<boolean>({ required: true })
const { unit, from } = defineProps<{ unit: Pick<Planter, 'stations' | 'equipment'>; from?: Station }>()

// words: tour, station
const at = ref(Math.max(0, from ? unit.stations.indexOf(from) : 0))
const station = computed(() => unit.stations[at.value] as Station)
const step = (by: number) => (at.value = Math.min(unit.stations.length - 1, Math.max(0, at.value + by)))
const go = (to: Station) => {
  if (unit.stations.includes(to)) at.value = unit.stations.indexOf(to)
}
/** Every part can be tapped. */
const verdicts = computed(() => Object.fromEntries(unit.stations.map((of) => [of, 'unchecked'] as const)))
</script>

<template>
  <v-dialog v-model="isOpen" max-width="720" aria-label="How it works">
    <section class="sheet tour" tabindex="-1" @keydown.right="step(1)" @keydown.left="step(-1)">
      <header>
        <h2>How it works</h2>
        <span class="quiet">{{ at + 1 }} of {{ unit.stations.length }}</span>
      </header>
      <row-unit-drawing :unit="unit" :lit="station" :verdicts="verdicts" @choose="go" />
      <div aria-live="polite" class="said">
        <h3>{{ say(`station.${station}`) }}</h3>
        <p>{{ say(`tour.${station}.does`) }}</p>
        <p><strong>When it is worn:</strong> {{ say(`tour.${station}.worn`) }}</p>
      </div>
      <footer>
        <v-btn variant="text" size="large" @click="isOpen = false">Close</v-btn>
        <v-spacer />
        <v-btn variant="outlined" size="large" :disabled="at === 0" @click="step(-1)">Back</v-btn>
        <v-btn v-if="at < unit.stations.length - 1" color="primary" size="large" autofocus @click="step(1)">
          Next
        </v-btn>
        <v-btn v-else color="primary" size="large" @click="isOpen = false">Done</v-btn>
      </footer>
    </section>
  </v-dialog>
</template>

<style scoped>
.tour {
  display: grid;
  gap: 12px;
  padding: 20px;
}
header,
footer {
  display: flex;
  align-items: baseline;
  gap: 12px;
}
h2,
h3,
p {
  margin: 0;
}
header h2 {
  flex: 1;
}
.said {
  display: grid;
  gap: 6px;
  /* The buttons stay where the finger is. */
  min-height: 9.5em;
  align-content: start;
}
.tour :deep(svg) {
  max-height: 38vh;
}
</style>
