<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { useBench } from '@/bench/queries'
import { useFace } from '@/api/queries'
import PlanterPage from '@/components/PlanterPage.vue'
import { dateAndTime } from '@/dates'
import { sayRows } from '@/plan/findings'
import { useSession } from '@/session'
import AirPanel from './AirPanel.vue'
import BenchForm from './BenchForm.vue'
import CompareRuns from './CompareRuns.vue'
import MeterLine from './MeterLine.vue'
import MetersDue from './MetersDue.vue'
import { isUnderWay, useRunNow } from './queries'
import ReportDialog from './ReportDialog.vue'
import RunLive from './RunLive.vue'
import { type BenchRun, newestOf, percent, sayLook } from './shares'
import StandsPanel from './StandsPanel.vue'
import { usePutOnBoard } from './usePutOnBoard'

/** The planter's meters on the test stand: how each row singulates, which really differ, and what to look at first. */
const { planterId } = defineProps<{ planterId: number }>()
const { data: face } = useFace(() => planterId)
const bench = useBench(() => planterId)
const rows = computed(() => newestOf(bench.data.value?.runs ?? []))
const row = ref(1)
const session = useSession()
const isReporting = ref(false)
const now = useRunNow(() => planterId)
const run = computed(() => now.data.value?.run ?? null)
const underWay = computed(() => isUnderWay(run.value))
/** Air that is to be tried next on this row. */
const air = ref<number>()
watch(row, () => (air.value = undefined))
/** Of this season, and still open: what a run says can be put on its board. */
const walk = computed(() => (face.value?.walk?.finished_at === null ? face.value.walk.id : undefined))
/** Runs that were put there from here. */
const onBoard = ref(new Set<string>())
const putOnBoard = usePutOnBoard()
const canPut = computed(() =>
  walk.value === undefined ? [] : rows.value.filter((run) => run.board.length > 0 && !onBoard.value.has(run.id)),
)
async function put(runs: BenchRun[]): Promise<void> {
  for (const run of runs) {
    await putOnBoard({ planter: planterId, walk: walk.value as string, run })
    onBoard.value.add(run.id)
  }
}
/** What the next run starts from: the row's own newest, or else the newest of all. */
const lastOf = (of: number) => bench.data.value?.runs.find((one) => one.row === of) ?? bench.data.value?.runs[0]
const missing = computed(() => {
  const run = new Set(rows.value.map((one) => one.row))
  return Array.from({ length: face.value?.planter.row_count ?? 0 }, (_, index) => index + 1).filter(
    (one) => !run.has(one),
  )
})
</script>

