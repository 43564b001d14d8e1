<script setup lang="ts">
/** The furrow in section, by what the contact length makes of it: a V, a W with a ridge, or a smeared V. */
const { shape } = defineProps<{ shape: 'good' | 'short' | 'long' }>()
const words = {
  good: 'Contact right: a V, seed at the bottom',
  short: 'Contact too short: a W, seed perched on the ridge',
  long: 'Contact too long: blades push apart, walls smeared',
}
</script>

<template>
  <svg class="drawing" viewBox="0 0 120 70" role="img" :aria-label="words[shape]">
    <path v-if="shape === 'good'" class="ground" d="M2 12h30l28 42 28-42h30" />
    <path v-else-if="shape === 'short'" class="ground" d="M2 12h24l20 40 14-18 14 18 20-40h24" />
    <template v-else>
      <path class="ground" d="M2 12h26l30 42h4l30-42h26" />
      <path class="smear" d="M34 18 58 52M86 18 62 52" />
    </template>
    <circle class="seed" cx="60" :cy="shape === 'short' ? 28 : 47" r="5" />
  </svg>
</template>

<style scoped>
.seed {
  fill: var(--accent);
  stroke: none;
}
.smear {
  stroke: var(--change);
  stroke-width: 3;
}
</style>
