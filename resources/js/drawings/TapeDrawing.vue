<template>
  <!-- Measuring a blade: a tape across the widest part, through the hub, twice. -->
  <svg
    class="drawing"
    viewBox="0 0 260 130"
    role="img"
    aria-label="A tape across the blade from rim to rim through the hub, and again a quarter turn on"
  >
    <circle class="blade" cx="130" cy="64" r="56" />
    <circle class="blade" cx="130" cy="64" r="20" />
    <circle class="blade" cx="130" cy="64" r="6" />
    <path class="again" d="M130 4v120" />
    <rect class="tape" x="66" y="57" width="128" height="14" />
    <path
      class="ticks"
      d="M74 57v6M82 57v4M90 57v6M98 57v4M106 57v6M114 57v4M122 57v6M130 57v9M138 57v6M146 57v4M154 57v6M162 57v4M170 57v6M178 57v4M186 57v6"
    />
    <path class="measure" d="M74 46v36M186 46v36" />
    <path class="again" d="M196 26a76 76 0 0 1 10 30m0 0-6-5m6 5 4-7" />
    <text x="204" y="24">turn ¼</text>
  </svg>
</template>

<style scoped>
.drawing {
  max-height: 104px;
}
.blade {
  stroke: var(--ink-2);
}
.tape {
  fill: var(--accent-weak);
  stroke: var(--accent);
}
.ticks {
  stroke: var(--accent);
  stroke-width: 1;
}
.again {
  stroke-dasharray: 4 3;
  stroke-width: 1.2;
}
.measure {
  stroke-width: 1.4;
}
</style>
