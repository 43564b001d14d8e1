<script setup lang="ts">
import { computed, ref } from 'vue'
import { useRouter } from 'vue-router'
import { useBoard, useWalks } from '@/api/queries'
import type { Cell, Check, Station, Verdict, Walk } from '@/api/types'
import PlanterPage from '@/components/PlanterPage.vue'
import VerdictGlyph from '@/components/VerdictGlyph.vue'
import { monthAndYear } from '@/dates'
import { say } from '@/words'
import BoardMatrix from './BoardMatrix.vue'
import CellHistory from './CellHistory.vue'
import { type BoardFilter, countBoard } from './filter'
import StripPlot from './StripPlot.vue'
import WalkActions from './WalkActions.vue'

const { planterId } = defineProps<{ planterId: number }>()
const router = useRouter()
const shown = ref<string>()
const query = useBoard(() => planterId, shown)
const walks = useWalks(() => planterId)
const board = computed(() => query.data.value)
const filter = ref<BoardFilter>('all')
const selectedRow = ref<number>()
const opened = ref<Cell>()
const station = ref<Station | null>(null)
const strip = ref<Check>()
const stations = computed(() => [
  ...new Set(board.value?.checks.filter((check) => !check.whole_planter).map((check) => check.station)),
])
const checkOf = (cell: Cell) => board.value?.checks.find((check) => check.key === cell.check) as Check

const title = computed(() => {
  if (!board.value) return ''
  const walk = board.value.walk
  if (!walk) return `No walk for ${board.value.season} yet`
  return nameOf(walk)
})
const nameOf = (walk: Walk) => `${say(`walk_kind.${walk.kind}`)}, ${monthAndYear(walk.started_at)}`
/** The walk that is shown by default, and the others to look back at. */
const choices = computed(() =>
  (walks.data.value ?? []).map((walk) => ({
    value: walk.id,
    title: nameOf(walk),
    props: { subtitle: String(walk.season) },
  })),
)
const counts = computed(() => board.value && countBoard(board.value))
const verdicts: Verdict[] = ['sound', 'watch', 'change', 'failed', 'unchecked']
const filters: { value: BoardFilter; label: string }[] = [
  { value: 'all', label: 'All' },
  { value: 'trouble', label: 'Change and failed' },
  { value: 'unchecked', label: 'Unchecked' },
]

function walkTo(cell: Cell): void {
  void router.push({
    name: 'walk',
    params: { planter: planterId },
    query: { row: cell.row, check: cell.check, side: cell.side },
  })
}
</script>

<template>
  <planter-page
    :planter-id="planterId"
    :of="board"
    :selected="selectedRow"
    :select="(row) => (selectedRow = selectedRow === row ? undefined : row)"
    :error="query.error.value"
    @again="query.refetch()"
  >
    <template v-if="board && counts">
      <div class="head">
        <div class="title">
          <h1>{{ title }}</h1>
          <p class="quiet">
            <template v-if="board.walk">
              {{ counts.rowsDone }} of {{ board.ribbon.length }} rows done · {{ counts.change }} to change ·
              {{ counts.failed }} failed · {{ counts.watch }} to watch
            </template>
            <template v-else>Start a walk to measure.</template>
          </p>
        </div>
        <div class="segments" role="group" aria-label="Show">
          <button
            v-for="option in filters"
            :key="option.value"
            type="button"
            :aria-pressed="filter === option.value"
            @click="filter = option.value"
          >
            {{ option.label }}
          </button>
        </div>
        <v-select
          v-model="station"
          class="walks"
          label="Station"
          :items="stations.map((value) => ({ value, title: say(`station.${value}`) }))"
          clearable
        />
        <v-select
          v-if="choices.length > (board.walk ? 1 : 0)"
          v-model="shown"
          class="walks"
          label="Look back at"
          :items="choices"
          :menu-props="{ minWidth: 280 }"
          clearable
        />
        <walk-actions :board="board" />
      </div>
      <board-matrix
        :board="board"
        :filter="filter"
        :selected-row="selectedRow"
        :station="station ?? undefined"
        @open="opened = $event"
        @strip="strip = $event"
        @select="selectedRow = $event"
      />
      <p class="legend">
        <span v-for="verdict in verdicts" :key="verdict" class="sign">
          <verdict-glyph :verdict="verdict" silent /> {{ say(`verdict.${verdict}`) }}
        </span>
        <span class="quiet"
          >Figures in grey are from last time. A row's number opens its page, an underlined check its scale.</span
        >
      </p>
      <p class="legend quiet">
        Verdicts use the figures of “{{ board.planter.spec_sheet.name }}”: typical value, check the operator's manual.
        <router-link :to="{ name: 'spec-sheet', params: { sheet: board.planter.spec_sheet.id } }"
          >See the figures</router-link
        >
        · <router-link :to="{ name: 'edit-planter', params: { planter: planterId } }">Edit the planter</router-link>
      </p>
      <cell-history
        v-if="opened"
        :planter-id="planterId"
        :cell="opened"
        :check="checkOf(opened)"
        :can-walk="board.walk !== null && board.walk.finished_at === null"
        @walk="walkTo(opened)"
        @close="opened = undefined"
      />
      <strip-plot v-if="strip" :board="board" :check="strip" @close="strip = undefined" />
    </template>
  </planter-page>
</template>

<style scoped>
.head {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 10px 16px;
  margin-bottom: 12px;
}
.title {
  flex: 1 1 300px;
}
.walks {
  flex: 0 1 200px;
}
.legend {
  margin-top: 14px;
  font-size: 0.9375rem;
}
.sign {
  margin-right: 18px;
  white-space: nowrap;
}
.legend a {
  color: var(--accent);
  display: inline-block;
  padding: 4px 0;
}
</style>
