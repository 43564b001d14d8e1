<script setup lang="ts">
import type { Verdict } from '@/api/types'
import { say } from '@/words'

/** The sign of a verdict: told by its shape first, by its colour second. Sound is quiet, trouble is loud. */
const { verdict, size = 16, silent = false } = defineProps<{ verdict: Verdict; size?: number; silent?: boolean }>()
</script>

<template>
  <svg
    :class="['glyph', verdict]"
    :width="size"
    :height="size"
    viewBox="0 0 16 16"
    :role="silent ? 'presentation' : 'img'"
    :aria-label="silent ? undefined : say(`verdict.${verdict}`)"
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
.glyph {
  flex: none;
  vertical-align: -0.15em;
}
.cut {
  fill: var(--card);
}
</style>
