<template>
  <!-- Play: push to one side, then to the other, and read the whole swing on a rule. -->
  <svg
    class="drawing"
    viewBox="0 0 260 100"
    role="img"
    aria-label="The arm pushed to both ends of its play, the whole swing read on a rule"
  >
    <circle cx="30" cy="50" r="8" />
    <path d="M38 46 196 34M38 54 196 42" />
    <path class="other" d="M38 48 196 58M38 56 196 66" />
    <rect class="rule" x="204" y="12" width="26" height="76" />
    <path class="ticks" d="M204 22h8M204 32h12M204 42h8M204 52h12M204 62h8M204 72h12" />
    <path class="measure" d="M198 36v26m0-26-4 6m4-6 4 6m-4 20-4-6m4 6 4-6" />
    <text x="80" y="92">push one way, then the other</text>
  </svg>
</template>

<style scoped>
.drawing {
  max-height: 98px;
}
.other {
  stroke-dasharray: 4 3;
}
.rule {
  fill: var(--accent-weak);
  stroke: var(--accent);
}
.ticks {
  stroke: var(--accent);
  stroke-width: 1;
}
.measure {
  stroke: var(--accent);
  stroke-width: 1.6;
}
</style>
