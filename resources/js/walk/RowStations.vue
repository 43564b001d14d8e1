<script setup lang="ts">
import { computed, nextTick, useTemplateRef, watch } from 'vue'
import type { Check, PlaceRef, Planter, Station, WalkStep } from '@/api/types'
import { isToDo, placeKey } from '@/api/types'
import FractionText from '@/components/FractionText.vue'
import VerdictGlyph from '@/components/VerdictGlyph.vue'
import { useUnits } from '@/composables/useUnits'
import RowUnitDrawing from '@/drawings/RowUnitDrawing.vue'
import { worstOf } from '@/measure/verdict'
import { say, sayRow } from '@/words'

/** The row unit with the station that is up; the row's stations, and what this one reads so far. */
const { unit, steps, current, checkOf } = defineProps<{
  unit: Pick<Planter, 'stations' | 'equipment'>
  steps: WalkStep[]
  current: WalkStep
  checkOf: (place: Pick<PlaceRef, 'check' | 'row'>) => Check
}>()
defineEmits<{ go: [place: PlaceRef] }>()
const { reading } = useUnits()

const station = computed(() => checkOf(current).station)
const stations = computed(() => {
  const groups = new Map<Station, WalkStep[]>()
  for (const step of steps) {
    const of = checkOf(step).station
    groups.set(of, [...(groups.get(of) ?? []), step])
  }
  return [...groups].map(([name, places]) => ({
    name,
    places,
    left: places.filter((step) => isToDo(step)).length,
    verdict: worstOf(places),
    next: places.find((step) => isToDo(step)) ?? (places[0] as WalkStep),
  }))
})

const list = useTemplateRef<HTMLElement>('list')
// The place that is up is always to be seen; only the list scrolls, never the page.
watch(
  () => placeKey(current),
  () =>
    void nextTick(() => {
      const here = list.value?.querySelector<HTMLElement>('[aria-current="step"]')
      if (list.value && here) list.value.scrollTop = here.offsetTop - list.value.clientHeight / 2
    }),
  { immediate: true },
)
</script>

<template>
  <section class="sheet">
    <row-unit-drawing v-if="current.row > 0" :unit="unit" :lit="station" />
    <h2>{{ sayRow(current.row) }}</h2>
    <ul ref="list" class="list">
      <li v-for="group in stations" :key="group.name">
        <button
          type="button"
          class="station"
          :aria-current="group.name === station ? 'true' : undefined"
          @click="$emit('go', group.next)"
        >
          <verdict-glyph :verdict="group.left > 0 && group.verdict === 'sound' ? 'unchecked' : group.verdict" />
          <span class="name">{{ say(`station.${group.name}`) }}</span>
          <span class="quiet">{{ group.left === 0 ? 'done' : `${group.left} left` }}</span>
        </button>
        <ul v-if="group.name === station" class="places">
          <li v-for="step in group.places" :key="placeKey(step)">
            <button
              type="button"
              :aria-current="placeKey(step) === placeKey(current) ? 'step' : undefined"
              @click="$emit('go', step)"
            >
              <verdict-glyph :verdict="step.now?.verdict ?? 'unchecked'" :size="14" />
              <span class="name">{{ say(`measure.${step.check}`) }} {{ say(`side.${step.side}`) }}</span>
              <fraction-text v-if="step.now" :text="reading(step.now, checkOf(step))" />
            </button>
          </li>
        </ul>
      </li>
    </ul>
  </section>
</template>

<style scoped>
.sheet {
  padding: 12px;
}
.list {
  position: relative;
  max-height: calc(100vh - 430px);
  min-height: 200px;
  overflow-y: auto;
}
h2 {
  margin: 8px 0 2px;
}
ul {
  list-style: none;
  padding: 0;
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
  font-size: 0.9375rem;
}
.places button {
  padding-left: 24px;
}
.name {
  flex: 1;
}
.station[aria-current] {
  font-weight: 700;
}
button[aria-current='step'] {
  background: var(--accent-weak);
  font-weight: 700;
}
</style>
