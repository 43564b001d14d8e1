<script setup lang="ts">
import { computed } from 'vue'
import type { LifeCurve } from '@/api/types'
import { useUnits } from '@/composables/useUnits'
import { roundMarks, stepsOf } from './lives'

/** The share of parts still running over the furrow they have run: a stepped line for each kind, with its interval. */
const { curves } = defineProps<{ curves: LifeCurve[] }>()
const { units, distance } = useUnits()

const WIDTH = 760
const HEIGHT = 300
const LEFT = 52
const RIGHT = 40
const BOTTOM = 36
const furthest = computed(() => Math.max(1, ...curves.map(({ longest_m }) => longest_m)))
const x = (ran: number) => LEFT + ((WIDTH - LEFT - RIGHT) * ran) / furthest.value
const y = (share: number) => 10 + (HEIGHT - BOTTOM - 10) * (1 - share)

const lines = computed(() =>
  curves.map((curve) => {
    const steps = stepsOf(curve)
    /** Nothing where too few have ended to tell. */
    const stepped = (of: 'share' | 'low' | 'high') =>
      steps.some((step) => step[of] === null)
        ? []
        : steps.map((step, index) => {
            const at = y(step[of] ?? 0)
            return index > 0 ? `H${x(step.ran)}V${at}` : `M${x(step.ran)} ${at}`
          })
    return {
      name: curve.name,
      line: stepped('share').join(''),
      high: stepped('high').join(''),
      low: stepped('low').join(''),
    }
  }),
)
const words = computed(() =>
  curves
    .map(
      (curve) =>
        `${curve.name}: ${curve.steps.map(({ ran_m, share }) => `${Math.round(100 * share)}% after ${distance(ran_m)}`).join(', ')}`,
    )
    .join('. '),
)
</script>

<template>
  <svg :viewBox="`0 0 ${WIDTH} ${HEIGHT}`" role="img" :aria-label="words">
    <g v-for="share in [0, 0.5, 1]" :key="share">
      <line class="grid" :x1="LEFT" :x2="WIDTH - RIGHT" :y1="y(share)" :y2="y(share)" />
      <text :x="LEFT - 8" :y="y(share) + 5" text-anchor="end">{{ 100 * share }}%</text>
    </g>
    <text v-for="at in roundMarks(furthest, units)" :key="at" :x="x(at)" :y="HEIGHT - 12" text-anchor="middle">
      {{ distance(at) }}
    </text>
    <g v-for="(curve, index) in lines" :key="curve.name" :class="`curve-${index}`">
      <path class="end" :d="curve.low" />
      <path class="end" :d="curve.high" />
      <path class="line" :d="curve.line" />
    </g>
  </svg>
  <p v-if="curves.length > 1" class="legend">
    <span v-for="(curve, index) in lines" :key="curve.name"
      ><i :class="`swatch-${index}`" aria-hidden="true" /> {{ curve.name }}</span
    >
  </p>
</template>

<style scoped>
svg {
  width: 100%;
  height: auto;
}
text {
  font-size: 13px;
  fill: var(--ink-2);
}
.grid {
  stroke: var(--line);
}
.line,
.end {
  fill: none;
  stroke: var(--accent);
}
.line {
  stroke-width: 3;
}
.end {
  stroke-width: 1;
  stroke-dasharray: 4 4;
}
.curve-1 .line,
.curve-1 .end {
  stroke: var(--ochre);
}
.curve-1 .line {
  stroke-dasharray: 10 4;
}
.legend {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 20px;
}
i {
  display: inline-block;
  width: 28px;
  border-top: 3px solid var(--accent);
  vertical-align: middle;
}
.swatch-1 {
  border-top: 3px dashed var(--ochre);
}
</style>
