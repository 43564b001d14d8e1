<template>
  <!-- The seed tube guard from the front between the two blades; the caliper at its wear zone. -->
  <svg
    class="drawing"
    viewBox="0 0 260 120"
    role="img"
    aria-label="Caliper across the guard at its narrowest place, low down between the blades"
  >
    <path class="blade" d="M88 6 116 112M172 6 144 112" />
    <path d="M112 8h36l-4 44c-2 8-4 14-4 22l-4 26h-12l-4-26c0-8-2-14-4-22z" />
    <path class="caliper" d="M60 66h56v14H60M200 66h-56v14h56" />
    <text x="10" y="78">caliper</text>
    <text x="178" y="20">blade</text>
  </svg>
</template>

<style scoped>
.drawing {
  max-height: 110px;
}
.blade {
  stroke: var(--ink-2);
}
.caliper {
  stroke: var(--accent);
  fill: var(--accent-weak);
}
</style>
