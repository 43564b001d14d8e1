<script setup lang="ts">
import { mdiCamera, mdiCheckboxBlankOutline, mdiCheckboxMarked, mdiWrench } from '@mdi/js'
import { useNow } from '@vueuse/core'
import { computed, nextTick, ref, watch } from 'vue'
import { v7 as uuid } from 'uuid'
import { api, body } from '@/api/client'
import { keys, queries } from '@/api/queries'
import { useHands } from '@/work/queries'
import { useLedger } from '@/parts/queries'
import type { PlaceRef, Planter, WorkJob, WorkPiece } from '@/api/types'
import RefusalList from '@/components/RefusalList.vue'
import { useSend } from '@/composables/useSend'
import { useUnits } from '@/composables/useUnits'
import { sayRows, sayWhy } from '@/plan/findings'
import RemarkDialog from '@/walk/RemarkDialog.vue'
import { sayRow } from '@/words'
import CardDone from './CardDone.vue'
import CardFinish from './CardFinish.vue'
import CardHead from './CardHead.vue'
import CardNotes from './CardNotes.vue'
import CouldNot from './CouldNot.vue'
import { closedBy, closedByOthers, nextLine, runningMinutes, ticksOf } from './hands'
import { sayMinutes } from './plan'
import JointDialog from './JointDialog.vue'
import { useJoints } from './joints'
import { isAccess, sayTarget, stepOf } from './target'
import { useHandsEntries } from './useHandsEntries'
import { clock } from '@/dates'

/**
 * What is done in one go for whoever does it, on one row or the same on several: what to mind, what to take along, then line
 * by line in the order in which hands come to it. What is finished is written down with its parts.
 */
const { pieces: given, planter } = defineProps<{ pieces: WorkPiece[]; planter?: Planter }>()
const emit = defineEmits<{ close: [] }>()
// As it was opened: what is finished leaves the plan, and its card says what comes then.
const pieces = ref([...given].sort((a, b) => a.row - b.row))
const planterId = given[0]?.planter ?? 0
const hands = useHands(() => planterId)
const ledger = useLedger(() => planterId)
const { waiting, me, tell } = useHandsEntries(() => planterId)
const { send, refusal } = useSend()
const { units } = useUnits()
const now = useNow({ interval: 10_000 })

/** Finished, here or by somebody else, or left undone. */
const closed = computed(() => new Set([...closedBy(waiting.value), ...closedByOthers(pieces.value, hands.data.value)]))
const sections = computed(() =>
  pieces.value.map((piece) => {
    const ticks = ticksOf(piece, hands.data.value, waiting.value, me.value)
    const jobs = new Map(piece.jobs.map((job) => [job.key, job]))
    return { piece, ticks, jobs, next: nextLine(piece, ticks, closed.value) }
  }),
)
const next = computed(() => sections.value.find(({ next: line }) => line !== undefined)?.next)
/** A line as it stands on the card. */
const comesOff = (key: string) => isAccess(key) && stepOf(key) !== 'lock'
const lineSaid = (key: string, job?: WorkJob) => `${job?.title ?? sayTarget(key)}${comesOff(key) ? ' off' : ''}`
const joints = useJoints(() => planterId)
/** The step whose pin and tools are being written down. */
const joint = ref<string>()
const jointOf = (key: string) =>
  comesOff(key) ? joints.data.value?.find(({ step }) => step === stepOf(key)) : undefined
const nextSaid = computed(() => {
  const key = next.value ?? ''
  return lineSaid(key, sections.value.find(({ jobs }) => jobs.has(key))?.jobs.get(key))
})
/** Jobs that are ticked, each with its piece. */
const done = computed(() =>
  sections.value.flatMap(({ piece, ticks }) => {
    const jobs = piece.jobs.filter(({ key }) => ticks.has(key) && !closed.value.has(key))
    return jobs.length === 0 ? [] : [{ piece, jobs }]
  }),
)
const minutes = computed(() =>
  runningMinutes(
    sections.value.flatMap(({ ticks }) => [...ticks.values()]),
    now.value.getTime(),
  ),
)
// Whoever ticks by the one button sees which line it is.
watch(next, async () => {
  await nextTick()
  document.querySelector('.lines .next')?.scrollIntoView({ block: 'nearest' })
})
const face = ref<'lines' | 'finish' | 'done'>('lines')
/** What is being finished, as it was when that began. */
const finished = ref<{ piece: WorkPiece; jobs: WorkJob[] }[]>([])
const leaving = ref<WorkJob>()
const remark = ref<{ place: PlaceRef; walk: string }>()

