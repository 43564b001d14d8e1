<template>
  <!-- Roller chain: ten pitches from pin to pin. -->
  <svg
    class="drawing"
    viewBox="0 0 260 84"
    role="img"
    aria-label="Roller chain measured over ten pitches, from pin to pin"
  >
    <g v-for="n in 11" :key="n">
      <rect v-if="n < 11" :x="8 + (n - 1) * 22" y="30" width="34" height="14" rx="7" />
      <circle :class="{ end: n === 1 || n === 11 }" :cx="16 + (n - 1) * 22" cy="37" r="4" />
    </g>
    <path class="measure" d="M16 50v20M236 50v20M20 64h212m-212 0 6-4m-6 4 6 4m206-4-6-4m6 4-6 4" />
    <text x="126" y="82" text-anchor="middle">10 pitches, 5 in new</text>
    <text x="126" y="20" text-anchor="middle">stretched tight, pin to pin</text>
  </svg>
</template>

<style scoped>
.end {
  fill: var(--accent);
  stroke: var(--accent);
}
.measure {
  stroke: var(--accent);
  stroke-width: 1.3;
}
</style>
