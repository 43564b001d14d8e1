<script setup lang="ts">
import { computed } from 'vue'
import type { Board, Check } from '@/api/types'
import FractionText from '@/components/FractionText.vue'
import ScaleStrip from '@/components/ScaleStrip.vue'
import { useUnits } from '@/composables/useUnits'
import { wordReasons } from '@/measure/bands'
import { say } from '@/words'

/** Vacuum or air at the meter of every row against the median of all. */
const { board } = defineProps<{ board: Board }>()
const { quantity, units } = useUnits()
const check = computed(() => board.checks.find((candidate) => candidate.key === 'air_at_meter') as Check)
const cells = computed(() => board.cells.filter((cell) => cell.check === 'air_at_meter' && cell.now?.value != null))
const off = computed(() => cells.value.filter((cell) => cell.now?.verdict !== 'sound'))
</script>

<template>
  <section class="sheet">
    <h2>{{ say('check.air_at_meter') }}</h2>
    <template v-if="cells.length > 0">
      <scale-strip
        :unit="check.unit ?? 'mark'"
        :bands="check.bands"
        :marks="[]"
        :others="cells.map((cell) => cell.now?.value as number)"
      />
      <p v-if="off.length === 0">All {{ cells.length }} rows read the same.</p>
      <p v-for="cell in off" :key="cell.row" :class="cell.now?.verdict">
        <strong>Row {{ cell.row }}: {{ quantity(cell.now?.value as number, 'inH2O') }}.</strong>{{ ' '
        }}<fraction-text :text="wordReasons('air_at_meter', cell.now?.reasons ?? [], cell.now?.value ?? null, units)" />
      </p>
    </template>
    <p v-else class="quiet">
      No row read yet. Run the fan at working speed with full discs and read every row on the walk.
    </p>
  </section>
</template>
