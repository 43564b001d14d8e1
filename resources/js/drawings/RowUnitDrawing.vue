<script setup lang="ts">
import { computed } from 'vue'
import type { Planter, Station, Verdict } from '@/api/types'
import { say } from '@/words'

/** A row unit from its left side, travelling to the left, with what it carries; one station can be lit, or each tinted by its verdict. */
const { unit, lit, verdicts } = defineProps<{
  /** Left out, a double-disc unit with gauge wheels. */
  unit?: Pick<Planter, 'stations' | 'equipment'>
  lit?: Station
  verdicts?: Partial<Record<Station, Verdict>>
}>()
const emit = defineEmits<{ choose: [station: Station] }>()

type Part = {
  station: Station
  paths?: string[]
  circles?: [number, number, number][]
  thin?: string[]
  touch: [number, number, number, number]
}

const SHAPES: Partial<Record<string, Partial<Part>>> = {
  knife: { paths: ['M14 60 22 108 34 150M22 108l8-2'], circles: [], thin: ['M30 62c8 30 10 60 8 86'] },
  hoe: { paths: ['M118 92c-10 20-14 36-2 58l-14-6'], circles: [] },
  chain_behind: {
    paths: ['M262 108c4 22 8 34 20 40'],
    thin: ['M282 148h34M286 145v6M294 145v6M302 145v6M310 145v6'],
    touch: [264, 122, 56, 30],
  },
}
/** Front to back; `touch` is where a finger finds the part. */
const all: Part[] = [
  {
    station: 'parallel_arms',
    paths: ['M36 55 104 64', 'M36 79 104 88'],
    circles: [
      [36, 55, 2.6],
      [36, 79, 2.6],
      [104, 64, 2.6],
      [104, 88, 2.6],
    ],
    touch: [38, 52, 64, 32],
  },
  { station: 'downforce', paths: ['M46 76 84 66', 'M54 70l6 8M62 68l6 8M70 66l6 8'], touch: [50, 62, 32, 20] },
  {
    station: 'row_cleaner',
    paths: ['M44 84 62 128'],
    circles: [[62, 133, 16]],
    thin: ['M62 117v32M46 133h32M51 122l22 22M73 122l-22 22'],
    touch: [44, 115, 36, 36],
  },
  {
    station: 'coulter',
    circles: [
      [86, 128, 21],
      [86, 128, 3],
    ],
    thin: ['M90 92v36'],
    touch: [72, 106, 28, 42],
  },
  { station: 'front_shovel', paths: ['M84 66 80 118 66 150l16-6'], touch: [62, 112, 24, 38] },
  { station: 'seed_delivery', paths: ['M116 56 110 16h58l-8 40'], thin: ['M108 24h64'], touch: [108, 12, 62, 44] },
  {
    station: 'meter',
    circles: [
      [140, 76, 15],
      [140, 76, 2.6],
    ],
    touch: [124, 62, 24, 28],
  },
  { station: 'meter_drive', circles: [[162, 72, 6]], thin: ['M141 61 162 66M141 91 162 78'], touch: [152, 62, 20, 22] },
  { station: 'meter_air', paths: ['M150 64c14-16 20-24 44-26'], touch: [172, 32, 28, 22] },
  { station: 'seed_tube', thin: ['M147 90c2 26-2 46-12 60M153 89c2 28-2 48-10 62'], touch: [142, 92, 12, 40] },
  {
    station: 'seed_path',
    paths: ['M138 94 128 146a5 5 0 0 0 10 2l12-52'],
    thin: ['M134 106l-6-2M131 120l-6-2M129 134l-6-2'],
    touch: [126, 94, 24, 54],
  },
  { station: 'seed_tube_guard', paths: ['M134 104c2 16 0 30-6 42'], touch: [124, 116, 12, 28] },
  { station: 'gauge_wheels', circles: [[166, 124, 27]], thin: ['M178 92 166 124'], touch: [164, 100, 32, 50] },
  {
    station: 'opener_blades',
    circles: [
      [128, 120, 34],
      [128, 120, 5],
    ],
    touch: [104, 96, 30, 30],
  },
  {
    station: 'opener',
    paths: ['M98 98c2 34 14 52 46 54l4-54', 'M106 100v20'],
    circles: [],
    touch: [98, 98, 50, 54],
  },
  { station: 'blade_contact', paths: ['M97.5 128a31.5 31.5 0 0 0 10 16.5'], touch: [92, 128, 22, 22] },
  { station: 'scrapers', paths: ['M150 100l10 22-6 4'], touch: [148, 98, 14, 30] },
  {
    station: 'fertilizer_opener',
    circles: [
      [22, 126, 22],
      [22, 126, 3],
    ],
    thin: ['M22 92v34'],
    touch: [2, 106, 42, 42],
  },
  { station: 'depth_stop', paths: ['M186 92l12-8M198 78v14'], touch: [184, 72, 20, 24] },
  { station: 'row_fertilizer', thin: ['M210 34c0 40-4 76-16 112M214 34c0 42-4 80-16 114'], touch: [192, 96, 24, 50] },
  { station: 'depth_setting', paths: ['M186 96V66h9v30M180 80h21'], touch: [176, 64, 30, 32] },
  {
    station: 'press_wheel',
    paths: ['M186 90 212 128'],
    circles: [
      [212, 129, 21],
      [212, 129, 3],
    ],
    touch: [192, 106, 40, 44],
  },
  {
    station: 'covering_discs',
    paths: ['M226 92 238 126', 'M232 151c-2-16 2-30 7-30s9 14 7 30'],
    touch: [224, 118, 28, 34],
  },
  { station: 'seed_firmer', paths: ['M150 132c14 4 28 12 44 18'], touch: [176, 138, 24, 14] },
  {
    station: 'closing_wheels',
    paths: ['M222 90 256 128'],
    circles: [
      [258, 130, 20],
      [258, 130, 3],
    ],
    touch: [236, 108, 44, 44],
  },
  {
    station: 'second_closing',
    paths: ['M262 108 300 130'],
    circles: [
      [304, 134, 16],
      [304, 134, 3],
    ],
    touch: [286, 116, 36, 34],
  },
  {
    station: 'closing_chain',
    paths: ['M222 90c8 30 14 50 26 58'],
    thin: ['M248 148h34M252 145v6M260 145v6M268 145v6M276 145v6'],
    touch: [232, 118, 52, 34],
  },
]

