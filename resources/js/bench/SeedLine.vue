<script setup lang="ts">
import { computed } from 'vue'
import { dropsOf } from './drops'

/** A run as it passes: each drop a tick on a ruler at its true distance, an empty place left open, a pair as a forked tick. */
const { line } = defineProps<{ line: number[] }>()
const PLACE = 20
const drops = computed(() => dropsOf(line))
/** The newest stands at the right end. */
const width = computed(() => Math.max(24, (line.at(-1) ?? 0) + 1) * PLACE)
const told = computed(() => {
  const of = (kind: string) => drops.value.filter((drop) => drop.kind === kind).length
  return `The last ${drops.value.length} places: ${of('skip')} skips, ${of('double')} doubles`
})
</script>

<template>
  <div class="line">
    <svg
      :viewBox="`${Math.max(0, width - 24 * PLACE)} 0 ${24 * PLACE} 56`"
      preserveAspectRatio="xMaxYMid meet"
      role="img"
      :aria-label="told"
    >
      <line :x1="0" :x2="width" y1="44" y2="44" class="rule" />
      <template v-for="({ place, kind }, index) in drops" :key="index">
        <rect v-if="kind === 'skip'" :x="place * PLACE + 2" y="16" width="14" height="28" rx="3" class="skip" />
        <path
          v-else-if="kind === 'double'"
          :d="`M${place * PLACE + 9} 44 V30 L${place * PLACE + 3} 14 M${place * PLACE + 9} 30 L${place * PLACE + 15} 14`"
          class="double"
        />
        <line v-else :x1="place * PLACE + 9" :x2="place * PLACE + 9" y1="18" y2="44" class="single" />
      </template>
    </svg>
    <p class="quiet">Tick: a seed. Open box: a skip. Fork: a double. The newest is at the right.</p>
  </div>
</template>

<style scoped>
svg {
  display: block;
  width: 100%;
  height: 64px;
  border-radius: 6px;
  background: var(--paper);
}
p {
  margin: 2px 0 0;
  font-size: 0.8125rem;
}
.rule {
  stroke: var(--line);
  stroke-width: 2;
}
.single {
  stroke: var(--ink);
  stroke-width: 3;
}
.double {
  fill: none;
  stroke: var(--ochre);
  stroke-width: 3;
}
.skip {
  fill: none;
  stroke: var(--change);
  stroke-width: 2;
  stroke-dasharray: 4 3;
}
</style>
