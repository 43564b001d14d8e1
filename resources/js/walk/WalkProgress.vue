<script setup lang="ts">
import { computed } from 'vue'
import type { WalkView } from './view'

/** How far the walk is, how long it still takes at its own pace, and the other ways to go about it. */
const view = defineModel<WalkView>('view', { required: true })
const { done, places, secondsAReading } = defineProps<{
  planterId: number
  done: number
  places: number
  /** Null while too little was read to tell. */
  secondsAReading: number | null
}>()
defineEmits<{ pack: []; finish: [] }>()

const timeLeft = computed(() => {
  if (secondsAReading === null || done === places) return ''
  const minutes = Math.ceil((secondsAReading * (places - done)) / 60)
  return minutes < 90 ? `about ${minutes} min left` : `about ${(minutes / 60).toFixed(1)} h left`
})
</script>

<template>
  <footer class="progress">
    <span class="count"
      ><strong>{{ done }}</strong> of {{ places }}<span class="of"> readings</span></span
    >
    <v-progress-linear
      class="line"
      :model-value="(100 * done) / places"
      height="10"
      color="primary"
      rounded
      aria-label="Share of the walk that is done"
    />
    <span class="left">{{ timeLeft }}</span>
    <v-btn class="wide" variant="text" @click="view = view === 'station' ? 'single' : 'station'">{{
      view === 'station' ? 'One by one' : 'By station'
    }}</v-btn>
    <v-btn variant="outlined" :to="{ name: 'sheet', params: { planter: planterId } }">Sheet</v-btn>
    <v-btn variant="outlined" @click="$emit('pack')">Pack</v-btn>
    <v-btn
      :variant="done === places ? 'flat' : 'outlined'"
      :color="done === places ? 'primary' : undefined"
      @click="$emit('finish')"
      >Finish</v-btn
    >
  </footer>
</template>

<style scoped>
.progress {
  flex: none;
  display: flex;
  align-items: center;
  gap: 16px;
  padding: 8px 24px;
  background: var(--card);
  border-top: 1px solid var(--line);
}
.count,
.left {
  white-space: nowrap;
}
.line {
  flex: 1;
  min-width: 40px;
}
@media (max-width: 700px) {
  .progress {
    padding: 4px 10px;
    gap: 6px;
  }
  .left,
  .wide,
  .of,
  .line {
    display: none;
  }
  .count {
    flex: 1;
  }
  .progress :deep(.v-btn) {
    padding: 0 10px;
    min-width: 0;
  }
}
</style>
