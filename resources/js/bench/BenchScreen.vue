<script setup lang="ts">
import { computed, ref } from 'vue'
import { useBench, useFace } from '@/api/queries'
import PlanterPage from '@/components/PlanterPage.vue'
import { sayRows } from '@/plan/findings'
import { say } from '@/words'
import BenchForm from './BenchForm.vue'
import { newestOf, percent } from './shares'

/** The planter's meters on the test stand: how each row singulates, which really differ, and what to look at first. */
const { planterId } = defineProps<{ planterId: number }>()
const { data: face } = useFace(() => planterId)
const bench = useBench(() => planterId)
const rows = computed(() => newestOf(bench.data.value?.runs ?? []))
const row = ref(1)
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
      <section class="sheet" aria-label="Meters">
        <h1>Meters on the stand</h1>
        <p v-if="rows.length === 0">
          No meter has been run for this season. Run each with the seed that will be planted, and write its counts down.
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
          <li v-for="run in rows" :key="run.id">
            <button type="button" :aria-label="`Row ${run.row}: another run`" @click="row = run.row">
              Row {{ run.row }}
            </button>
            <span
              class="scale"
              role="img"
              :aria-label="`${percent(run.singulation.low)} to ${percent(run.singulation.high)}`"
            >
              <span
                class="range"
                :style="{ left: at(run.singulation.low), right: `calc(100% - ${at(run.singulation.high)})` }"
              />
              <span class="mark" :style="{ left: at(run.singulation.share) }" />
            </span>
            <strong>{{ percent(run.singulation.share) }}</strong>
            <span class="told">
              {{ run.skips }} skips, {{ run.doubles }} doubles of {{ run.places }}
              <span class="quiet">
                · {{ say(`stage.${run.stage}`) }}{{ run.air === null ? '' : ` · ${run.air} in H₂O`
                }}{{ run.seed && ` · ${run.seed}` }}
              </span>
              <span v-if="run.lean" class="due">{{ say(`lean.${run.lean}`) }}</span>
            </span>
          </li>
        </ul>
        <p v-if="rows.length > 0 && missing.length > 0" class="quiet">{{ sayRows(missing) }}: not run yet.</p>
        <p v-if="rows.length > 0" class="quiet scale-note">The scale runs from 90 % to 100 % singulation.</p>
      </section>
      <bench-form
        :key="row"
        :planter-id="planterId"
        :row="row"
        :row-count="face.planter.row_count"
        :last="bench.data.value.runs[0]"
        @next="row = Math.min(face.planter.row_count, row + 1)"
      />
    </div>
  </planter-page>
</template>

<style scoped>
.bench {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 360px;
  align-items: start;
  gap: 14px;
  max-width: 1240px;
  margin: 0 auto;
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
  grid-template-columns: 72px minmax(80px, 220px) 64px minmax(0, 1fr);
  align-items: center;
  gap: 10px;
  border-top: 1px solid var(--line);
}
li button {
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
  .bench > :last-child {
    order: -1;
  }
}
@media (max-width: 700px) {
  li {
    grid-template-columns: 64px minmax(0, 1fr) 64px;
    padding-bottom: 6px;
  }
  .told {
    grid-column: 1 / -1;
  }
}
</style>
