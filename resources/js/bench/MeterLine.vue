<script setup lang="ts">
import { v7 as uuid } from 'uuid'
import { api, body } from '@/api/client'
import { keys, queries } from '@/api/queries'
import RefusalList from '@/components/RefusalList.vue'
import { useOnce } from '@/composables/useOnce'
import { useSend } from '@/composables/useSend'
import { say } from '@/words'
import { type BenchRun, percent, sayCells, sayCounts, saySetUp } from './shares'

/** The newest run of one row’s meter, and what is done with it. */
const { run, planterId, board } = defineProps<{
  run: BenchRun
  planterId: number
  /** Whether it can be put on the board, or is there. */
  board?: 'can' | 'done'
}>()
const emit = defineEmits<{ select: []; board: [] }>()
const { send, refusal, busy } = useSend()
const once = useOnce()

async function takeBack(): Promise<void> {
  const { id, row, stage, places, skips, doubles } = run
  const gone = once.of(id, () => ({ id: uuid(), happened_at: new Date().toISOString() }))
  const entry = { ...gone, row, stage, places, skips, doubles, supersedes: id, withdrawn: true }
  const params = { path: { planter: planterId } }
  if (!(await send(() => body(api.POST('/api/planters/{planter}/bench', { params, body: entry }))))) return
  once.taken()
  await queries.invalidateQueries({ queryKey: keys.bench(planterId) })
}
/** From here on the scale is drawn: what lies under it stands at its end. */
const FROM = 0.9
const at = (share: number) => `${(100 * Math.max(0, share - FROM)) / (1 - FROM)}%`
</script>

<template>
  <li>
    <button type="button" :aria-label="`Row ${run.row}: another run`" @click="emit('select')">Row {{ run.row }}</button>
    <span class="scale" role="img" :aria-label="`${percent(run.singulation.low)} to ${percent(run.singulation.high)}`">
      <span
        class="range"
        :style="{ left: at(run.singulation.low), right: `calc(100% - ${at(run.singulation.high)})` }"
      />
      <span class="aim" :style="{ left: at(run.aim) }" />
      <span class="mark" :style="{ left: at(run.singulation.share) }" />
    </span>
    <strong>{{ percent(run.singulation.share) }}</strong>
    <span class="told">
      {{ sayCounts(run) }}
      <span class="quiet"> · {{ say(`stage.${run.stage}`) }}{{ saySetUp(run) }} </span>
      <span v-if="run.singulation.high < run.aim" class="due">under the {{ percent(run.aim) }} you want</span>
      <span v-if="run.partial" class="due">cut short</span>
      <span v-if="run.practice" class="quiet">practice stand</span>
      <span v-for="said in sayCells(run.figures)" :key="said" class="due">{{ said }}</span>
      <span v-if="run.lean && sayCells(run.figures).length === 0" class="due">{{ say(`lean.${run.lean}`) }}</span>
      <span v-if="board === 'done'" role="status" class="quiet"
        >On the board{{ run.board.length > 1 ? ', and in Decide' : '' }}.</span
      >
    </span>
    <span class="does">
      <v-btn
        v-if="board === 'can'"
        variant="text"
        :aria-label="`Put the run of row ${run.row} on the board`"
        @click="emit('board')"
        >Put on board</v-btn
      >
      <v-btn variant="text" :aria-label="`Undo the run of row ${run.row}`" :loading="busy" @click="takeBack"
        >Undo</v-btn
      >
    </span>
    <refusal-list :refusal="refusal" />
  </li>
</template>

<style scoped>
li {
  display: grid;
  grid-template-columns: 72px minmax(80px, 130px) 76px minmax(0, 1fr) auto;
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
.aim {
  position: absolute;
  top: 2px;
  bottom: 2px;
  border-left: 2px dotted var(--ochre);
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
.does {
  display: grid;
  justify-items: start;
}
@media (max-width: 700px) {
  li {
    grid-template-columns: 64px minmax(0, 1fr) 76px;
    padding-bottom: 6px;
  }
  .told,
  .does {
    grid-column: 1 / -1;
  }
  .does {
    display: flex;
  }
}
</style>
