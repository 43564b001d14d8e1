<script setup lang="ts">
import { computed, ref } from 'vue'
import { api, body } from '@/api/client'
import { useFace } from '@/api/queries'
import type { Symptom } from '@/api/types'
import PlanterPage from '@/components/PlanterPage.vue'
import RefusalList from '@/components/RefusalList.vue'
import { useSend } from '@/composables/useSend'
import { dateAndTime } from '@/dates'
import StandsPanel from '@/bench/StandsPanel.vue'
import { useSession } from '@/session'
import { say } from '@/words'
import DiagnosisPanel from '../DiagnosisPanel.vue'
import ScreenFaces from '@/components/ScreenFaces.vue'
import AlarmList from './AlarmList.vue'
import { isWatched, useWatch, useWatchNow, watched } from './queries'
import SharedRowsForm from './SharedRowsForm.vue'
import { useWatchEntries } from './useWatchEntries'
import WatchForm from './WatchForm.vue'
import WatchStrip from './WatchStrip.vue'

/** The rows while they plant: how each does, what is amiss, and what it can be. */
const { planterId } = defineProps<{ planterId: number }>()
const { data: face } = useFace(() => planterId)
const told = useWatch(() => planterId)
const now = useWatchNow(() => planterId)
const session = useSession()
const { send, refusal, busy } = useSend()
const row = ref(1)
const asked = ref<{ row: number; symptom: Symptom }>()
const run = computed(() => now.data.value?.run ?? null)
const entries = useWatchEntries(
  () => planterId,
  () => run.value,
)
const chosen = computed(() => run.value?.rows.find((one) => one.row === row.value))
const QUIET = 10

async function end(): Promise<void> {
  if (!run.value) return
  const params = { path: { planter: planterId, watchRun: run.value.id } }
  await send(async () =>
    watched(planterId, await body(api.POST('/api/planters/{planter}/watch/{watchRun}/end', { params }))),
  )
}
</script>