const title = computed(() => {
  const planned = pieces.value.reduce((sum, piece) => sum + piece.minutes, 0)
  return `${sayRows(pieces.value.map(({ row }) => row))}, ${sayMinutes(planned)}`
})

const turn = (job: WorkJob | undefined) =>
  job === undefined || job.why === null ? '' : sayWhy({ ...job, why: job.why }, units.value)

/** Ticks a line, or takes its tick back. */
function press(key: string): void {
  const tick = sections.value.flatMap(({ ticks }) => ticks.get(key) ?? [])[0]
  void tell(
    tick === undefined ? { kind: 'ticked', targets: [key] } : { kind: 'ticked', supersedes: tick.id, withdrawn: true },
  )
}

/** Takes work of the shop's own off the plan. */
async function drop({ row, minutes }: WorkPiece, { what, title }: WorkJob): Promise<void> {
  const gone = { id: uuid(), supersedes: what, withdrawn: true, row, minutes, title: title ?? '' }
  const params = { path: { planter: planterId } }
  const own = { ...gone, happened_at: new Date().toISOString() }
  if (!(await send(() => body(api.POST('/api/planters/{planter}/work/own', { params, body: own }))))) return
  await queries.invalidateQueries({ queryKey: keys.work(planterId) })
  emit('close')
}

/** Where a note or a photo of a job belongs: the check that its slot, or it itself, is looked at by. */
function place(piece: WorkPiece, job: WorkJob): PlaceRef | undefined {
  if (job.title !== null) return undefined
  const slot = ledger.data.value?.slots.find((one) => one.slot === job.what)
  const check = job.action === 'change' ? slot?.check : (job.what as PlaceRef['check'])
  return check && { row: piece.row, check, side: job.side }
}

function finish(): void {
  finished.value = done.value
  face.value = 'finish'
}
</script>

<template>
  <v-dialog :model-value="true" width="680" scrollable aria-label="Card" @update:model-value="emit('close')">
    <v-card class="card">
      <h2>{{ title }}</h2>
      <card-done v-if="face === 'done'" :finished="finished" @close="emit('close')" />
      <card-finish
        v-else-if="face === 'finish'"
        :done="finished"
        :minutes="minutes"
        :ledger="ledger.data.value"
        @back="face = 'lines'"
        @finished="face = 'done'"
      />
      <template v-else>
        <div class="body">
          <card-head :pieces="pieces" :planter="planter" />
          <card-notes :pieces="pieces" of="looks" />
          <section v-for="{ piece, ticks, jobs, next: line } in sections" :key="piece.key">
            <h3 v-if="sections.length > 1">
              {{ sayRow(piece.row) }} <span class="quiet">{{ line === undefined ? 'all ticked' : '' }}</span>
            </h3>
            <ul class="lines">
              <li
                v-for="{ key, before } in piece.lines"
                :key="key"
                :class="{ access: isAccess(key), next: key === next }"
              >
                <button
                  type="button"
                  class="line"
                  :aria-pressed="ticks.has(key)"
                  :disabled="closed.has(key) || (!ticks.has(key) && before.some((other) => !ticks.has(other)))"
                  @click="press(key)"
                >
                  <v-icon :icon="ticks.has(key) ? mdiCheckboxMarked : mdiCheckboxBlankOutline" aria-hidden="true" />
                  <span>
                    {{ lineSaid(key, jobs.get(key)) }}
                    <span v-if="jointOf(key)" class="quiet held">{{ jointOf(key)?.held[piece.row - 1] }}</span>
                    <span v-if="turn(jobs.get(key))" class="turn">{{ turn(jobs.get(key)) }}</span>
                    <span v-if="ticks.get(key)" class="quiet who">
                      {{ ticks.get(key)?.by }} {{ clock(ticks.get(key)?.at ?? '')
                      }}{{ ticks.get(key)?.waits ? ', waits on this device' : '' }}
                    </span>
                  </span>
                </button>
                <v-btn
                  v-if="jobs.get(key)?.action === 'own' && !closed.has(key)"
                  variant="text"
                  :aria-label="`Not needed: ${lineSaid(key, jobs.get(key))}`"
                  @click="drop(piece, jobs.get(key)!)"
                  >Not needed</v-btn
                >
                <v-btn
                  v-if="comesOff(key) && planter"
                  variant="text"
                  :icon="mdiWrench"
                  :aria-label="`Pin and tools: ${sayRow(piece.row)}, ${sayTarget(key)}`"
                  @click="joint = stepOf(key)"
                />
                <template v-if="jobs.get(key)?.title === null && !closed.has(key)">
                  <v-btn
                    v-if="piece.walk && place(piece, jobs.get(key)!)"
                    variant="text"
                    :icon="mdiCamera"
                    :aria-label="`Note or photo: ${sayRow(piece.row)}, ${sayTarget(key)}`"
                    @click="remark = { place: place(piece, jobs.get(key)!)!, walk: piece.walk }"
                  />
                  <v-btn
                    variant="text"
                    :aria-label="`Could not: ${sayRow(piece.row)}, ${sayTarget(key)}`"
                    @click="leaving = jobs.get(key)"
                    >Could not</v-btn
                  >
                </template>
              </li>
            </ul>
          </section>
          <card-notes :pieces="pieces" of="back" />
        </div>
        <refusal-list :refusal="refusal" />
        <div class="actions foot">
          <span v-if="minutes !== null" class="quiet running" role="timer">{{ sayMinutes(minutes) }} so far</span>
          <v-btn variant="text" @click="emit('close')">Close</v-btn>
          <v-btn
            v-if="done.length > 0"
            :variant="next === undefined ? 'flat' : 'outlined'"
            color="primary"
            size="large"
            @click="finish"
          >
            {{ next === undefined ? 'Finish' : 'Finish ticked jobs' }}
          </v-btn>
          <v-btn v-if="next !== undefined" color="primary" size="large" class="tick" @click="press(next)">
            <span>Tick: {{ nextSaid }}</span>
          </v-btn>
        </div>
      </template>
    </v-card>
    <joint-dialog
      v-if="joint && planter"
      :planter-id="planterId"
      :step="joint"
      :row-count="planter.row_count"
      :joint="joints.data.value?.find(({ step }) => step === joint)"
      @close="joint = undefined"
    />
    <could-not v-if="leaving" :job="leaving" :planter-id="planterId" @close="leaving = undefined" />
    <remark-dialog
      v-if="remark"
      :planter-id="planterId"
      :walk="remark.walk"
      :place="remark.place"
      @close="remark = undefined"
    />
  </v-dialog>
