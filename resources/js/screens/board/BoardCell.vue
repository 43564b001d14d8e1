<script setup lang="ts">
import { computed } from 'vue'
import type { Cell } from '@/api/types'
import FractionText from '@/components/FractionText.vue'
import VerdictGlyph from '@/components/VerdictGlyph.vue'
import { useUnits } from '@/composables/useUnits'
import { say, sayCheck } from '@/words'

/** One place on the board: its verdict and figure now, or in grey what it read last time. */
const { cell, faded } = defineProps<{ cell: Cell; faded: boolean }>()
const { figure, length } = useUnits()

const verdict = computed(() => cell.now?.verdict ?? 'unchecked')
const text = computed(() => {
  if (cell.now?.result === 'not_fitted') return 'none'
  if (cell.now) return cell.now.mm === null ? '' : figure(cell.now.mm)
  return cell.last ? figure(cell.last.mm) : ''
})
const spoken = computed(() => {
  const place = `Row ${cell.row}, ${sayCheck(cell)}`
  if (cell.now?.result === 'not_fitted') return `${place}: ${say('result.not_fitted')}`
  const last = cell.last ? `, last time ${length(cell.last.mm)}` : ''
  const now = cell.now?.mm ?? null
  return `${place}: ${say(`verdict.${verdict.value}`)}${now === null ? '' : `, ${length(now)}`}${last}`
})
</script>

<template>
  <button type="button" :class="['cell', verdict, { faded }]" :aria-label="spoken">
    <verdict-glyph :verdict="verdict" :size="verdict === 'sound' || verdict === 'unchecked' ? 12 : 14" silent />
    <fraction-text :text="text" aria-hidden="true" />
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
