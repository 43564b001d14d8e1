<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Cell, Verdict } from '@/api/types'
import { placeKey } from '@/api/types'
import FractionText from '@/components/FractionText.vue'
import PlanterPage from '@/components/PlanterPage.vue'
import VerdictGlyph from '@/components/VerdictGlyph.vue'
import { usePlanterBoard } from '@/composables/usePlanterBoard'
import { useUnits } from '@/composables/useUnits'
import { wordReasons } from '@/measure/bands'
import CellHistory from './CellHistory.vue'
import { say, sayCheck, sayRow } from '@/words'
import { groupFindings } from './findings'

/** Everything that is not sound, by row or by station, each with its reason. */
const { planterId } = defineProps<{ planterId: number }>()
const { query, board, checkOf, canWalk, walkTo } = usePlanterBoard(() => planterId)
const { reading, answer, units } = useUnits()
const by = ref<'row' | 'station'>('row')
const only = ref<Verdict>()
const opened = ref<Cell>()

const findings = computed(() => (board.value?.findings ?? []).flatMap((at) => board.value?.cells[at] ?? []))
const counts = computed(() =>
  (['failed', 'change', 'watch'] as const).map((verdict) => ({
    verdict,
    count: findings.value.filter((cell) => cell.now?.verdict === verdict).length,
  })),
)
const groups = computed(() =>
  groupFindings(
    findings.value.filter((cell) => only.value === undefined || cell.now?.verdict === only.value),
    (cell) => (by.value === 'row' ? sayRow(cell.row) : say(`station.${checkOf(cell).station}`)),
  ),
)
</script>

<template>
  <planter-page :planter-id="planterId" :of="board" :error="query.error.value" @again="query.refetch()">
    <div v-if="board" class="findings">
      <div class="head">
        <h1>Findings</h1>
        <div class="segments" role="group" aria-label="Verdict">
          <button
            v-for="{ verdict, count } in counts"
            :key="verdict"
            type="button"
            :aria-pressed="only === verdict"
            @click="only = only === verdict ? undefined : verdict"
          >
            <verdict-glyph :verdict="verdict" silent /> {{ count }} {{ say(`verdict.${verdict}`).toLowerCase() }}
          </button>
        </div>
        <div class="segments" role="group" aria-label="List">
          <button type="button" :aria-pressed="by === 'row'" @click="by = 'row'">By row</button>
          <button type="button" :aria-pressed="by === 'station'" @click="by = 'station'">By station</button>
        </div>
        <span class="prints">
          <v-btn v-if="board.walk" variant="outlined" :href="`/api/walks/${board.walk.id}/sheet.pdf`" target="_blank"
            >Print the findings</v-btn
          >
          <v-btn variant="outlined" :href="`/api/planters/${planterId}/blank.pdf`" target="_blank"
            >Print a blank sheet</v-btn
          >
        </span>
      </div>
      <p v-if="!board.walk" class="quiet">No walk for {{ board.season }} yet. Start one; its findings come here.</p>
      <p v-else-if="findings.length === 0">All checked places are sound.</p>
      <section v-for="group in groups" :key="group.name" class="sheet">
        <h2>{{ group.name }}</h2>
        <ul>
          <li v-for="cell in group.cells" :key="placeKey(cell)">
            <button v-if="cell.now" type="button" @click="opened = cell">
              <verdict-glyph :verdict="cell.now.verdict" :size="20" />
              <span class="what"
                ><strong>{{
                  by === 'row'
                    ? sayCheck(cell)
                    : `${sayRow(cell.row)}, ${say(`measure.${cell.check}`)} ${say(`side.${cell.side}`)}`
                }}</strong>
                <fraction-text class="figure" :text="reading(cell.now, checkOf(cell))"
              /></span>
              <span class="why"
                ><fraction-text :text="wordReasons(cell.check, cell.now.reasons, cell.now.value, units)" />{{ ' '
                }}<span v-if="cell.last" class="quiet"
                  >{{ cell.last.season }}: <fraction-text :text="answer(cell.last, checkOf(cell))" />.</span
                ></span
              >
            </button>
          </li>
        </ul>
      </section>
    </div>
    <cell-history
      v-if="opened"
      :planter-id="planterId"
      :cell="opened"
      :check="checkOf(opened)"
      :can-walk="canWalk"
      @walk="walkTo(opened)"
      @close="opened = undefined"
    />
  </planter-page>
</template>

<style scoped>
.findings {
  max-width: 1100px;
  margin: 0 auto;
  display: grid;
  gap: 12px;
}
.head {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 10px 16px;
}
.prints {
  margin-left: auto;
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
.sheet {
  padding: 10px 16px;
}
ul {
  list-style: none;
  padding: 0;
}
li button {
  display: grid;
  grid-template-columns: 24px minmax(220px, 1fr) 1.4fr;
  align-items: center;
  gap: 8px;
  width: 100%;
  min-height: var(--touch);
  padding: 4px 0;
  text-align: left;
  border-top: 1px solid var(--line);
}
.figure {
  margin-left: 6px;
  white-space: nowrap;
}
@media (max-width: 700px) {
  li button {
    grid-template-columns: 24px 1fr;
  }
  .why {
    grid-column: 2;
  }
}
</style>