const CLASSIC: Station[] = [
  'parallel_arms',
  'downforce',
  'row_cleaner',
  'seed_delivery',
  'meter',
  'meter_drive',
  'meter_air',
  'seed_tube',
  'seed_tube_guard',
  'gauge_wheels',
  'opener_blades',
  'blade_contact',
  'scrapers',
  'depth_stop',
  'seed_firmer',
  'closing_wheels',
]
const stations = computed(() => new Set<Station>(unit?.stations ?? CLASSIC))
/** The kinds that are drawn in a way of their own. */
const parts = computed(() => {
  const { fertilizer_knife: knife, opener } = unit?.equipment ?? {}
  const shape: Partial<Record<Station, string>> = {
    ...(knife ? { fertilizer_opener: 'knife' } : {}),
    ...(opener === 'hoe' ? { opener: 'hoe' } : {}),
    ...(stations.value.has('closing_wheels') ? { closing_chain: 'chain_behind' } : {}),
  }
  return all
    .filter(({ station }) => stations.value.has(station))
    .map((part) => ({ ...part, ...SHAPES[shape[part.station] ?? ''] }))
})
/** Two stages, one behind the other. */
const isLonger = computed(
  () =>
    stations.value.has('second_closing') ||
    (stations.value.has('closing_wheels') && stations.value.has('closing_chain')),
)
</script>

<template>
  <svg
    class="drawing"
    :viewBox="`0 0 ${isLonger ? 330 : 300} 172`"
    role="img"
    :aria-label="lit ? `Row unit from the side, ${say(`station.${lit}`)} marked` : 'Row unit from the side'"
  >
    <!-- ground, and the furrow that closes behind; toolbar and frame -->
    <path class="ground" :d="`M4 150H${isLonger ? 326 : 296}`" />
    <path class="ground thin" d="M132 150v8h118" />
    <rect x="10" y="50" width="26" height="34" rx="2" />
    <path d="M104 58h62l10 32h46l8 10M104 58v36l18 20" />
    <path v-if="!stations.has('parallel_arms')" d="M36 60h68M36 74h68" />
    <path class="way" d="M40 20H14m0 0 7-5m-7 5 7 5" />
    <g
      v-for="part in parts"
      :key="part.station"
      :class="['part', verdicts?.[part.station], { lit: lit === part.station, line: part.paths && !part.circles }]"
      @click="emit('choose', part.station)"
    >
      <path v-for="path in part.paths" :key="path" :d="path" />
      <circle v-for="([x, y, r], index) in part.circles" :key="index" :class="{ pin: r < 6 }" :cx="x" :cy="y" :r="r" />
      <path v-for="path in part.thin" :key="path" class="thin" :d="path" />
      <rect
        v-if="verdicts"
        class="touch"
        :x="part.touch[0]"
        :y="part.touch[1]"
        :width="part.touch[2]"
        :height="part.touch[3]"
      />
    </g>
  </svg>
</template>

<style scoped>
.thin {
  stroke-width: 1.1;
}
.pin {
  fill: var(--card);
}
.way {
  stroke: var(--ink-2);
  stroke-width: 1.4;
}
.touch {
  fill: transparent;
  stroke: none;
  cursor: pointer;
}
.watch,
.change,
.failed {
  stroke: currentColor;
  stroke-width: 3;
}
.watch circle:not(.pin),
.change circle:not(.pin),
.failed circle:not(.pin) {
  fill: color-mix(in srgb, currentColor 22%, transparent);
}
.lit {
  stroke: var(--accent);
  stroke-width: 3.4;
}
.lit circle:not(.pin) {
  fill: color-mix(in srgb, var(--accent) 18%, transparent);
}
.lit.line > path:not(.thin) {
  stroke-width: 6;
}
</style>
