<script setup lang="ts">
import { computed } from 'vue'
import type { Cell, Check } from '@/api/types'
import FractionText from '@/components/FractionText.vue'
import VerdictGlyph from '@/components/VerdictGlyph.vue'
import { useUnits } from '@/composables/useUnits'
import { sayBriefly, say, sayCheck, sayRow } from '@/words'

/** One place on the board: its verdict and figure now, or in gray what it read last time. */
const { cell, check, faded, brief } = defineProps<{
  cell: Cell
  check: Check
  faded: boolean
  /** It stands for its station: what is sound or unchecked is only a sign. */
  brief: boolean
}>()
const { figure, answer, reading } = useUnits()

const verdict = computed(() => cell.now?.verdict ?? 'unchecked')
const isQuiet = computed(() => verdict.value === 'sound' || verdict.value === 'unchecked')
const text = computed(() => {
  if (brief && isQuiet.value) return ''
  if (cell.now?.result === 'not_fitted') return 'none'
  const value = cell.now ? cell.now.value : (cell.last?.value ?? null)
  if (value !== null) return figure(value, check.unit ?? 'mark')
  const [chip] = cell.now?.chips ?? []
  if (chip !== undefined) return sayBriefly(`chip.${chip}`)
  return isQuiet.value || check.kind === 'condition' ? '' : sayBriefly(`state.${cell.now?.state}`)
})
const spoken = computed(() => {
  const place = `${sayRow(cell.row)}, ${sayCheck(cell)}`
  const now = cell.now ? `, ${reading(cell.now, check)}` : ''
  const last = cell.last ? `, last time ${answer(cell.last, check)}` : ''
  return `${place}: ${say(`verdict.${verdict.value}`)}${now}${last}`
})
</script>

<template>
  <button type="button" :class="['cell', verdict, { faded }]" :aria-label="spoken" :title="spoken">
    <verdict-glyph :verdict="verdict" :size="isQuiet ? 12 : 14" silent />
    <fraction-text v-if="text" :text="text" aria-hidden="true" />
  </button>
</template>

<style scoped>
.cell {
  width: 100%;
  min-height: var(--line-height);
  display: flex;
  align-items: center;
  justify-content: center;
  gap: 3px;
  padding: 1px;
  font-size: 0.875rem;
  white-space: nowrap;
  font-weight: 700;
  border-radius: 4px;
}
.cell.change,
.cell.failed {
  background: color-mix(in srgb, currentColor 9%, transparent);
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
