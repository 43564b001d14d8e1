<script setup lang="ts">
const cases = [
  { name: 'gap', x: 16, gap: 34 },
  { name: 'light', x: 102, gap: 25 },
  { name: 'tight', x: 188, gap: 18 },
]
</script>

<template>
  <!-- Gauge wheel and blade from behind: where the tire's lip has to touch. -->
  <svg
    class="drawing"
    viewBox="0 0 260 120"
    role="img"
    aria-label="Tire lip and blade from behind: gap, light touch, tight"
  >
    <g v-for="{ name, x, gap } in cases" :key="name">
      <path class="blade" :d="`M${x + 14} 8l8 92`" />
      <rect :class="{ good: name === 'light' }" :x="x + gap" y="22" width="26" height="66" rx="8" />
      <text :x="x + 28" y="114" text-anchor="middle">{{ name }}</text>
    </g>
  </svg>
</template>

<style scoped>
.drawing {
  max-height: 116px;
}
.blade {
  stroke-width: 2.4;
}
.good {
  stroke: var(--accent);
  fill: var(--accent-weak);
}
</style>
