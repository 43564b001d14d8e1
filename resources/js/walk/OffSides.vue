<script setup lang="ts">
import { say } from '@/words'

/** To which side a figure is off, said with a finger; by keyboard it is an L or R behind the figure. */
const { typed } = defineProps<{ typed: string }>()
const emit = defineEmits<{ off: [side: 'L' | 'R'] }>()
const sides = [
  { side: 'L', chip: 'off_left', is: /l(eft)?\.?\s*$/i },
  { side: 'R', chip: 'off_right', is: /r(ight)?\.?\s*$/i },
] as const
</script>

<template>
  <span class="segments" role="group" aria-label="Off to">
    <button
      v-for="{ side, chip, is } in sides"
      :key="side"
      type="button"
      :aria-label="say(`chip.${chip}`)"
      :aria-pressed="is.test(typed)"
      @click="emit('off', side)"
    >
      {{ side }}
    </button>
  </span>
</template>

<style scoped>
.segments {
  display: inline-flex;
}
button {
  min-width: var(--touch);
  justify-content: center;
}
</style>
