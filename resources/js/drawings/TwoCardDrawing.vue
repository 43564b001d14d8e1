<template>
  <!-- The two-card check, looking along the V: the blades touch in the middle, a card comes in from each end. -->
  <svg
    class="drawing"
    viewBox="0 0 260 128"
    role="img"
    aria-label="Two-card check: a card slid between the blades from each end until it stops; the distance between the cards is the contact length"
  >
    <path class="blade" d="M10 20C80 42 96 53 106 53h48c10 0 26-11 96-33" />
    <path class="blade" d="M10 92C80 70 96 59 106 59h48c10 0 26 11 96 33" />
    <path class="contact" d="M108 56h44" />
    <rect class="card" x="8" y="53" width="91" height="6" />
    <rect class="card" x="161" y="53" width="91" height="6" />
    <path class="measure" d="M99 64v42M161 64v42M101 100h58m-52-5-6 5 6 5m46-10 6 5-6 5" />
    <text x="30" y="48">card</text>
    <text x="206" y="48">card</text>
    <text x="60" y="18">blade</text>
    <text x="60" y="104">blade</text>
    <text x="130" y="121" text-anchor="middle">contact length</text>
  </svg>
</template>

<style scoped>
.drawing {
  max-height: 128px;
}
.blade {
  stroke-width: 2.4;
}
.contact {
  stroke: var(--accent);
  stroke-width: 7;
}
.card {
  fill: var(--accent-weak);
  stroke: var(--accent);
  stroke-width: 1.2;
}
.measure {
  stroke-width: 1.3;
}
</style>
