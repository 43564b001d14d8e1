<script setup lang="ts">
import { computed } from 'vue'
import type { WalkOrder } from '@/api/types'
import OrderChoice from './OrderChoice.vue'

/** How far the walk is, how long it still takes at its own pace, and what can be chosen about it. */
const order = defineModel<WalkOrder>('order', { required: true })
const { done, places, secondsAReading } = defineProps<{
  done: number
  places: number
  /** Null while too little was read to tell. */
  secondsAReading: number | null
}>()
defineEmits<{ stations: []; finish: [] }>()

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
    <order-choice v-model="order" class="order" />
    <v-btn variant="outlined" @click="$emit('stations')">Stations</v-btn>
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
  position: fixed;
  inset: auto 0 0;
  z-index: 5;
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
@media (max-width: 1020px) {
  .order {
    display: none;
  }
}
@media (max-width: 700px) {
  .progress {
    padding: 6px 10px;
    gap: 8px;
  }
  .left,
  .of {
    display: none;
  }
}
</style>