</template>

<style scoped>
/* The line to tick next is in reach however long the card is. */
.card {
  display: flex;
  flex-direction: column;
  max-height: 90vh;
}
h2 {
  padding: 16px 20px 8px;
}
.body {
  flex: 1;
  min-height: 0;
  overflow-y: auto;
  padding: 0 20px 12px;
}
.foot {
  flex: none;
  display: flex;
  flex-wrap: wrap;
  justify-content: flex-end;
  gap: 8px;
  padding: 12px 20px;
  border-top: 1px solid var(--line);
}
h3 {
  margin: 8px 0 2px;
  font-size: 1rem;
}
.lines {
  margin: 0;
  padding: 0;
  list-style: none;
}
.lines li {
  display: flex;
  align-items: center;
  border-top: 1px solid var(--line);
}
.line {
  flex: 1;
  display: flex;
  align-items: center;
  gap: 10px;
  min-height: var(--touch);
  padding: 4px 0;
  text-align: left;
  font: inherit;
  color: inherit;
  background: none;
  border: 0;
  cursor: pointer;
}
.line:disabled {
  color: var(--ink-2);
  cursor: default;
}
.held {
  display: block;
}
.access .line {
  padding-left: 14px;
}
.next .line {
  font-weight: 700;
}
.turn,
.who {
  display: block;
}
.who {
  font-size: 0.875rem;
  font-weight: 400;
}
.running {
  margin-right: auto;
  align-self: center;
}
@media (max-width: 700px) {
  .lines li {
    flex-wrap: wrap;
    justify-content: flex-end;
  }
  .line {
    flex-basis: 100%;
  }
  /* Its one button is small. */
  .lines .access {
    flex-wrap: nowrap;
  }
  .access .line {
    flex-basis: 0;
  }
  .foot .tick {
    flex: 1 1 100%;
    /* A long line goes on below, and is not cut off at both ends. */
    height: auto;
    min-height: var(--touch);
  }
  .foot .tick :deep(.v-btn__content) {
    white-space: normal;
  }
}
</style>
