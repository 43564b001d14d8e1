<script setup lang="ts">
import { computed, defineAsyncComponent, ref } from 'vue'
import { useContact } from '@/wear/queries'
import { useLedger } from '@/parts/queries'
import { useRowRecord } from '@/walk/queries'
import type { Cell, Fitting, PlaceForecast, Side, Slot, Station, Verdict } from '@/api/types'
import { placeKey } from '@/api/types'
import FractionText from '@/components/FractionText.vue'
import PlanterPage from '@/components/PlanterPage.vue'
import WaitingList from '@/components/WaitingList.vue'
import VerdictGlyph from '@/components/VerdictGlyph.vue'
import { usePlanterBoard } from '@/composables/usePlanterBoard'
import { useUnits } from '@/composables/useUnits'
import RowUnitDrawing from '@/drawings/RowUnitDrawing.vue'
import { wordReasons } from '@/measure/bands'
import { worstOf } from '@/measure/verdict'
import CellHistory from '@/walk/board/CellHistory.vue'
import { say, sayRow } from '@/words'
import ChangeParts from '@/parts/ChangeParts.vue'
import CorrectFitting from '@/parts/CorrectFitting.vue'
import MovePart from '@/parts/MovePart.vue'
import WearDialog from '@/wear/WearDialog.vue'
import ContactCard from '@/opener/ContactCard.vue'
import FittedParts from '@/parts/FittedParts.vue'
import { useSession } from '@/session'
import { unitAt } from '@/unit/unitAt'
import RowTimeline from './RowTimeline.vue'

// Loaded when opened.
const UnitTour = defineAsyncComponent(() => import('@/unit/UnitTour.vue'))

/** One row unit: what each of its stations says now, and what is on record of it. */
const { planterId, row } = defineProps<{ planterId: number; row: number }>()
const session = useSession()
const { reading, answer, units } = useUnits()
const { query, board, checkOf, stationsOf, canWalk, walkTo } = usePlanterBoard(() => planterId)
const record = useRowRecord(
  () => planterId,
  () => row,
)
const ledger = useLedger(() => planterId)
const contacts = useContact(() => planterId)
const changing = ref<{ slot: Slot; side?: Side }>()
const moving = ref<Fitting>()
const correcting = ref<Fitting>()
const worn = ref<PlaceForecast>()
const station = ref<Station>()
const opened = ref<Cell>()
const isTour = ref(false)

const unit = computed(() => board.value && unitAt(board.value.planter, row))
const isParked = computed(() => board.value?.planter.parked_rows.includes(row) === true)
const stations = computed(() => stationsOf(row).map((group) => ({ ...group, verdict: worstOf(group.cells) })))
const contact = computed(() => contacts.data.value?.rows.find((one) => one.row === row))
const contactCell = computed(() =>
  board.value?.cells.find((cell) => cell.row === row && cell.check === 'blade_contact_length'),
)
const verdicts = computed(
  () =>
    Object.fromEntries(stations.value.map(({ name, verdict }) => [name, verdict])) as Partial<Record<Station, Verdict>>,
)
const shown = computed(() =>
  station.value ? stations.value.filter(({ name }) => name === station.value) : stations.value,
)
</script>

