<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { v7 as uuid } from 'uuid'
import { api, body } from '@/api/client'
import { keys, queries, useBench, useFace } from '@/api/queries'
import PlanterPage from '@/components/PlanterPage.vue'
import RefusalList from '@/components/RefusalList.vue'
import { useOnce } from '@/composables/useOnce'
import { useSend } from '@/composables/useSend'
import { sayRows } from '@/plan/findings'
import { say } from '@/words'
import { useSession } from '@/session'
import AirPanel from './AirPanel.vue'
import BenchForm from './BenchForm.vue'
import { isUnderWay, useRunNow } from './queries'
import RunLive from './RunLive.vue'
import { type BenchRun, newestOf, percent, sayCells } from './shares'
import StandsPanel from './StandsPanel.vue'

/** The planter's meters on the test stand: how each row singulates, which really differ, and what to look at first. */
const { planterId } = defineProps<{ planterId: number }>()
const { data: face } = useFace(() => planterId)
const bench = useBench(() => planterId)
const rows = computed(() => newestOf(bench.data.value?.runs ?? []))
const row = ref(1)
const session = useSession()
const now = useRunNow(() => planterId)
const run = computed(() => now.data.value?.run ?? null)
const underWay = computed(() => isUnderWay(run.value))
/** Air that is to be tried next on this row. */
const air = ref<number>()
watch(row, () => (air.value = undefined))
const { send, refusal, busy } = useSend()
const once = useOnce()
async function takeBack({ id, row, stage, places, skips, doubles }: BenchRun): Promise<void> {
  const gone = once.of(id, () => ({ id: uuid(), happened_at: new Date().toISOString() }))
  const entry = { ...gone, row, stage, places, skips, doubles, supersedes: id, withdrawn: true }
  const params = { path: { planter: planterId } }
  if (!(await send(() => body(api.POST('/api/planters/{planter}/bench', { params, body: entry }))))) return
  once.taken()
  await queries.invalidateQueries({ queryKey: keys.bench(planterId) })
}
/** What the next run starts from: the row's own newest, or else the newest of all. */
const lastOf = (of: number) => bench.data.value?.runs.find((one) => one.row === of) ?? bench.data.value?.runs[0]
/** From here on the scale is drawn: what lies under it stands at its end. */
const FROM = 0.9
const at = (share: number) => `${(100 * Math.max(0, share - FROM)) / (1 - FROM)}%`
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
            No meter has been run for this season. Run each with the seed that will be planted, and write its counts
            down.
          </p>
          <p v-else-if="bench.data.value.worse.length > 0" class="change">
            {{ sayRows(bench.data.value.worse) }}: really worse than the others, by more than luck.
          </p>
          <p v-else>No meter is really worse than the others, as far as so many seeds can tell.</p>
          <p class="quiet">
            A run is a sample: the bar is where the true figure lies, 19 times in 20. To tell 98 % from 99 % takes some
            {{ bench.data.value.seeds_to_tell.toLocaleString('en') }} seeds each.
          </p>
          <ul v-if="rows.length > 0">
            <li v-for="one in rows" :key="one.id">
              <button type="button" :aria-label="`Row ${one.row}: another run`" @click="row = one.row">
                Row {{ one.row }}
              </button>
              <span
                class="scale"
                role="img"
                :aria-label="`${percent(one.singulation.low)} to ${percent(one.singulation.high)}`"
              >
                <span
                  class="range"
                  :style="{ left: at(one.singulation.low), right: `calc(100% - ${at(one.singulation.high)})` }"
                />
                <span class="mark" :style="{ left: at(one.singulation.share) }" />
              </span>
              <strong>{{ percent(one.singulation.share) }}</strong>
              <span class="told">
                {{ one.skips }} skips, {{ one.doubles }} doubles of {{ one.places }}
                <span class="quiet">
                  · {{ say(`stage.${one.stage}`) }}{{ one.air === null ? '' : ` · ${one.air} in H₂O`
                  }}{{ one.seed && ` · ${one.seed}` }}
                </span>
                <span v-if="one.partial" class="due">cut short</span>
                <span v-if="one.practice" class="quiet">practice stand</span>
                <span v-for="said in sayCells(one.figures)" :key="said" class="due">{{ said }}</span>
                <span v-if="one.lean && sayCells(one.figures).length === 0" class="due">{{
                  say(`lean.${one.lean}`)
                }}</span>
              </span>
              <v-btn
                variant="text"
                :aria-label="`Take the run of row ${one.row} back`"
                :loading="busy"
                @click="takeBack(one)"
                >Take back</v-btn
              >
            </li>
          </ul>
          <refusal-list :refusal="refusal" />
          <p v-if="rows.length > 0 && missing.length > 0" class="quiet">{{ sayRows(missing) }}: not run yet.</p>
          <details v-if="bench.data.value.before.length > 0">
            <summary>Seasons before</summary>
            <p v-for="one in bench.data.value.before" :key="one.row">
              Row {{ one.row }}, {{ one.season }}: {{ percent(one.singulation.share) }}
              <span class="quiet"
                >{{ percent(one.singulation.low) }} to {{ percent(one.singulation.high)
                }}{{ one.air === null ? '' : ` · ${one.air} in H₂O` }}{{ one.seed && ` · ${one.seed}` }}</span
              >
            </p>
          </details>
          <p v-if="rows.length > 0">
            <a :href="`/api/planters/${planterId}/bench/report.pdf`" target="_blank" rel="noopener"
              >Report for the owner and the cab (PDF)</a
            >
          </p>
          <p v-if="rows.length > 0" class="quiet scale-note">The scale runs from 90 % to 100 % singulation.</p>
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
        <stands-panel v-if="session.may('set')" />
      </div>
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
li {
  display: grid;
  grid-template-columns: 72px minmax(80px, 160px) 64px minmax(0, 1fr) auto;
  align-items: center;
  gap: 10px;
  border-top: 1px solid var(--line);
}
li > button:first-child {
  min-height: var(--touch);
  font: inherit;
  font-weight: 700;
  text-align: left;
  color: var(--accent);
  background: none;
  border: 0;
  cursor: pointer;
}
.scale {
  position: relative;
  height: 20px;
  border-bottom: 2px solid var(--line);
}
.range {
  position: absolute;
  top: 7px;
  height: 8px;
  min-width: 2px;
  border-radius: 4px;
  background: var(--accent-weak);
}
.mark {
  position: absolute;
  top: 2px;
  width: 3px;
  height: 17px;
  margin-left: -1px;
  background: var(--accent);
}
.due {
  display: block;
  color: var(--ochre);
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
@media (max-width: 700px) {
  li {
    grid-template-columns: 64px minmax(0, 1fr) 64px;
    padding-bottom: 6px;
  }
  .told,
  li > :last-child {
    grid-column: 1 / -1;
  }
  li > :last-child {
    justify-self: start;
  }
}
</style>
