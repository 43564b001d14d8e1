<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { computed, useTemplateRef } from 'vue'
import type { Band, Unit, Verdict } from '@/api/types'
import FractionText from './FractionText.vue'
import { useUnits } from '@/composables/useUnits'
import { scaleFor, stripRange, stripStretches, stripTicks } from '@/measure/strip'

/** A machinist's rule on which limits, last reading, the other rows and this reading sit together. */
const {
  unit,
  bands,
  marks,
  now = null,
  verdict = 'unchecked',
  last = null,
  lastLabel = 'last time',
  others = [],
  largest = null,
  compact = false,
} = defineProps<{
  unit: Unit
  bands: Band[]
  /** Figures of the spec sheet to name on the rule. */
  marks: { value: number; label: string }[]
  now?: number | null
  verdict?: Verdict
  last?: number | null
  lastLabel?: string
  others?: number[]
  largest?: number | null
  /** Without its numbers, where several stand above one another. */
  compact?: boolean
}>()

const { units, quantity } = useUnits()
const box = useTemplateRef<HTMLElement>('box')
const { width } = useElementSize(box)
const EDGE = 28

const scale = computed(() => scaleFor(unit, units.value))
const range = computed(() => {
  const figures = [...marks.map((mark) => mark.value), ...others]
  for (const one of [now, last, largest]) if (one !== null) figures.push(one)
  return stripRange(figures.length === 0 ? [0] : figures.map(scale.value.of), scale.value)
})
const pixels = computed(() => (width.value - 2 * EDGE) / (range.value.to - range.value.from))
const atStep = (step: number) => EDGE + (step - range.value.from) * pixels.value
const at = (value: number) => atStep(scale.value.of(value))
const ticks = computed(() => stripTicks(range.value.from, range.value.to, scale.value, width.value))
const stretches = computed(() => stripStretches(bands, range.value.from, range.value.to, scale.value))

/** Rows that read the same stand above one another. */
const dots = computed(() => {
  const seen = new Map<number, number>()
  return others.map((value) => {
    const nth = seen.get(value) ?? 0
    seen.set(value, nth + 1)
    return { x: at(value), y: 40 - Math.min(nth, 3) * 4 }
  })
})
/** What stands in words on the rule, each kind at its own height so that no two collide. */
const labels = computed(() => [
  ...ticks.value.flatMap((tick) =>
    tick.label === undefined ? [] : [{ kind: 'number', x: atStep(tick.at), text: tick.label }],
  ),
  ...marks.map((mark) => ({ kind: 'mark', x: at(mark.value), text: mark.label })),
  ...(last === null ? [] : [{ kind: 'last', x: at(last), text: lastLabel }]),
  ...(now === null ? [] : [{ kind: 'now', x: at(now), text: 'now' }]),
])
const spoken = computed(
  () =>
    [
      ...marks.map((mark) => `${mark.label} ${quantity(mark.value, unit)}`),
      last === null ? '' : `${lastLabel} ${quantity(last, unit)}`,
      now === null ? '' : `now ${quantity(now, unit)}`,
      others.length === 0
        ? ''
        : `${others.length} rows between ${quantity(Math.min(...others), unit)} and ${quantity(Math.max(...others), unit)}`,
    ]
      .filter(Boolean)
      .join(', ') || 'Scale',
)
</script>

<template>
  <div ref="box" :class="['box', { compact }]">
    <svg v-if="width > 0" :width="width" height="96" role="img" :aria-label="spoken">
      <rect
        v-for="stretch in stretches"
        :key="stretch.from"
        :class="['band', stretch.verdict]"
        :x="atStep(stretch.from)"
        y="34"
        :width="(stretch.to - stretch.from) * pixels"
        height="13"
      />
      <g v-for="tick in ticks" :key="tick.at" class="tick">
        <path :d="`M${atStep(tick.at)} 47v${{ small: 5, middle: 8, large: 13 }[tick.size]}`" />
      </g>
      <circle v-for="(dot, index) in dots" :key="index" class="other" :cx="dot.x" :cy="dot.y" r="3.2" />
      <g v-for="mark in marks" :key="mark.label" class="mark">
        <path :d="`M${at(mark.value)} 28v24`" />
      </g>
      <g v-if="last !== null" class="last">
        <path :d="`M${at(last)} 32v17M${at(last)} 78v4`" />
      </g>
      <g v-if="now !== null" :class="['now', verdict]">
        <path :d="`M${at(now)} 34l-8-12h16z`" />
        <path class="stem" :d="`M${at(now)} 30v19`" />
      </g>
    </svg>
    <template v-if="width > 0">
      <span
        v-for="label in labels"
        :key="`${label.kind} ${label.text}`"
        :class="['label', label.kind, label.kind === 'now' ? verdict : '']"
        :style="{ left: `${label.x}px` }"
        aria-hidden="true"
        ><fraction-text :text="label.text"
      /></span>
    </template>
  </div>
</template>

<style scoped>
.box {
  position: relative;
  width: 100%;
  height: 96px;
}
.compact {
  height: 54px;
  overflow: hidden;
}
.compact :is(.number, .label.last) {
  display: none;
}
/* Out of the flow, or it would hold a screen wide that is turned upright. */
svg {
  position: absolute;
}
.label {
  position: absolute;
  transform: translateX(-50%);
  font-size: 0.8125rem;
  line-height: 1;
  white-space: nowrap;
}
.label:not(.now) {
  color: var(--ink-2);
}
.label.number {
  top: 63px;
}
.label.mark {
  top: 14px;
}
.label.last {
  top: 83px;
}
.label.now {
  top: 0;
  font-weight: 700;
}
.band {
  fill: currentColor;
  opacity: 0.26;
}
.tick path {
  stroke: var(--ink);
  stroke-width: 1.2;
}
.other {
  fill: var(--ink);
  opacity: 0.5;
}
.mark path {
  stroke: var(--ink);
  stroke-width: 2;
}
.last path {
  stroke: var(--ink);
  stroke-width: 2;
  stroke-dasharray: 3 2;
}
.now path {
  fill: currentColor;
}
.now .stem {
  stroke: currentColor;
  stroke-width: 3;
}
</style>
