<script setup lang="ts">
import type { WalkStep } from '@/api/types'
import FractionText from '@/components/FractionText.vue'
import { useUnits } from '@/composables/useUnits'
import TapeDrawing from '@/drawings/TapeDrawing.vue'
import TwoCardDrawing from '@/drawings/TwoCardDrawing.vue'
import { say } from '@/words'

/** How this check is made, what to mind while making it, and what this place read last time. */
defineProps<{ step: WalkStep }>()
const { length } = useUnits()
</script>

<template>
  <aside class="side">
    <section class="sheet">
      <h2>How to measure</h2>
      <tape-drawing v-if="step.check === 'opener_blade_diameter'" />
      <two-card-drawing v-else />
      <ol>
        <li v-for="line in [1, 2, 3]" :key="line">{{ say(`howto.${step.check}.${line}`) }}</li>
      </ol>
    </section>
    <section class="sheet caution">
      <h2>Mind your hands</h2>
      <p>{{ say(`caution.${step.check}`) }}</p>
      <p class="quiet">Unit locked or blocked, engine off, key out. The operator's manual comes first.</p>
    </section>
    <section class="sheet">
      <h2>This place before</h2>
      <p v-if="step.last"><fraction-text :text="length(step.last.mm)" /> in {{ step.last.season }}</p>
      <p v-else class="quiet">Not measured in an earlier season.</p>
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
