<script setup lang="ts">
import { computed, onMounted, useTemplateRef } from 'vue'
import { api, body } from '@/api/client'
import type { StandRun } from '@/api/types'
import RefusalList from '@/components/RefusalList.vue'
import { useSend } from '@/composables/useSend'
import { say } from '@/words'
import { heard, isUnderWay } from './queries'
import SeedLine from './SeedLine.vue'
import { percent, sayCells } from './shares'

/** A run while it is under way, and what it told when it is over. */
const { planterId, run } = defineProps<{ planterId: number; run: StandRun }>()
const { send, refusal, busy } = useSend()
const underWay = computed(() => isUnderWay(run))
const panel = useTemplateRef('panel')
// What was started below is watched here.
onMounted(() => underWay.value && panel.value?.scrollIntoView({ block: 'center' }))

async function stop(): Promise<void> {
  const params = { path: { planter: planterId, standRun: run.id } }
  await send(async () =>
    heard(planterId, await body(api.POST('/api/planters/{planter}/bench/runs/{standRun}/stop', { params }))),
  )
}
</script>

<template>
  <section ref="panel" class="sheet live" aria-label="Run on the stand">
    <h2>
      Row {{ run.row }} {{ say(`stand_state.${run.state}`)
      }}<span v-if="run.practice" class="quiet"> · practice stand</span>
    </h2>
    <p v-if="run.state === 'waiting'">
      Start the stand. It asks Ustrel what to run: {{ run.cells }} cells, {{ run.places }} seeds<template
        v-if="run.air !== null"
        >, {{ run.air }} in H₂O</template
      >.
    </p>
    <template v-if="run.counts">
      <seed-line :line="run.line" />
      <dl>
        <div>
          <dt>Seeds due</dt>
          <dd>{{ run.counts.places }} of {{ run.places }}</dd>
        </div>
        <div>
          <dt>Skips</dt>
          <dd>{{ run.counts.skips }}</dd>
        </div>
        <div>
          <dt>Doubles</dt>
          <dd>{{ run.counts.doubles }}</dd>
        </div>
        <div>
          <dt>Singulation</dt>
          <dd>
            {{ percent(run.counts.singulation.share) }}
            <span class="quiet"
              >{{ percent(run.counts.singulation.low) }} to {{ percent(run.counts.singulation.high) }}</span
            >
          </dd>
        </div>
        <div>
          <dt>Seeds a second</dt>
          <dd>
            {{ run.seeds_a_second }}
            <span v-if="run.seeds_due_a_second !== null" class="quiet">set to {{ run.seeds_due_a_second }}</span>
          </dd>
        </div>
        <div v-if="run.air_seen !== null">
          <dt>Air at the stand</dt>
          <dd>{{ run.air_seen }} in H₂O</dd>
        </div>
        <div v-if="run.turns_seen !== null">
          <dt>Turns at the stand</dt>
          <dd>
            {{ run.turns_seen }} a minute <span v-if="run.turns !== null" class="quiet">set to {{ run.turns }}</span>
          </dd>
        </div>
      </dl>
      <p v-if="run.figures" class="quiet">
        By ISO 7256-1: {{ percent(run.figures.feed_index) }} fed singly, {{ percent(run.figures.miss_index) }} missed,
        {{ percent(run.figures.multiple_index) }} multiple<template v-if="run.figures.precision !== null"
          >, precision {{ percent(run.figures.precision) }}</template
        >.
      </p>
      <p v-if="run.figures?.seeds_to_name && run.figures.seeds_to_name > run.counts.places" class="quiet">
        A cell that misses every other turn shows up after
        {{ run.figures.seeds_to_name.toLocaleString('en') }}
        seeds.
      </p>
      <p v-for="said in sayCells(run.figures)" :key="said" class="due">{{ said }}</p>
    </template>
    <p v-if="run.refused !== ''" class="due">
      <template v-if="run.refused_lines > 0"
        >{{ run.refused_lines }} {{ run.refused_lines === 1 ? 'line' : 'lines' }} could not be read. </template
      >{{ run.refused }}
    </p>
    <div v-if="underWay" class="actions">
      <v-btn variant="outlined" size="large" :loading="busy" @click="stop">{{
        run.state === 'waiting' ? 'Cancel the run' : 'Stop the run'
      }}</v-btn>
    </div>
    <refusal-list :refusal="refusal" />
  </section>
</template>

<style scoped>
.live {
  display: grid;
  gap: 8px;
}
p {
  margin: 0;
}
dl {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(130px, 1fr));
  gap: 8px 16px;
  margin: 0;
}
dt {
  font-size: 0.875rem;
  color: var(--ink-2);
}
dd {
  margin: 0;
  font-size: 1.125rem;
  font-weight: 700;
  font-variant-numeric: tabular-nums;
}
dd .quiet {
  display: block;
  font-size: 0.875rem;
  font-weight: 400;
}
.due {
  color: var(--ochre);
}
</style>
