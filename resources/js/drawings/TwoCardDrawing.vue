<template>
  <!-- The two-card check: the near blade from the side, a card pushed in from above and one from below. -->
  <svg
    class="drawing"
    viewBox="0 0 260 150"
    role="img"
    aria-label="Two-card check: a card slid between the blades from each end until it stops; the distance between the cards is the contact length"
  >
    <path class="ground" d="M4 128H256" />
    <path class="blade far" d="M196 42a64 64 0 1 0 4 76" />
    <circle class="blade" cx="146" cy="76" r="62" />
    <circle class="blade" cx="146" cy="76" r="8" />
    <g transform="rotate(-62 100 104)">
      <rect class="touching" x="78" y="91" width="44" height="13" rx="5" />
      <rect class="card" x="122" y="84" width="66" height="26" rx="2" />
      <rect class="card" x="12" y="84" width="66" height="26" rx="2" />
    </g>
    <path class="measure" d="M74 83 52 71M96 125 74 113M58 75l18 34" />
    <path class="measure" d="m57 82 1-7 6 4M70 104l6 5 1-7" />
    <text x="6" y="100">length</text>
    <text x="112" y="34">card</text>
    <text x="24" y="144">card</text>
  </svg>
</template>

<style scoped>
.blade {
  stroke: var(--ink-2);
}
.far {
  stroke-dasharray: 3 4;
}
.touching {
  fill: var(--accent);
  stroke: none;
}
.card {
  fill: var(--accent-weak);
  stroke: var(--accent);
}
.measure {
  stroke: var(--ink);
  stroke-width: 1.4;
}
</style>
