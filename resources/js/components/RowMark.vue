<script lang="ts">
import type { RibbonRow } from '@/api/types'
import { say } from '@/words'

/** A row and its mark in words. */
export function sayRow(row: RibbonRow): string {
  if (row.parked) return `Row ${row.row}: parked`
  const life = row.life_left === null ? '' : `, ${Math.round(row.life_left * 100)}% life left in the worst part`
  const expected = row.expected === undefined ? '' : `, expected ${say(`verdict.${row.expected}`).toLowerCase()}`
  return `Row ${row.row}: ${say(`verdict.${row.verdict}`)}${expected}${life}`
}
</script>

<script setup lang="ts">
import VerdictGlyph from './VerdictGlyph.vue'

/** A row's worst verdict and the life left in its worst part; in outline where it is expected and not yet looked at. */
const { row, small = false } = defineProps<{ row: RibbonRow; small?: boolean }>()
</script>

<template>
  <span v-if="row.parked" class="up">{{ small ? '' : 'parked' }}</span>
  <span v-else :class="['mark', row.expected ?? row.verdict, { expected: row.expected !== undefined, small }]">
    <span class="life"
      ><span
        class="left"
        :style="{ height: `${Math.max(row.life_left ?? 0, row.life_left === null ? 0 : 0.06) * 100}%` }"
    /></span>
    <verdict-glyph
      :verdict="row.expected ?? row.verdict"
      :hollow="row.expected !== undefined"
      :size="small ? 12 : 15"
      :silent="!small"
    />
  </span>
</template>

<style scoped>
.mark {
  display: flex;
  align-items: center;
  gap: 5px;
}
.life {
  position: relative;
  width: 9px;
  height: 32px;
  border-radius: 2px;
  background: color-mix(in srgb, var(--ink-2) 24%, transparent);
  overflow: hidden;
}
.left {
  position: absolute;
  inset: auto 0 0 0;
  background: currentColor;
}
/* Not looked at yet: drawn in outline. */
.expected .left {
  background: none;
  border: 1.5px solid currentColor;
  border-radius: 2px;
}
.up {
  height: 32px;
  line-height: 32px;
  font-size: 0.75rem;
  font-weight: 400;
  color: var(--ink-2);
}
.small {
  flex-direction: column;
  gap: 2px;
}
.small .life {
  width: 7px;
  height: 22px;
}
</style>
