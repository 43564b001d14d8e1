<script setup lang="ts">
import { computed } from 'vue'
import { useDepthIndex } from '@/api/queries'
import FractionText from '@/components/FractionText.vue'
import LoadProblem from '@/components/LoadProblem.vue'
import { useUnits } from '@/composables/useUnits'
import BlocksDrawing from '@/drawings/BlocksDrawing.vue'

/** The rows' depth stops against each other: which to move, which way, and what is won by it. */
const { planterId, walk } = defineProps<{ planterId: number; walk: string }>()
const { length } = useUnits()
const query = useDepthIndex(() => walk)
const index = computed(() => query.data.value)
const toMove = computed(() => index.value?.rows.filter((row) => row.move !== 0) ?? [])
const furthest = computed(() => Math.max(2, ...(index.value?.rows.map((row) => Math.abs(row.offset)) ?? [])))
const notches = (count: number) => `${Math.abs(count)} ${Math.abs(count) === 1 ? 'notch' : 'notches'}`
</script>

<template>
  <section class="sheet">
    <h2>Depth index</h2>
    <load-problem :error="query.error.value" @again="query.refetch()" />
    <template v-if="index">
      <template v-if="index.median === null">
        <blocks-drawing />
        <p>Equal blocks under all gauge wheels; note the notch at which each row's wheels just lift.</p>
        <v-btn
          variant="outlined"
          :to="{ name: 'walk', params: { planter: planterId }, query: { row: 1, check: 'depth_stop_notch' } }"
          >Read the notches</v-btn
        >
      </template>
      <template v-else>
        <p>
          Median notch <strong>{{ index.median }}</strong>. One notch is
          <fraction-text :text="length(index.notch_mm)" />; a row may be {{ notches(index.tolerance) }} off.
        </p>
        <ol class="rows">
          <li v-for="row in index.rows" :key="row.row" :class="{ change: row.move !== 0 }">
            <span class="row">{{ row.row }}</span>
            <span class="bar" aria-hidden="true"
              ><span
                :style="{
                  left: `${50 + (Math.min(0, row.offset) / furthest) * 50}%`,
                  width: `${(Math.abs(row.offset) / furthest) * 50}%`,
                }"
            /></span>
            <span class="notch">{{ row.notch }}</span>
            <strong class="move">{{
              row.move === 0 ? '' : `${row.move > 0 ? 'up' : 'down'} ${notches(row.move)}`
            }}</strong>
          </li>
        </ol>
        <p v-if="toMove.length === 0">
          Every row is within {{ notches(index.tolerance) }} of the median. Nothing to move.
        </p>
        <p v-else>
          Spread {{ notches(index.spread_before ?? 0) }} now, {{ notches(index.spread_after ?? 0) }} after moving
          {{ toMove.length === 1 ? 'this row' : `these ${toMove.length} rows` }}.
        </p>
      </template>
    </template>
  </section>
</template>

<style scoped>
.rows {
  list-style: none;
  padding: 0;
  margin: 8px 0;
}
li {
  display: grid;
  grid-template-columns: 30px 1fr 34px 110px;
  align-items: center;
  gap: 8px;
  min-height: 26px;
}
.row {
  font-weight: 700;
}
.bar {
  position: relative;
  height: 12px;
  border-left: 1px solid var(--line);
  border-right: 1px solid var(--line);
  background: linear-gradient(var(--ink-2), var(--ink-2)) center / 1px 100% no-repeat;
}
.bar span {
  position: absolute;
  inset: 2px auto;
  background: currentColor;
  border-radius: 2px;
}
.notch {
  text-align: right;
}
</style>
