<script setup lang="ts">
import type { WalkOrder } from '@/api/types'
import { say } from '@/words'

/** Row by row, or station by station. */
const order = defineModel<WalkOrder>({ required: true })
const orders: WalkOrder[] = ['row_by_row', 'station_by_station']
</script>

<template>
  <div class="choice" role="group" aria-label="Order of the walk">
    <button v-for="value in orders" :key="value" type="button" :aria-pressed="order === value" @click="order = value">
      {{ say(`walk_order.${value}`) }}
    </button>
  </div>
</template>

<style scoped>
.choice {
  display: flex;
  border: 1px solid var(--line);
  border-radius: 8px;
  overflow: hidden;
}
button {
  flex: 1;
  min-height: var(--touch);
  padding: 0 14px;
  white-space: nowrap;
}
button + button {
  border-left: 1px solid var(--line);
}
button[aria-pressed='true'] {
  background: var(--accent-weak);
  font-weight: 700;
}
</style>
