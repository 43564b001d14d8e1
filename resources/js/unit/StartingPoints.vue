<script setup lang="ts">
import RowUnitDrawing from '@/drawings/RowUnitDrawing.vue'
import type { Equipment, SpecSheet } from '@/api/types'
import { say } from '@/words'
import { makeUp, type Start, startingPoints } from './catalogue'

/** Eight row units to begin with, each drawn as it is composed. */
const { sheets, chosen } = defineProps<{ sheets: SpecSheet[]; chosen?: string }>()
const emit = defineEmits<{ choose: [start: Start, sheet: SpecSheet, equipment: Equipment] }>()

// words: start
const starts = startingPoints.flatMap((start) => {
  const sheet =
    sheets.find(({ type, own }) => type === start.type && !own) ?? sheets.find(({ type }) => type === start.type)
  if (!sheet) return []
  const equipment = { ...sheet.typical_equipment, ...start.equipment } as Equipment
  const made = makeUp(equipment)
  return [{ start, sheet, equipment, made, unit: { equipment, stations: [...made.stations] } }]
})
</script>

<template>
  <section aria-label="Start with">
    <h2>Start with</h2>
    <ul>
      <li v-for="{ start, sheet, equipment, made, unit } in starts" :key="start.key">
        <button type="button" :aria-pressed="chosen === start.key" @click="emit('choose', start, sheet, equipment)">
          <row-unit-drawing :unit="unit" aria-hidden="true" />
          <span>{{ say(`start.${start.key}`) }}</span>
          <small>{{ made.perRow }} checks a row</small>
        </button>
      </li>
    </ul>
  </section>
</template>

<style scoped>
ul {
  display: grid;
  grid-template-columns: repeat(4, 1fr);
  gap: 10px;
  list-style: none;
  padding: 0;
  margin: 10px 0 0;
}
button {
  display: grid;
  width: 100%;
  padding: 10px;
  border: 1px solid var(--line);
  border-radius: 6px;
  text-align: left;
  background: var(--card);
}
button[aria-pressed='true'] {
  border-color: var(--accent);
  background: var(--accent-weak);
}
span {
  font-weight: 700;
}
button :deep(svg) {
  height: 84px;
}
small {
  color: var(--ink-2);
}
@media (max-width: 900px) {
  ul {
    grid-template-columns: repeat(2, 1fr);
  }
}
</style>
