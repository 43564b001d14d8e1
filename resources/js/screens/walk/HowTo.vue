<script setup lang="ts">
import type { WalkStep } from '@/api/types'
import TapeDrawing from '@/drawings/TapeDrawing.vue'
import TwoCardDrawing from '@/drawings/TwoCardDrawing.vue'
import { say } from '@/words'

/** What to mind while making this check, and how it is made. */
defineProps<{ step: WalkStep }>()
</script>

<template>
  <aside class="side">
    <section class="sheet caution">
      <h2>Mind your hands</h2>
      <p>{{ say(`caution.${step.check}`) }}</p>
      <p class="quiet">Unit locked or blocked, engine off, key out. The operator's manual comes first.</p>
    </section>
    <section class="sheet">
      <h2>How to measure</h2>
      <tape-drawing v-if="step.check === 'opener_blade_diameter'" />
      <two-card-drawing v-else />
      <ol>
        <li v-for="line in [1, 2, 3]" :key="line">{{ say(`howto.${step.check}.${line}`) }}</li>
      </ol>
    </section>
  </aside>
</template>

<style scoped>
.side {
  display: grid;
  gap: 12px;
  font-size: 0.9375rem;
}
.sheet {
  padding: 12px 14px;
}
ol {
  padding-left: 20px;
  margin-top: 6px;
  display: grid;
  gap: 4px;
}
.caution {
  border-left: 5px solid var(--ochre);
}
.caution h2 {
  color: var(--ochre);
}
</style>
