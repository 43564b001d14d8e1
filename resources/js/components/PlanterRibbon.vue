<script setup lang="ts">
import { computed, nextTick, useTemplateRef, watch } from 'vue'
import type { RibbonRow } from '@/api/types'
import RowMark, { sayRow } from './RowMark.vue'

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
        class="row"
        :aria-label="small ? undefined : sayRow(row)"
        :title="small ? undefined : sayRow(row)"
        :aria-current="row.row === selected ? 'true' : undefined"
        @click="emit('select', row.row)"
      >
        <span v-if="!small" class="number">{{ row.row }}</span>
        <row-mark :row="row" :small="small" />
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
  display: flex;
  flex-direction: column;
  align-items: center;
  padding: 3px 2px 4px;
  border-radius: 0 0 8px 8px;
  border: 2px solid transparent;
  border-top: 0;
}
.number {
  font-size: 0.8125rem;
  line-height: 1.3;
  color: var(--ink);
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
  padding: 3px 0 0;
  border: 0;
}
</style>
