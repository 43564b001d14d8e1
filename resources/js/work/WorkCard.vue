<script setup lang="ts">
import { computed, ref } from 'vue'
import { useLedger } from '@/api/queries'
import type { Planter, Side, Slot, WorkJob, WorkPiece } from '@/api/types'
import ChangeParts from '@/parts/ChangeParts.vue'
import { sayWhy } from '@/plan/findings'
import { useUnits } from '@/composables/useUnits'
import { say, sayRow } from '@/words'
import { sayJobs, sayMinutes } from './plan'

/** One piece of work for whoever does it: what to mind, what to take along, what comes off, what is done, and where it is written down. */
const { piece, planter, rowCount } = defineProps<{ piece: WorkPiece; planter?: Planter; rowCount: number }>()
const emit = defineEmits<{ close: [] }>()
const ledger = useLedger(() => piece.planter)
const changing = ref<{ slot: Slot; rows: number[]; side: Side }>()

const side = (of: Side) => say(`side.${of}`)
const off = computed(() => piece.steps.map(({ step, side: of }) => `${say(`step.${step}`)} ${side(of)}`.trim()))
const { units } = useUnits()
function told(job: WorkJob): string {
  const said = `${sayJobs([job])} ${side(job.side)}`.trim()
  return job.why === null ? said : `${said}. ${sayWhy({ ...job, why: job.why }, units.value)}`
}
const threads = computed(() => {
  if (!piece.steps.some(({ step }) => step === 'opener_blade')) return ''
  const sheet = planter?.spec_sheet
  const torque = sheet?.torque ? say('threads.torque', { torque: sheet.torque }) : say('threads.torque_in_manual')
  return `${say(`threads.${sheet?.left_hand_thread ?? 'unknown'}`)} ${torque}`
})
const changesBlades = computed(() => piece.jobs.some(({ what }) => what === 'opener_blade'))
const walkAt = (check: string, of: Side) => ({
  name: 'walk',
  params: { planter: piece.planter },
  query: { row: piece.row, check, side: of },
})
</script>

<template>
  <v-dialog :model-value="true" width="640" scrollable aria-label="Card" @update:model-value="emit('close')">
    <v-card class="asks">
      <h2>{{ sayRow(piece.row) }}, {{ sayMinutes(piece.minutes) }}</h2>
      <section class="caution">
        <p>{{ say('caution.first') }}</p>
        <p v-for="station in piece.stations" :key="station">{{ say(`caution.${station}`) }}</p>
        <p v-if="threads">
          <strong>{{ threads }}</strong>
        </p>
      </section>
      <section v-if="piece.parts.length > 0">
        <h3>Take along</h3>
        <ul>
          <li v-for="part in piece.parts" :key="`${part.slot} ${part.side}`">
            {{ part.name ?? say(`slot.${part.slot}`) }} <span class="quiet">{{ side(part.side) }}</span>
          </li>
        </ul>
      </section>
      <section v-if="off.length > 0">
        <h3>Comes off, in this order</h3>
        <ol>
          <li v-for="step in off" :key="step">{{ step }}</li>
        </ol>
      </section>
      <section>
        <h3>Do it, and write it down</h3>
        <ul class="jobs">
          <li v-for="job in piece.jobs" :key="`${job.action} ${job.what} ${job.side}`">
            <span>{{ told(job) }}</span>
            <v-btn
              v-if="job.action === 'change'"
              variant="outlined"
              :disabled="!ledger.data.value"
              @click="changing = { slot: job.what as Slot, rows: [piece.row], side: job.side }"
              >It is in</v-btn
            >
            <v-btn v-else variant="outlined" :to="walkAt(job.what, job.side)">Look again</v-btn>
          </li>
          <li v-if="changesBlades">
            <span>New blades change their contact: measure it now</span>
            <v-btn variant="outlined" :to="walkAt('blade_contact_length', 'centre')">Measure</v-btn>
          </li>
        </ul>
        <p class="quiet">What is written down is done: it leaves the plan.</p>
      </section>
      <div class="actions">
        <v-btn color="primary" @click="emit('close')">Close</v-btn>
      </div>
    </v-card>
    <change-parts
      v-if="changing && ledger.data.value"
      :planter-id="piece.planter"
      :ledger="ledger.data.value"
      :row-count="rowCount"
      :start="changing"
      @close="changing = undefined"
    />
  </v-dialog>
</template>

<style scoped>
h3 {
  margin: 8px 0 2px;
  font-size: 1rem;
}
p {
  margin: 2px 0;
}
ol,
ul {
  margin: 0;
  padding-left: 20px;
}
.caution {
  color: var(--ochre);
}
.jobs {
  padding: 0;
  list-style: none;
}
.jobs li {
  display: flex;
  align-items: center;
  justify-content: space-between;
  gap: 10px;
  padding: 2px 0;
  border-top: 1px solid var(--line);
}
</style>
