<template>
  <!-- Equal blocks under all gauge wheels: the stop is moved until the wheel just lifts. -->
  <svg
    class="drawing"
    viewBox="0 0 260 110"
    role="img"
    aria-label="Equal blocks under the gauge wheels of all rows; one row's wheel just lifts off its block"
  >
    <path class="ground" d="M6 100h248" />
    <g v-for="(x, index) in [46, 130, 214]" :key="x">
      <rect class="block" :x="x - 24" y="84" width="48" height="16" />
      <circle :cx="x" :cy="index === 1 ? 52 : 58" r="26" />
      <path :d="`M${x} ${index === 1 ? 52 : 58} ${x + 16} 12`" />
    </g>
    <path class="lift" d="M160 84v-8m0 0-4 4m4-4 4 4" />
    <text x="164" y="94">lifts</text>
  </svg>
</template>

<style scoped>
.drawing {
  max-height: 108px;
}
.block {
  fill: var(--accent-weak);
  stroke: var(--accent);
}
.lift {
  stroke: var(--accent);
  stroke-width: 2;
}
</style>
