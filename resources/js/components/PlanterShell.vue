<script setup lang="ts">
import type { RibbonRow } from '@/api/types'
import AppBar from './AppBar.vue'
import PlanterRibbon from './PlanterRibbon.vue'

/** The frame of every planter screen: bar, ribbon, and the phase's own screen below. */
defineProps<{ planterId: number; ribbon?: RibbonRow[]; sections?: number[]; selected?: number }>()
defineEmits<{ select: [row: number] }>()
</script>

<template>
  <app-bar :planter-id="planterId" />
  <div class="strip">
    <planter-ribbon
      v-if="ribbon && sections"
      :ribbon="ribbon"
      :sections="sections"
      :selected="selected"
      @select="$emit('select', $event)"
    />
  </div>
  <main class="phase">
    <slot />
  </main>
</template>

<style scoped>
.strip {
  min-height: 76px;
  padding: 6px 24px 2px;
  background: var(--card);
  border-bottom: 1px solid var(--line);
}
.phase {
  padding: 16px 24px 24px;
}
@media (max-width: 700px) {
  .strip {
    padding: 2px 8px 0;
  }
  .phase {
    padding: 10px 10px 16px;
  }
}
</style>
