<script setup lang="ts">
import { computed } from 'vue'
import type { WorkJob, WorkPiece } from '@/api/types'
import { sayCheck, sayRow } from '@/words'

/** After a card was finished: what is to be measured on the spot, before the next row. */
const { finished } = defineProps<{ finished: { piece: WorkPiece; jobs: WorkJob[] }[] }>()
defineEmits<{ close: [] }>()
const places = computed(() => {
  const found = new Map(
    finished.flatMap(({ piece, jobs }) =>
      jobs.flatMap((job) =>
        job.again.map(({ check, side }) => [
          `${piece.row} ${check} ${side}`,
          { planter: piece.planter, row: piece.row, check, side },
        ]),
      ),
    ) as [string, { planter: number; row: number; check: WorkJob['again'][number]['check']; side: WorkJob['side'] }][],
  )
  return [...found.values()]
})
</script>

<template>
  <div class="asks">
    <p role="status"><strong>Recorded.</strong> It is off the plan.</p>
    <section v-if="places.length > 0">
      <h3>Measure again now, while you are here</h3>
      <ul>
        <li v-for="place in places" :key="`${place.row} ${place.check} ${place.side}`">
          <span>{{ sayRow(place.row) }}, {{ sayCheck(place).toLowerCase() }}</span>
          <v-btn
            variant="outlined"
            :aria-label="`Measure: ${sayRow(place.row)}, ${sayCheck(place).toLowerCase()}`"
            :to="{
              name: 'walk',
              params: { planter: place.planter },
              query: { row: place.row, check: place.check, side: place.side },
            }"
            >Measure</v-btn
          >
        </li>
      </ul>
    </section>
    <div class="actions">
      <v-btn color="primary" size="large" @click="$emit('close')">Back to the plan</v-btn>
    </div>
  </div>
</template>

<style scoped>
.asks {
  padding-top: 0;
}
h3 {
  margin: 8px 0 2px;
  font-size: 1rem;
}
p {
  margin: 0;
}
ul {
  margin: 0;
  padding: 0;
  list-style: none;
}
li {
  display: flex;
  align-items: center;
  justify-content: space-between;
  gap: 10px;
  min-height: var(--touch);
  border-top: 1px solid var(--line);
}
</style>
