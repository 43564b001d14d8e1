<script setup lang="ts">
import { mdiClose } from '@mdi/js'
import { computed } from 'vue'
import type { Board, Check, Verdict } from '@/api/types'
import FractionText from '@/components/FractionText.vue'
import ScaleStrip from '@/components/ScaleStrip.vue'
import VerdictGlyph from '@/components/VerdictGlyph.vue'
import { useUnits } from '@/composables/useUnits'
import { doubtsAbout } from '@/measure/bands'
import { say } from '@/words'

/** One check over the whole planter on a scale; rows that lie far from the rest are named. */
const { board, check } = defineProps<{ board: Board; check: Check }>()
defineEmits<{ close: [] }>()
const { quantity } = useUnits()

const unit = computed(() => check.unit ?? 'mark')
const read = computed(() =>
  board.cells
    .filter((cell) => cell.check === check.key && cell.now?.value != null)
    .map((cell) => ({ ...cell, value: cell.now?.value as number })),
)
const doubt = computed(() => board.row_doubts[check.key])
const outliers = computed(() => {
  const far = doubt.value
  return far === undefined ? [] : read.value.filter((cell) => doubtsAbout([far], cell.value).length > 0)
})
const marks = computed(() =>
  Object.entries(check.marks)
    .filter(([name]) => name !== 'new')
    .map(([name, value]) => ({ value, label: say(`mark.${name}`) })),
)
/** Rows that read and are judged alike stand together, from the smallest reading. */
const alike = computed(() => {
  const groups = new Map<string, { value: number; verdict: Verdict; where: string[] }>()
  for (const { value, now, row, side } of [...read.value].sort((a, b) => a.value - b.value)) {
    const verdict = now?.verdict ?? 'unchecked'
    const group = groups.get(`${value} ${verdict}`) ?? { value, verdict, where: [] }
    // A row stays with its side where the line is broken.
    group.where.push(`${row}\u00a0${say(`side.${side}`)}`.trim())
    groups.set(`${value} ${verdict}`, group)
  }
  return [...groups.values()]
})
</script>

<template>
  <v-dialog
    model-value
    :aria-label="say(`check.${check.key}`)"
    max-width="860"
    scrollable
    @update:model-value="$emit('close')"
  >
    <div class="sheet asks">
      <div class="head">
        <h2>{{ say(`check.${check.key}`) }}, all rows</h2>
        <v-btn :icon="mdiClose" variant="text" aria-label="Close" @click="$emit('close')" />
      </div>
      <p v-if="read.length === 0" class="quiet">Nothing measured here on this walk yet.</p>
      <template v-else>
        <scale-strip
          :unit="unit"
          :bands="check.bands"
          :marks="marks"
          :others="read.map((cell) => cell.value)"
          :largest="check.marks.new ?? null"
        />
        <p v-if="outliers.length > 0 && doubt" class="outliers">
          Far from the others, which read about <fraction-text :text="quantity(doubt.ref, doubt.unit)" />:
          <strong v-for="(cell, index) in outliers" :key="`${cell.row} ${cell.side}`"
            ><template v-if="index > 0">, </template>row {{ cell.row }} {{ say(`side.${cell.side}`) }} at
            <fraction-text :text="quantity(cell.value, unit)" /></strong
          >.
        </p>
        <p v-else class="quiet">No row is far from the others.</p>
        <ol class="rows" aria-label="Sort by size">
          <li v-for="{ value, verdict, where } in alike" :key="`${value} ${verdict}`">
            <verdict-glyph :verdict="verdict" :size="16" />
            <fraction-text :class="['reading', verdict]" :text="quantity(value, unit)" />
            <span>{{ where.length === 1 ? 'row' : 'rows' }} {{ where.join(', ') }}</span>
          </li>
        </ol>
      </template>
    </div>
  </v-dialog>
</template>

<style scoped>
.head {
  display: flex;
  justify-content: space-between;
  align-items: center;
}
.outliers {
  border-left: 5px solid var(--watch);
  padding-left: 10px;
}
.rows {
  list-style: none;
  padding: 0;
  display: grid;
  gap: 6px;
}
.rows li {
  display: grid;
  grid-template-columns: 16px 6.5rem 1fr;
  gap: 8px;
  align-items: center;
}
.reading {
  font-weight: 700;
}
</style>
