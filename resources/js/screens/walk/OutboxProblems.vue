<script setup lang="ts">
import type { PlaceRef } from '@/api/types'
import FractionText from '@/components/FractionText.vue'
import { useUnits } from '@/composables/useUnits'
import { wordReasons } from '@/measure/bands'
import { readLength, type Units } from '@/measure/length'
import { useOutbox, type Waiting } from '@/outbox'
import { sayCheck } from '@/words'

/** Readings that the server would not take as they are; each waits for a person's word. */
defineEmits<{ measureAgain: [place: PlaceRef] }>()
const outbox = useOutbox()
const { units } = useUnits()

function why({ reading, problem }: Waiting): string {
  if (problem?.outcome !== 'doubtful') return problem?.message ?? ''
  const read = readLength(reading.typed ?? '', (reading.units ?? 'in') as Units)
  return wordReasons('doubt', problem.doubts, 'nm' in read ? read.nm : null, units.value)
}
</script>

<template>
  <ul v-if="outbox.problems.length > 0" class="problems" role="alert">
    <li v-for="item in outbox.problems" :key="item.reading.id" class="sheet">
      <span class="text">
        <strong
          >Row {{ item.reading.row }}, {{ sayCheck(item.reading).toLowerCase() }}:
          <fraction-text :text="item.reading.typed ?? ''" />.</strong
        >
        <fraction-text :text="` ${why(item)}`" />
      </span>
      <v-btn v-if="item.problem?.outcome === 'doubtful'" variant="outlined" @click="outbox.confirm(item.reading.id)">
        Keep it
      </v-btn>
      <v-btn variant="outlined" @click="(outbox.discard(item.reading.id), $emit('measureAgain', item.reading))">
        {{ item.problem?.outcome === 'doubtful' ? 'Measure again' : 'Drop it' }}
      </v-btn>
    </li>
  </ul>
</template>

<style scoped>
.problems {
  list-style: none;
  padding: 0;
  margin: 0 0 12px;
  display: grid;
  gap: 8px;
}
li {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 10px;
  border-left: 5px solid var(--watch);
}
.text {
  flex: 1 1 260px;
}
</style>
