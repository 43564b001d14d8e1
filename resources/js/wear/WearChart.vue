<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { computed, ref, useTemplateRef } from 'vue'
import type { WearChart } from '@/api/types'
import { useDays } from '@/composables/useDays'
import { useUnits } from '@/composables/useUnits'
import { useSession } from '@/session'
import { describeWear, wearPlot } from './wearPlot'

/** Readings, the line through them with its 80% band, the limit, what was changed, today and the season's end. */
const { chart } = defineProps<{ chart: WearChart }>()
const HEIGHT = 340
const session = useSession()
const { length } = useUnits()
const { dayOf } = useDays()
const drawing = useTemplateRef('drawing')
const { width } = useElementSize(drawing)
const plot = computed(() => wearPlot(chart, width.value || 640, HEIGHT, session.units, dayOf))
const told = ref<number>()
const said = computed(() => {
  const point = plot.value.points[told.value ?? -1]
  return point && `${point.on}: ${length(point.mm)}`
})
</script>

<template>
  <figure ref="drawing">
    <svg :viewBox="`0 0 ${width || 640} ${HEIGHT}`" :height="HEIGHT" aria-hidden="true">
      <g class="axis">
        <template v-for="tick in plot.sizes" :key="tick.mm">
          <line :x1="plot.left" :x2="plot.right" :y1="tick.y" :y2="tick.y" />
          <text :x="plot.left - 8" :y="tick.y + 4" text-anchor="end">{{ length(tick.mm) }}</text>
        </template>
        <text v-for="tick in plot.acres" :key="tick.acres" :x="tick.x" :y="plot.bottom + 18" text-anchor="middle">
          {{ tick.acres.toLocaleString('en') }}
        </text>
        <text :x="(plot.left + plot.right) / 2" :y="HEIGHT - 8" text-anchor="middle">
          acres of this planter, from now
        </text>
      </g>
      <polygon class="band" :points="plot.band" />
      <polyline class="line" :points="plot.line" />
      <line class="limit" :x1="plot.left" :x2="plot.right" :y1="plot.limit" :y2="plot.limit" />
      <text class="limit-name" :x="plot.right - 4" :y="plot.limit - 6" text-anchor="end">limit</text>
      <g v-for="(mark, at) in plot.marks" :key="at" :class="mark.kind">
        <line :x1="mark.x" :x2="mark.x" :y1="plot.top" :y2="plot.bottom" />
        <!-- Along its line: side by side, the names of two near lines would cover each other. -->
        <text
          :transform="`translate(${mark.at} ${mark.isTop ? plot.top + 4 : plot.bottom - 4}) rotate(-90)`"
          :text-anchor="mark.isTop ? 'end' : 'start'"
        >
          {{ mark.name }}
        </text>
      </g>
      <circle
        v-for="(point, at) in plot.points"
        :key="at"
        :class="['point', point.kind, { told: told === at }]"
        :cx="point.x"
        :cy="point.y"
        r="6"
        @pointerenter="told = at"
        @click="told = at"
      >
        <title>{{ point.on }}: {{ length(point.mm) }}</title>
      </circle>
    </svg>
    <figcaption class="spoken">{{ describeWear(chart, length, dayOf) }}</figcaption>
    <p class="quiet">
      Dots are readings (gray: parts since removed). The line is the expected wear; the band covers 4 in 5.
      <strong v-if="said">{{ said }}</strong>
    </p>
  </figure>
</template>

<style scoped>
figure {
  margin: 0;
}
svg {
  display: block;
  width: 100%;
}
text {
  font-size: 12px;
  fill: var(--ink-2);
}
.axis line {
  stroke: var(--line);
}
.band {
  fill: var(--accent);
  opacity: 0.16;
}
.line {
  fill: none;
  stroke: var(--accent);
  stroke-width: 2;
}
.limit {
  stroke: var(--change);
  stroke-width: 2;
}
.limit-name {
  fill: var(--change);
}
.today line,
.season-end line,
.changed line {
  stroke: var(--ink-2);
  stroke-width: 1.5;
  stroke-dasharray: 5 4;
}
.today line {
  stroke: var(--ink);
}
.today text {
  fill: var(--ink);
}
.season-end line {
  stroke: var(--ochre);
}
.season-end text {
  fill: var(--ochre);
}
.point {
  fill: var(--accent);
}
.point.gone {
  fill: var(--ink-2);
}
.point.outlier {
  fill: var(--card);
  stroke: var(--change);
  stroke-width: 2;
}
.point.told {
  stroke: var(--ink);
  stroke-width: 2;
}
</style>
