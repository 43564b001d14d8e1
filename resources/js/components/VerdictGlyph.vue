<script setup lang="ts">
import { computed } from 'vue'
import type { Verdict } from '@/api/types'
import { say } from '@/words'

/** The sign of a verdict: told by its shape first, by its color second. Sound is quiet, trouble is loud. */
const {
  verdict,
  size = 16,
  silent = false,
  hollow = false,
} = defineProps<{
  verdict: Verdict
  size?: number
  silent?: boolean
  /** It is only expected. */
  hollow?: boolean
}>()
const name = computed(() =>
  hollow ? `expected ${say(`verdict.${verdict}`).toLowerCase()}` : say(`verdict.${verdict}`),
)
</script>

<template>
  <svg
    :class="['glyph', verdict, { hollow }]"
    :width="size"
    :height="size"
    viewBox="0 0 16 16"
    :role="silent ? 'presentation' : 'img'"
    :aria-label="silent ? undefined : name"
    :aria-hidden="silent || undefined"
  >
    <circle v-if="verdict === 'sound'" cx="8" cy="8" r="4" fill="currentColor" />
    <g v-else-if="verdict === 'watch'">
      <circle cx="8" cy="8" r="6" fill="none" stroke="currentColor" stroke-width="1.8" />
      <path d="M8 2a6 6 0 0 1 0 12z" fill="currentColor" />
    </g>
    <path v-else-if="verdict === 'change'" d="M8 1.4 15 14.4H1z" fill="currentColor" />
    <g v-else-if="verdict === 'failed'">
      <rect x="1.5" y="1.5" width="13" height="13" rx="2" fill="currentColor" />
      <rect x="4" y="6.8" width="8" height="2.4" class="cut" />
    </g>
    <circle v-else cx="8" cy="8" r="4.4" fill="none" stroke="currentColor" stroke-width="1.4" />
  </svg>
</template>

<style scoped>
.hollow [fill='currentColor'] {
  fill: none;
  stroke: currentColor;
  stroke-width: 1.6;
  stroke-linejoin: round;
}
.glyph {
  flex: none;
  vertical-align: -0.15em;
}
.cut {
  fill: var(--card);
}
</style>
