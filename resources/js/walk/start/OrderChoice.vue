<script setup lang="ts">
import type { WalkOrder } from '@/api/types'
import { say } from '@/words'

/** Row by row, station by station, or out on the left and back on the right. */
const order = defineModel<WalkOrder>({ required: true })
const orders: WalkOrder[] = ['row_by_row', 'station_by_station', 'snake']
</script>

<template>
  <div class="segments" role="group" aria-label="Order of the walk">
    <button
      v-for="value in orders"
      :key="value"
      type="button"
      :aria-pressed="order === value"
      :title="value === 'snake' ? 'Left sides out, right sides back' : undefined"
      @click="order = value"
    >
      {{ say(`walk_order.${value}`) }}
    </button>
  </div>
</template>

<style scoped>
button {
  flex: 1;
  white-space: nowrap;
}
@media (max-width: 700px) {
  button {
    white-space: normal;
    line-height: 1.1;
    padding: 4px 6px;
  }
}
</style>
