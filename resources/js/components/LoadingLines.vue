<script setup lang="ts">
/** What a screen shows at once, until its data are there. */
const { lines = 5 } = defineProps<{ lines?: number }>()
</script>

<template>
  <div class="skeleton" role="status" aria-label="Loading">
    <span v-for="line in lines" :key="line" />
  </div>
</template>

<style scoped>
.skeleton {
  display: grid;
  gap: 12px;
  width: 100%;
  max-width: 1240px;
  margin: 0 auto;
}
span {
  height: 64px;
  background: var(--card);
  border: 1px solid var(--line);
  border-radius: var(--radius);
  opacity: 0.7;
}
@media (prefers-reduced-motion: no-preference) {
  span {
    animation: wait 1.2s ease-in-out infinite alternate;
  }
}
@keyframes wait {
  to {
    opacity: 0.35;
  }
}
</style>
