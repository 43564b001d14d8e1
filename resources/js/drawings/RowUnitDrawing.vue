<script setup lang="ts">
import type { Station } from '@/api/types'
import { say } from '@/words'

/** A row unit from its left side, travelling to the left; one station can be lit. */
const { lit } = defineProps<{ lit?: Station }>()
</script>

<template>
  <svg
    class="drawing"
    viewBox="0 0 300 172"
    role="img"
    :aria-label="lit ? `Row unit from the side, ${say(`station.${lit}`)} marked` : 'Row unit from the side'"
  >
    <!-- ground, and the furrow that closes behind -->
    <path class="ground" d="M4 150H296" />
    <path class="ground thin" d="M132 150v8h118" />
    <!-- toolbar and parallel arms -->
    <rect x="10" y="50" width="26" height="34" rx="2" />
    <path d="M36 55 104 64M36 79 104 88" />
    <circle class="pin" cx="36" cy="55" r="2.6" />
    <circle class="pin" cx="36" cy="79" r="2.6" />
    <circle class="pin" cx="104" cy="64" r="2.6" />
    <circle class="pin" cx="104" cy="88" r="2.6" />
    <!-- row cleaner -->
    <path d="M44 84 62 128" />
    <circle cx="64" cy="133" r="16" />
    <path class="thin" d="M64 117v32M48 133h32M53 122l22 22M75 122l-22 22" />
    <!-- frame, hopper, meter -->
    <path d="M104 58h62l10 32h46l8 10" />
    <path d="M104 58v36l18 20" />
    <path d="M116 56 110 16h58l-8 40" />
    <path class="thin" d="M108 24h64" />
    <circle cx="140" cy="76" r="15" />
    <circle class="pin" cx="140" cy="76" r="2.6" />
    <!-- seed tube -->
    <path class="thin" d="M147 90c2 26-2 46-12 60M153 89c2 28-2 48-10 62" />
    <!-- gauge wheel -->
    <circle class="behind" cx="164" cy="124" r="27" />
    <path class="thin" d="M176 92 164 124" />
    <!-- opener blade -->
    <circle :class="{ lit: lit === 'opener_blades' }" cx="130" cy="120" r="34" />
    <circle class="pin" cx="130" cy="120" r="5" />
    <!-- where the two blades touch -->
    <path v-if="lit === 'blade_contact'" class="contact" d="M99.5 128a31.5 31.5 0 0 0 10 16.5" />
    <!-- closing wheels -->
    <path d="M222 90 256 128" />
    <circle cx="258" cy="130" r="20" />
    <circle class="pin" cx="258" cy="130" r="3" />
    <path class="way" d="M40 20H14m0 0 7-5m-7 5 7 5" />
  </svg>
</template>

<style scoped>
.thin {
  stroke-width: 1.1;
}
.pin {
  fill: var(--card);
}
.behind {
  stroke-dasharray: 4 3;
}
.way {
  stroke: var(--ink-2);
  stroke-width: 1.4;
}
.lit {
  fill: var(--accent-weak);
  stroke: var(--accent);
  stroke-width: 3.4;
}
.contact {
  stroke: var(--accent);
  stroke-width: 9;
}
</style>
