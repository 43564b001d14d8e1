<script setup lang="ts">
import { mdiDotsHorizontal } from '@mdi/js'
import { computed, nextTick, ref, useTemplateRef, watch } from 'vue'
import { useRouter } from 'vue-router'
import { useBoard, useWalks } from '@/walk/queries'
import type { Cell, Check, Verdict, Walk } from '@/api/types'
import DropMenu from '@/components/DropMenu.vue'
import MenuLine from '@/components/MenuLine.vue'
import PlanterPage from '@/components/PlanterPage.vue'
import VerdictGlyph from '@/components/VerdictGlyph.vue'
import { monthAndYear } from '@/dates'
import { useSession } from '@/session'
import LifeLeft from '@/wear/LifeLeft.vue'
import { say } from '@/words'
import { checksAt } from '../checks'
import WholePlanter from '../whole-planter/WholePlanter.vue'
import BoardMatrix from './BoardMatrix.vue'
import CellHistory from './CellHistory.vue'
import { type BoardFilter, countBoard } from './filter'
import StripPlot from './StripPlot.vue'
import WalkActions from './WalkActions.vue'

/** A planter's face: what a walk found, or how long what wears will last; at its foot what belongs to no row. */
const {
  planterId,
  face = 'now',
  open = undefined,
} = defineProps<{ planterId: number; face?: 'now' | 'life'; open?: unknown }>()
const router = useRouter()
const session = useSession()
const shown = ref<string>()
const query = useBoard(() => planterId, shown)
const walks = useWalks(() => planterId)
const board = computed(() => query.data.value)
const filter = ref<BoardFilter>('all')
const selectedRow = ref<number>()
const opened = ref<Cell>()
const strip = ref<Check>()
const foot = useTemplateRef<HTMLElement>('foot')
const isWholePlanter = computed(() => open === 'whole-planter')
const checkOf = computed(() => checksAt(board.value ?? { checks: [], row_checks: [] }))

const nameOf = (walk: Walk) => `${say(`walk_kind.${walk.kind}`)}, ${monthAndYear(walk.started_at)}`
const title = computed(() => {
  if (!board.value) return ''
  return board.value.walk ? nameOf(board.value.walk) : `No walk for ${board.value.season} yet`
})
const counts = computed(() => board.value && countBoard(board.value))
const verdicts: Verdict[] = ['sound', 'watch', 'change', 'failed', 'unchecked']
const filters: { value: BoardFilter; label: string }[] = [
  { value: 'all', label: 'All' },
  { value: 'trouble', label: 'Change or failed' },
  { value: 'unchecked', label: 'Unchecked' },
]

const turnTo = (to: { face?: string; open?: string }) =>
  void router.replace({ name: 'board', params: { planter: planterId }, query: to })

watch(
  [isWholePlanter, foot],
  async () => {
    await nextTick()
    if (isWholePlanter.value) foot.value?.scrollIntoView({ block: 'start' })
  },
  { immediate: true },
)

function walkTo(cell: Cell): void {
  void router.push({
    name: 'walk',
    params: { planter: planterId },
    query: { row: cell.row, check: cell.check, side: cell.side },
  })
}
</script>

<template>
  <planter-page :planter-id="planterId" :of="board" own-rows :error="query.error.value" @again="query.refetch()">
    <div v-if="board && counts" :class="['board', { whole: isWholePlanter }]">
      <div class="head">
        <div class="title">
          <h1>{{ title }}</h1>
          <p class="quiet">
            <template v-if="board.walk">
              {{ counts.rowsDone }} of {{ counts.rows }} rows done · {{ counts.failed }} failed · {{ counts.change }} to
              change · {{ counts.watch }} to watch
            </template>
            <template v-else>Start a walk to measure. Until then each row shows its forecast.</template>
          </p>
        </div>
        <div class="segments" role="group" aria-label="Face">
          <button type="button" :aria-pressed="face === 'now'" @click="turnTo({})">Now</button>
          <button type="button" :aria-pressed="face === 'life'" @click="turnTo({ face: 'life' })">Life left</button>
        </div>
        <div v-if="face === 'now'" class="segments show" role="group" aria-label="Show">
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
        <walk-actions v-if="session.may('record')" :board="board" />
        <drop-menu>
          <template #button="opens">
            <v-btn :icon="mdiDotsHorizontal" variant="text" aria-label="More" v-bind="opens" />
          </template>
          <menu-line v-if="board.walk" title="Export CSV" :href="`/api/walks/${board.walk.id}/export.csv`" download />
          <menu-line
            v-if="session.may('record')"
            title="Limits and targets used"
            :subtitle="`${board.planter.spec_sheet.name}: typical value, check the operator's manual`"
            :to="{ name: 'spec-sheet', params: { sheet: board.planter.spec_sheet.id } }"
          />
          <menu-line
            v-if="session.may('set')"
            title="Edit planter"
            :to="{ name: 'edit-planter', params: { planter: planterId } }"
          />
          <template v-if="(walks.data.value?.length ?? 0) > (board.walk ? 1 : 0)">
            <h2 class="look-back">Earlier walk</h2>
            <menu-line
              v-for="walk in walks.data.value"
              :key="walk.id"
              :title="nameOf(walk)"
              :subtitle="String(walk.season)"
              :active="walk.id === board.walk?.id"
              @click="shown = walk.id"
            />
          </template>
          <p class="legend">
            <span v-for="verdict in verdicts" :key="verdict">
              <verdict-glyph :verdict="verdict" silent /> {{ say(`verdict.${verdict}`) }}
            </span>
          </p>
        </drop-menu>
      </div>
      <life-left
        v-if="face === 'life'"
        :key="planterId"
        :board="board"
        :selected-row="selectedRow"
        @select="selectedRow = $event"
        @row="router.push({ name: 'row', params: { planter: planterId, row: $event } })"
      />
      <template v-else>
        <board-matrix
          class="matrix"
          :board="board"
          :filter="filter"
          :selected-row="selectedRow"
          @open="opened = $event"
          @strip="strip = $event"
          @select="selectedRow = $event"
          @whole-planter="turnTo(isWholePlanter ? {} : { open: 'whole-planter' })"
        />
        <div v-if="isWholePlanter" ref="foot" class="foot"><whole-planter :planter-id="planterId" /></div>
      </template>
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
    </div>
  </planter-page>
</template>

<style scoped>
.board {
  display: flex;
  flex-direction: column;
  height: 100%;
}
.head {
  flex: none;
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px 12px;
  margin-bottom: 8px;
}
.title {
  flex: 1 1 260px;
  font-size: 0.9375rem;
}
.matrix {
  flex: 0 1 auto;
  min-height: 200px;
}
.whole .matrix {
  flex: none;
}
.foot {
  padding-top: 16px;
}
.legend {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 14px;
  max-width: 340px;
  padding: 10px 12px;
}
.look-back {
  padding: 8px 12px 0;
}
.legend span {
  white-space: nowrap;
}
@media (max-width: 700px) {
  .title {
    flex-basis: 100%;
  }
  .head {
    gap: 6px;
  }
  .segments button {
    padding: 0 9px;
  }
  .show {
    order: 1;
    flex-basis: 100%;
  }
  .show button {
    flex: 1;
  }
}
</style>
