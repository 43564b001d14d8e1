<script setup lang="ts">
import type { Verdict, WatchRun } from '@/api/types'
import VerdictGlyph from '@/components/VerdictGlyph.vue'
import { say } from '@/words'

/** Each row at its place across the toolbar: how much seed it brings, and what is amiss with it. */
const { rows, sections, selected } = defineProps<{
  rows: WatchRun['rows']
  sections: number[]
  selected: number
}>()
defineEmits<{ select: [row: number] }>()
const verdict = (state: WatchRun['rows'][number]['state']): Verdict =>
  state === 'off' || state === 'unheard' ? 'unchecked' : state
const ends = sections.map((_, at) => sections.slice(0, at + 1).reduce((sum, rows) => sum + rows, 0)).slice(0, -1)
</script>

<template>
  <div class="strip" role="group" aria-label="Rows">
    <button
      v-for="row in rows"
      :key="row.row"
      type="button"
      :class="[row.state, { chosen: row.row === selected, end: ends.includes(row.row) }]"
      :aria-pressed="row.row === selected"
      :aria-label="`Row ${row.row}, ${say(`watch_state.${row.state}`)}`"
      @click="$emit('select', row.row)"
    >
      <span class="column"><span :style="{ height: `${100 * (row.height ?? 0)}%` }" /></span>
      <verdict-glyph :verdict="verdict(row.state)" :size="14" silent />
      <strong>{{ row.row }}</strong>
    </button>
  </div>
</template>

<style scoped>
.strip {
  display: flex;
  gap: 2px;
  overflow-x: auto;
}
button {
  display: grid;
  flex: 1 1 0;
  justify-items: center;
  gap: 4px;
  min-width: 34px;
  padding: 4px 0;
  font: inherit;
  color: var(--sound);
  background: none;
  border: 2px solid transparent;
  border-radius: 6px;
  cursor: pointer;
}
.chosen {
  border-color: var(--accent);
}
.end {
  margin-right: 8px;
}
.column {
  display: flex;
  align-items: flex-end;
  width: 60%;
  height: 84px;
  background: var(--line);
  border-radius: 3px;
}
.column > span {
  width: 100%;
  background: currentcolor;
  border-radius: 3px;
}
strong {
  color: var(--ink);
}
.watch {
  color: var(--watch);
}
.change {
  color: var(--change);
}
.failed {
  color: var(--failed);
}
.off,
.unheard {
  color: var(--unchecked);
}
</style>
