<script setup lang="ts">
import { computed } from 'vue'
import type { Check, PlaceRef, WalkGuide } from '@/api/types'
import FractionText from '@/components/FractionText.vue'
import { useUnits } from '@/composables/useUnits'
import { doubtsAbout } from '@/measure/bands'
import { say } from '@/words'
import { ofRow } from './checks'

/** What the other rows read of a figure, and which of them lie far from the rest. */
const { guide, place, check } = defineProps<{ guide: WalkGuide; place: PlaceRef; check: Check }>()
const { quantity } = useUnits()

const unit = computed(() => check.unit ?? 'mark')
const doubt = computed(() => ofRow(guide.row_doubts, check, guide, place.row))
const outliers = computed(() =>
  doubt.value === undefined
    ? []
    : guide.steps.filter(
        (step) =>
          (check.rows === null || check.rows.includes(step.row)) &&
          step.check === place.check &&
          step.row !== place.row &&
          step.now?.value != null &&
          doubtsAbout([doubt.value as NonNullable<typeof doubt.value>], step.now.value).length > 0,
      ),
)
</script>

<template>
  <section v-if="doubt" class="sheet">
    <h2>The other rows</h2>
    <p>
      read about <fraction-text :text="quantity(doubt.ref, doubt.unit)" /><template
        v-for="step in outliers.slice(0, 3)"
        :key="`${step.row} ${step.side}`"
      >
        · row {{ step.row }} {{ say(`side.${step.side}`) }} is off at
        <fraction-text :text="quantity(step.now?.value ?? 0, unit)" /></template
      >.
    </p>
  </section>
</template>

<style scoped>
.sheet {
  padding: 12px 14px;
  font-size: 0.9375rem;
}
</style>
