<script setup lang="ts">
import { computed, nextTick, useTemplateRef, watch } from 'vue'
import type { RibbonRow } from '@/api/types'
import { say } from '@/words'
import VerdictGlyph from './VerdictGlyph.vue'

/** The planter seen from behind: every row at its place across the toolbar, with its worst verdict and life left. */
const {
  ribbon,
  sections,
  selected,
  small = false,
} = defineProps<{ ribbon: RibbonRow[]; sections: number[]; selected?: number; small?: boolean }>()
const emit = defineEmits<{ select: [row: number] }>()
const strip = useTemplateRef<HTMLElement>('strip')

const bySection = computed(() => {
  let from = 0
  return sections.map((count) => ribbon.slice(from, (from += count)))
})

function describe(row: RibbonRow): string {
  if (row.parked) return `Row ${row.row}: parked`
  const life = row.life_left === null ? '' : `, ${Math.round(row.life_left * 100)}% life left in the worst part`
  const expected = row.expected === undefined ? '' : `, expected ${say(`verdict.${row.expected}`).toLowerCase()}`
  return `Row ${row.row}: ${say(`verdict.${row.verdict}`)}${expected}${life}`
}

watch(
  () => [selected, ribbon.length],
  async () => {
    await nextTick()
    const button = strip.value?.querySelector<HTMLElement>('[aria-current]')
    if (!strip.value || !button) return
    strip.value.scrollLeft = button.offsetLeft - strip.value.clientWidth / 2 + button.clientWidth / 2
  },
  { immediate: true, flush: 'post' },
)
</script>

<template>
  <div ref="strip" :class="['ribbon', { small }]" :style="{ '--rows': ribbon.length }">
    <div v-for="(rows, index) in bySection" :key="index" class="section" :style="{ flexGrow: rows.length }">
      <component
        :is="small ? 'span' : 'button'"
        v-for="row in rows"
        :key="row.row"
        :type="small ? undefined : 'button'"
        :class="['row', row.expected ?? row.verdict, { expected: row.expected !== undefined, parked: row.parked }]"
        :aria-label="small ? undefined : describe(row)"
        :title="small ? undefined : describe(row)"
        :aria-current="row.row === selected ? 'true' : undefined"
        @click="emit('select', row.row)"
      >
        <span v-if="!small" class="number">{{ row.row }}</span>
        <span v-if="row.parked && !small" class="up">parked</span>
        <span v-else class="life"
          ><span
            class="left"
            :style="{ height: `${Math.max(row.life_left ?? 0, row.life_left === null ? 0 : 0.06) * 100}%` }"
        /></span>
        <verdict-glyph
          v-if="!row.parked"
          :verdict="row.expected ?? row.verdict"
          :hollow="row.expected !== undefined"
          :size="small ? 12 : 15"
          :silent="!small"
        />
      </component>
    </div>
  </div>
</template>

<style scoped>
.ribbon {
  position: relative;
  display: flex;
  gap: 14px;
  overflow-x: auto;
  padding: 4px 3px 6px;
  scrollbar-width: thin;
}
.section {
  display: flex;
  flex-basis: 0;
  border-top: 4px solid var(--ink-2);
  border-radius: 2px;
}
.row {
  flex: 1 0 48px;
  min-width: 48px;
  display: grid;
  grid-template: auto 34px / 1fr auto auto 1fr;
  column-gap: 5px;
  align-items: center;
  justify-items: center;
  padding: 3px 2px 4px;
  border-radius: 0 0 8px 8px;
  border: 2px solid transparent;
  border-top: 0;
}
.up {
  grid-area: 2 / 1 / 3 / 5;
  font-size: 0.75rem;
  color: var(--ink-2);
}
.parked .life {
  visibility: hidden;
}
.number {
  grid-column: 2 / 4;
  font-size: 0.8125rem;
  line-height: 1.3;
  color: var(--ink);
}
.life {
  grid-area: 2 / 2;
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
.row .glyph {
  grid-area: 2 / 3;
}
/* Not looked at yet: drawn in outline. */
.expected .left {
  background: none;
  border: 1.5px solid currentColor;
  border-radius: 2px;
}
button.row:hover {
  background: color-mix(in srgb, var(--accent-weak) 55%, transparent);
}
.row[aria-current] {
  background: var(--accent-weak);
  border-color: var(--accent);
}
.small {
  gap: 8px;
  padding: 0;
}
.small .section {
  border-top-width: 3px;
}
.small .row {
  flex-basis: 13px;
  min-width: 13px;
  grid-template: 22px 14px / 1fr;
  row-gap: 2px;
  padding: 3px 0 0;
  border: 0;
}
.small .life {
  grid-area: 1 / 1;
  width: 7px;
  height: 22px;
}
.small .row .glyph {
  grid-area: 2 / 1;
}
</style>
