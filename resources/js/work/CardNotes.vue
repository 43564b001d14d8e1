<script setup lang="ts">
import { computed } from 'vue'
import type { WorkPiece } from '@/api/types'
import { say } from '@/words'

/** What to look at while something is off, or to mind when it goes back on: once for all the rows of a card. */
const { pieces, of } = defineProps<{ pieces: WorkPiece[]; of: 'looks' | 'back' }>()
const notes = computed(() => [...new Set(pieces.flatMap((piece) => piece[of]))])
// words: look_at, put_back
const words = computed(() => (of === 'looks' ? 'look_at' : 'put_back'))
</script>

<template>
  <section v-if="notes.length > 0" :aria-label="say(`card.${of}`)">
    <strong>{{ say(`card.${of}`) }}</strong>
    <ul>
      <li v-for="note in notes" :key="note">{{ say(`${words}.${note}`) }}</li>
    </ul>
  </section>
</template>

<style scoped>
section {
  margin: 8px 0;
}
ul {
  margin: 2px 0 0;
  padding-left: 20px;
}
</style>