<template>
  <planter-page
    :planter-id="planterId"
    :of="face"
    :selected="row"
    :select="(chosen) => (row = chosen)"
    :error="told.error.value ?? now.error.value"
    @again="(told.refetch(), now.refetch())"
  >
    <screen-faces of="Field" :planter-id="planterId" />
    <div v-if="told.data.value && face && now.data.value" class="row-watch">
      <section v-if="run" class="sheet wide" aria-label="Row watch">
        <div class="head">
          <h1>
            {{ run.field || 'Row watch' }}<span v-if="run.practice" class="quiet"> · practice, ten times as fast</span>
          </h1>
          <p v-if="run.state === 'waiting'">Waiting for the row monitor. It checks here for what to watch.</p>
          <p v-else-if="run.state === 'ended'" class="quiet">
            Ended {{ dateAndTime(run.ended_at ?? run.made_at) }}. Last data from the monitor:
          </p>
          <p v-else-if="(run.monitor_quiet ?? 0) > QUIET" class="due">
            No new data from the monitor for {{ run.monitor_quiet }} s. Check its cable, signal and clock. The watch
            continues when data comes back.
          </p>
          <p v-else>
            <strong>{{ run.down ? 'Planting' : 'Lifted' }}</strong> at {{ run.mph }}
          </p>
          <v-btn
            v-if="isWatched(run) && session.may('record')"
            variant="outlined"
            size="large"
            :loading="busy"
            @click="end"
            >End row watch</v-btn
          >
        </div>
        <watch-strip :rows="run.rows" :sections="face.planter.sections" :selected="row" @select="row = $event" />
        <div v-if="chosen" class="chosen">
          <strong>Row {{ chosen.row }}</strong>
          <span class="quiet">{{ say(`watch_state.${chosen.state}`) }}</span>
          <span v-for="figure in chosen.figures" :key="figure.watched"
            ><span class="quiet">{{ say(`watched.${figure.watched}`) }}</span> <strong>{{ figure.says }}</strong></span
          >
          <v-btn
            v-if="run.state === 'running' && run.shut.includes(chosen.row)"
            variant="text"
            :disabled="entries.busy.value"
            @click="entries.record([{ kind: 'opened', row }])"
            >Row is planting again</v-btn
          >
        </div>
        <p v-if="run.refused_lines > 0" class="due">
          {{ run.refused_lines }} {{ run.refused_lines === 1 ? 'line' : 'lines' }} from the monitor could not be read.
          {{ run.refused }}
        </p>
        <refusal-list :refusal="refusal ?? entries.refusal.value" />
      </section>
      <div class="side">
        <watch-form
          v-if="!isWatched(run) && session.may('record')"
          :planter-id="planterId"
          :usual-acres="run?.acres ?? told.data.value.usual_acres"
        />
        <alarm-list
          v-if="run"
          :planter-id="planterId"
          :run="run"
          @diagnose="(of, symptom) => ((asked = { row: of, symptom }), (row = of))"
        />
      </div>
      <div class="side">
        <diagnosis-panel
          v-if="asked"
          :key="`${asked.row} ${asked.symptom}`"
          :planter-id="planterId"
          :row="asked.row"
          :walk="face.walk?.id"
          :first="[asked.symptom]"
          dug=""
        />
        <section v-if="run && run.passes.length > 0" class="sheet" aria-label="Passes">
          <h2>Passes</h2>
          <ul>
            <li v-for="pass in run.passes" :key="pass.number">
              <strong>{{ pass.number }}</strong>
              <span>{{ pass.acres }} in {{ pass.minutes }} min at {{ pass.mph }}</span>
              <span class="quiet"
                >{{ pass.population }}<template v-if="pass.lowest">, lowest {{ pass.lowest }}</template></span
              >
            </li>
          </ul>
        </section>
        <shared-rows-form
          v-if="session.may('set')"
          :planter-id="planterId"
          :shared="told.data.value.shared"
          :proposed="told.data.value.proposed"
          :row-count="face.planter.row_count"
        />
        <stands-panel v-if="session.may('set')" kind="monitor" />
        <section v-if="told.data.value.before.length > 0" class="sheet" aria-label="Earlier watches">
          <h2>Earlier watches</h2>
          <ul>
            <li v-for="one in told.data.value.before" :key="one.id">
              <strong>{{ dateAndTime(one.made_at) }}</strong>
              <span>{{ one.field || 'no field' }}<template v-if="one.practice">, practice</template></span>
              <span class="quiet"
                >{{ one.acres }}, {{ one.passes }} {{ one.passes === 1 ? 'pass' : 'passes' }}, {{ one.alarms }}
                {{ one.alarms === 1 ? 'alarm' : 'alarms' }}</span
              >
            </li>
          </ul>
        </section>
      </div>
    </div>
  </planter-page>
</template>

<style scoped>
.row-watch {
  display: grid;
  grid-template-columns: minmax(0, 1.1fr) minmax(0, 1fr);
  align-items: start;
  gap: 14px;
  max-width: 1240px;
  margin: 0 auto;
}
.wide {
  display: grid;
  grid-column: 1 / -1;
  gap: 8px;
}
.side {
  display: grid;
  gap: 14px;
}
.head,
.chosen {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px 20px;
  min-height: var(--touch);
}
.head > p {
  flex: 1 1 240px;
}
h1,
h2,
p {
  margin: 4px 0;
}
ul {
  margin: 0;
  padding: 0;
  list-style: none;
}
li {
  display: grid;
  grid-template-columns: minmax(24px, auto) minmax(0, 1fr) minmax(0, 1fr);
  gap: 10px;
  padding: 8px 0;
  border-top: 1px solid var(--line);
}
.due {
  color: var(--ochre);
}
@media (max-width: 900px) {
  .row-watch {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
