<script setup lang="ts">
import { computed, useId } from 'vue'
import { say } from '@/words'
import { useAirAdvice } from './queries'
import { percent, sayAir } from './shares'

/** Skips and doubles against air over the runs of one set-up, where both together are least, and what to try next. */
const { planterId, row, runs } = defineProps<{ planterId: number; row: number; runs: number }>()
defineEmits<{ try: [air: number] }>()
const query = useAirAdvice(
  () => planterId,
  () => row,
  () => runs,
)
const advice = computed(() => query.data.value?.advice ?? null)
const tried = computed(() => query.data.value?.runs ?? [])
const clip = useId()
const [WIDTH, HEIGHT, LEFT, BOTTOM] = [340, 150, 34, 24]
const airs = computed(() => (advice.value?.curve ?? []).map(({ air }) => air))
const from = computed(() => Math.min(...airs.value))
const to = computed(() => Math.max(...airs.value))
/** Drawn up to where the runs went, and no less than five in a hundred. */
const top = computed(() =>
  Math.min(
    0.3,
    Math.max(0.05, ...tried.value.map(({ skips, doubles, places }) => (1.1 * Math.max(skips, doubles)) / places)),
  ),
)
const x = (air: number) => LEFT + ((WIDTH - LEFT - 8) * (air - from.value)) / Math.max(0.1, to.value - from.value)
const y = (share: number) => HEIGHT - BOTTOM - ((HEIGHT - BOTTOM - 8) * share) / top.value
const path = (of: 'skips' | 'doubles') =>
  (advice.value?.curve ?? []).map((at, index) => `${index === 0 ? 'M' : 'L'}${x(at.air)} ${y(at[of])}`).join(' ')
</script>

<template>
  <section v-if="advice" class="sheet air" :aria-label="`Air for row ${row}`">
    <h2>Air for row {{ row }}</h2>
    <p>{{ sayAir(advice) }}</p>
    <svg
      :viewBox="`0 0 ${WIDTH} ${HEIGHT}`"
      role="img"
      :aria-label="`Skips and doubles by air: least at ${advice.air} in H₂O`"
    >
      <rect
        :x="x(Math.max(from, advice.low))"
        y="8"
        :width="Math.max(2, x(Math.min(to, advice.high)) - x(Math.max(from, advice.low)))"
        :height="HEIGHT - BOTTOM - 8"
        class="likely"
      />
      <line :x1="x(advice.air)" :x2="x(advice.air)" y1="8" :y2="HEIGHT - BOTTOM" class="best" />
      <clipPath :id="clip"><rect :x="LEFT" y="6" :width="WIDTH" :height="HEIGHT - BOTTOM" /></clipPath>
      <g :clip-path="`url(#${clip})`">
        <path :d="path('skips')" class="skips" />
        <path :d="path('doubles')" class="doubles" />
      </g>
      <template v-for="(run, index) in tried" :key="index">
        <circle :cx="x(run.air)" :cy="y(run.skips / run.places)" r="4" class="skip" />
        <path :d="`M${x(run.air) - 4} ${y(run.doubles / run.places) + 4} l4 -8 l4 8 z`" class="double" />
      </template>
      <line :x1="LEFT" :x2="WIDTH - 8" :y1="HEIGHT - BOTTOM" :y2="HEIGHT - BOTTOM" class="axis" />
      <text :x="LEFT - 4" :y="14" text-anchor="end">{{ Math.round(100 * top) }}%</text>
      <text :x="LEFT - 4" :y="HEIGHT - BOTTOM" text-anchor="end">0</text>
      <text :x="LEFT" :y="HEIGHT - 6">{{ from.toFixed(1) }}</text>
      <text :x="WIDTH - 8" :y="HEIGHT - 6" text-anchor="end">{{ to.toFixed(1) }} in H₂O</text>
    </svg>
    <p class="quiet">
      Circles and line: skips. Triangles and dashes: doubles. Shaded: where the best vacuum is, 8 times in 10. Expect
      there: {{ percent(advice.skips) }} skips, {{ percent(advice.doubles) }} doubles.
    </p>
    <p v-if="advice.heavy" class="due">{{ say(`suspects.${advice.heavy}`) }}</p>
    <div v-if="advice.next !== null" class="actions">
      <v-btn variant="outlined" size="large" @click="$emit('try', advice.next)"
        >Try {{ advice.next }} in H₂O next</v-btn
      >
    </div>
    <p v-else>More runs with this setup would gain almost nothing.</p>
  </section>
</template>

<style scoped>
.air {
  display: grid;
  gap: 6px;
}
p {
  margin: 0;
}
svg {
  width: 100%;
  max-width: 520px;
}
text {
  font-size: 11px;
  fill: var(--ink-2);
}
.likely {
  fill: var(--accent-weak);
}
.best {
  stroke: var(--accent);
  stroke-width: 2;
}
.skips,
.doubles {
  fill: none;
  stroke: var(--change);
  stroke-width: 2;
}
.doubles {
  stroke: var(--ochre);
  stroke-dasharray: 5 4;
}
.skip {
  fill: var(--change);
}
.double {
  fill: var(--ochre);
}
.axis {
  stroke: var(--line);
}
.due {
  color: var(--ochre);
}
</style>