<template>
  <planter-page
    :planter-id="planterId"
    :of="board"
    :selected="row"
    :error="query.error.value ?? record.error.value"
    @again="(query.refetch(), record.refetch())"
  >
    <div v-if="board" class="row-page">
      <div class="column">
        <waiting-list :planter-id="planterId" what="ledger" />
        <section class="sheet unit">
          <h1>{{ sayRow(row) }} of {{ board.planter.name }}</h1>
          <p v-if="isParked">
            Parked: nothing is asked of this row.
            <router-link v-if="session.may('set')" :to="{ name: 'edit-planter', params: { planter: planterId } }"
              >Edit the planter once it is down again</router-link
            >
          </p>
          <row-unit-drawing
            v-if="row > 0"
            :unit="unit"
            :lit="station"
            :verdicts="verdicts"
            @choose="station = station === $event ? undefined : $event"
          />
          <div v-if="row > 0" class="below">
            <span v-if="!isParked" class="quiet">Tap a part to see only that station.</span>
            <v-btn variant="outlined" @click="isTour = true">How it works</v-btn>
          </div>
          <unit-tour v-if="isTour && unit" v-model="isTour" :unit="unit" :from="station" />
        </section>
        <template v-if="record.data.value && row > 0">
          <contact-card
            v-if="contact && contacts.data.value?.sensitivity && (contact.contact_mm !== null || contact.moved)"
            :key="`${row} ${contact.contact_mm}`"
            :planter-id="planterId"
            :contact="contact"
            :sensitivity="contacts.data.value.sensitivity"
            :last-move="record.data.value?.shim_moves.at(-1)"
            :odd="contacts.data.value.odd.findLast((move) => move.row === row)"
            @measure="contactCell && walkTo(contactCell)"
          />
          <fitted-parts
            v-if="ledger.data.value"
            :record="record.data.value"
            :ledger="ledger.data.value"
            @change="changing = $event"
            @move="moving = $event"
            @correct="correcting = $event"
            @wear="worn = $event"
          />
        </template>
      </div>
      <div class="column">
        <section v-if="!isParked" class="sheet">
          <div class="head">
            <h2>{{ station ? say(`station.${station}`) : 'Stations, front to back' }}</h2>
            <v-btn v-if="station" variant="outlined" @click="station = undefined">All stations</v-btn>
          </div>
          <details
            v-for="group in shown"
            :key="`${group.name} ${station}`"
            class="station"
            :open="
              station !== undefined ||
              group.verdict === 'watch' ||
              group.verdict === 'change' ||
              group.verdict === 'failed'
            "
          >
            <summary>
              <verdict-glyph :verdict="group.verdict" /> {{ say(`station.${group.name}`) }}
              <span class="quiet">{{ say(`verdict.${group.verdict}`).toLowerCase() }}</span>
            </summary>
            <ul>
              <li v-for="cell in group.cells" :key="placeKey(cell)">
                <button type="button" @click="opened = cell">
                  <verdict-glyph :verdict="cell.now?.verdict ?? 'unchecked'" :size="14" />
                  <span class="what">{{ say(`measure.${cell.check}`) }} {{ say(`side.${cell.side}`) }}</span>
                  <strong v-if="cell.now"><fraction-text :text="reading(cell.now, checkOf(cell))" /></strong>
                  <span v-else-if="cell.last" class="quiet"
                    >{{ cell.last.season }}: <fraction-text :text="answer(cell.last, checkOf(cell))"
                  /></span>
                  <span v-if="cell.now && cell.now.verdict !== 'sound'" :class="['why', cell.now.verdict]">
                    <fraction-text :text="wordReasons(cell.check, cell.now.reasons, cell.now.value, units)" />
                  </span>
                </button>
              </li>
            </ul>
          </details>
        </section>
        <row-timeline
          v-if="record.data.value"
          :record="record.data.value"
          :check-of="({ check }) => checkOf({ row, check })"
        />
      </div>
    </div>
    <wear-dialog
      v-if="worn"
      :planter-id="planterId"
      :place="worn"
      :check="checkOf(worn)"
      @row="worn = undefined"
      @change="((changing = worn.slot ? { slot: worn.slot, side: worn.side } : undefined), (worn = undefined))"
      @close="worn = undefined"
    />
    <change-parts
      v-if="changing && ledger.data.value && board"
      :planter-id="planterId"
      :ledger="ledger.data.value"
      :row-count="board.planter.row_count"
      :start="{ ...changing, rows: [row] }"
      @close="changing = undefined"
    />
    <correct-fitting v-if="correcting" :planter-id="planterId" :fitting="correcting" @close="correcting = undefined" />
    <move-part
      v-if="moving && ledger.data.value && board"
      :planter-id="planterId"
      :ledger="ledger.data.value"
      :row-count="board.planter.row_count"
      :part="moving"
      @close="moving = undefined"
    />
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
.row-page {
  display: grid;
  grid-template-columns: minmax(320px, 1fr) minmax(380px, 1.2fr);
  gap: var(--gap);
  align-items: start;
  max-width: 1600px;
  margin: 0 auto;
}
.column {
  display: grid;
  gap: var(--gap);
}
.head {
  display: flex;
  justify-content: space-between;
  align-items: center;
  min-height: var(--touch);
}
.below {
  display: flex;
  justify-content: space-between;
  align-items: center;
  gap: 8px;
}
.below .v-btn {
  width: auto;
  flex: none;
}
.station + .station {
  border-top: 1px solid var(--line);
}
summary {
  min-height: var(--touch);
  padding-top: 12px;
  font-weight: 700;
  cursor: pointer;
}
summary .quiet {
  font-weight: 400;
}
ul {
  list-style: none;
  padding: 0;
}
button {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px 8px;
  width: 100%;
  min-height: var(--touch);
  padding: 2px 8px;
  text-align: left;
  border-radius: 8px;
}
button:hover {
  background: var(--accent-weak);
}
.what {
  flex: 1;
}
.why {
  flex-basis: 100%;
  padding-left: 22px;
  font-size: 0.9375rem;
}
@media (max-width: 1100px) {
  .row-page {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
