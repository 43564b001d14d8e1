<script setup lang="ts">
import { computed } from 'vue'
import type { Cell, Check } from '@/api/types'
import FractionText from '@/components/FractionText.vue'
import VerdictGlyph from '@/components/VerdictGlyph.vue'
import { useUnits } from '@/composables/useUnits'
import { say, sayCheck, sayRow } from '@/words'

/** One place on the board: its verdict and figure now, or in grey what it read last time. */
const { cell, check, faded } = defineProps<{ cell: Cell; check: Check; faded: boolean }>()
const { figure, answer, reading } = useUnits()

const verdict = computed(() => cell.now?.verdict ?? 'unchecked')
const text = computed(() => {
  if (cell.now?.result === 'not_fitted') return 'none'
  const value = cell.now ? cell.now.value : (cell.last?.value ?? null)
  return value === null ? '' : figure(value, check.unit ?? 'mark')
})
const spoken = computed(() => {
  const place = `${sayRow(cell.row)}, ${sayCheck(cell)}`
  const now = cell.now ? `, ${reading(cell.now, check)}` : ''
  const last = cell.last ? `, last time ${answer(cell.last, check)}` : ''
  return `${place}: ${say(`verdict.${verdict.value}`)}${now}${last}`
})
</script>

<template>
  <button type="button" :class="['cell', verdict, { faded }]" :aria-label="spoken">
    <verdict-glyph :verdict="verdict" :size="verdict === 'sound' || verdict === 'unchecked' ? 12 : 15" silent />
    <fraction-text v-if="text" :text="text" aria-hidden="true" />
  </button>
</template>

<style scoped>
.cell {
  width: 100%;
  min-height: var(--touch);
  display: flex;
  align-items: center;
  justify-content: center;
  gap: 3px;
  padding: 2px 1px;
  font-size: 0.9375rem;
  white-space: nowrap;
  font-weight: 700;
  border-radius: 6px;
}
.cell:hover {
  background: var(--accent-weak);
}
.cell.sound {
  font-weight: 400;
}
.cell.sound > span {
  color: var(--ink);
}
.cell.unchecked {
  font-weight: 400;
  color: var(--ink-2);
}
.faded {
  opacity: 0.28;
}
</style>