<template>
  <planter-page
    :planter-id="planterId"
    :of="face"
    :selected="row"
    :select="(chosen) => (row = chosen)"
    :error="bench.error.value"
    @again="bench.refetch()"
  >
    <div v-if="bench.data.value && face" class="bench">
      <div class="side">
        <run-live v-if="run && (underWay || run.row === row)" class="first" :planter-id="planterId" :run="run" />
        <air-panel
          class="third"
          :planter-id="planterId"
          :row="row"
          :runs="bench.data.value.runs.length"
          @try="(next) => (air = next)"
        />
        <section class="sheet last" aria-label="Meters">
          <h1>Meters on the stand</h1>
          <p v-if="rows.length === 0">
            No meter has been run for this season. Run each one with the seed you will plant and enter the counts.
          </p>
          <p v-else-if="bench.data.value.worse.length > 0" class="change">
            {{ sayRows(bench.data.value.worse) }}: worse than the others, more than chance explains.
          </p>
          <p v-else>No real difference between meters in this many seeds.</p>
          <p class="quiet">
            A run is a sample: the bar shows where the true figure is, 19 times in 20. To tell 98% from 99% takes about
            {{ bench.data.value.seeds_to_tell.toLocaleString('en') }} seeds each.
          </p>
          <ul v-if="rows.length > 0">
            <meter-line
              v-for="one in rows"
              :key="one.id"
              :run="one"
              :board="onBoard.has(one.id) ? 'done' : walk && one.board.length > 0 ? 'can' : undefined"
              :planter-id="planterId"
              @select="row = one.row"
              @board="put([one])"
            />
          </ul>
          <v-btn v-if="canPut.length > 1" variant="outlined" @click="put(canPut)">Put all on the board</v-btn>
          <p v-if="walk === undefined && rows.length > 0" class="quiet">
            No walk is open this season. Start one to put runs on the board.
          </p>
          <p v-if="rows.length > 0 && missing.length > 0" class="quiet">{{ sayRows(missing) }}: not run yet.</p>
          <details v-if="bench.data.value.looks.length > 0">
            <summary>Quick looks</summary>
            <p v-for="one in bench.data.value.looks" :key="one.id">
              Row {{ one.row }}: {{ sayLook(one) }}
              <span class="quiet">{{
                [one.seed, one.disc, one.by, dateAndTime(one.happened_at)].filter(Boolean).join(' · ')
              }}</span>
            </p>
          </details>
          <meters-due
            :planter-id="planterId"
            :school="bench.data.value.school"
            :due="bench.data.value.due"
            :may-set="session.may('set')"
          />
          <details v-if="bench.data.value.before.length > 0">
            <summary>Earlier seasons</summary>
            <p v-for="one in bench.data.value.before" :key="one.row">
              Row {{ one.row }}, {{ one.season }}: {{ percent(one.singulation.share) }}
              <span class="quiet"
                >{{ percent(one.singulation.low) }} to {{ percent(one.singulation.high)
                }}{{ one.air === null ? '' : ` · ${one.air} in H₂O` }}{{ one.seed && ` · ${one.seed}` }}</span
              >
            </p>
          </details>
          <compare-runs v-if="bench.data.value.runs.length > 1" :planter-id="planterId" :runs="bench.data.value.runs" />
          <p v-if="rows.length > 0" class="links">
            <a :href="`/api/planters/${planterId}/bench/report.pdf`" target="_blank" rel="noopener"
              >Report for the owner and the cab (PDF)</a
            >
            <router-link :to="{ name: 'meters' }">Meters by number</router-link>
          </p>
          <p v-if="rows.length > 0" class="quiet scale-note">
            The scale runs from 90% to 100% singulation; the dotted line is what you want.
          </p>
        </section>
      </div>
      <div class="side">
        <bench-form
          v-if="!underWay"
          :key="`${row} ${air}`"
          :planter-id="planterId"
          :row="row"
          :row-count="face.planter.row_count"
          :last="lastOf(row)"
          :air="air"
          @next="row = Math.min(face.planter.row_count, row + 1)"
        />
        <v-btn variant="outlined" size="large" @click="isReporting = true">Import a test report (CSV)</v-btn>
        <stands-panel v-if="session.may('set')" />
      </div>
      <report-dialog v-if="isReporting" :planter-id="planterId" @close="isReporting = false" />
    </div>
  </planter-page>
</template>

<style scoped>
.bench {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 430px;
  align-items: start;
  gap: 14px;
  max-width: 1240px;
  margin: 0 auto;
}
.links {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 24px;
}
/* What is done stands beside what was found. */
.side {
  display: grid;
  gap: 14px;
}
summary {
  display: flex;
  align-items: center;
  min-height: var(--touch);
  font-weight: 700;
  cursor: pointer;
}
p {
  margin: 4px 0;
}
ul {
  margin: 8px 0;
  padding: 0;
  list-style: none;
}
@media (max-width: 1000px) {
  .bench {
    grid-template-columns: minmax(0, 1fr);
  }
  .side {
    display: contents;
  }
  .first {
    order: -1;
  }
  .third {
    order: 1;
  }
  .last {
    order: 2;
  }
}
</style>
