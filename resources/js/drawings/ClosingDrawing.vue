<template>
  <!-- Closing wheels from behind: the gap at their closest point, and how far their middle is off the furrow line. -->
  <svg
    class="drawing"
    viewBox="0 0 260 130"
    role="img"
    aria-label="Closing wheels from behind: gap at the closest point, and distance of their middle from the furrow line"
  >
    <path class="ground" d="M8 100h108l10 16 10-16h116" />
    <path class="wheel" d="M60 12 116 96M200 12 144 96" />
    <path class="wheel" d="M52 18 108 100M208 18 152 100" />
    <path class="line" d="M126 4v116" />
    <path class="measure" d="M114 84h32m-32-5v10m32-10v10" />
    <path class="measure" d="M126 40h6m-6-5v10m6-10v10" />
    <text x="154" y="84">gap</text>
    <text x="140" y="44">off center</text>
    <text x="70" y="126">furrow line</text>
  </svg>
</template>

<style scoped>
.drawing {
  max-height: 126px;
}
.wheel {
  stroke-width: 2.4;
}
.line {
  stroke-dasharray: 5 4;
  stroke-width: 1.2;
}
.measure {
  stroke: var(--accent);
  stroke-width: 2;
}
</style>
