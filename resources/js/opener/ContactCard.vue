<script setup lang="ts">
import { computed, ref } from 'vue'
import type { OddShimMove, RowContact, ShimMove } from '@/api/types'
import CautionNote from '@/components/CautionNote.vue'
import FractionText from '@/components/FractionText.vue'
import RefusalList from '@/components/RefusalList.vue'
import { useLedgerEntries } from '@/parts/useLedgerEntries'
import { useDays } from '@/composables/useDays'
import { useUnits } from '@/composables/useUnits'
import { fullDate } from '@/dates'
import FurrowDrawing from '@/drawings/FurrowDrawing.vue'
import { useOutbox } from '@/offline/outbox'
import { say } from '@/words'
import { sayMoves, sayShims } from './shims'
import { useSession } from '@/session'

const session = useSession()
/** The contact of a row's blades, what to do about it with shims, and the furrow it makes. */
const { planterId, contact, sensitivity, lastMove, odd } = defineProps<{
  planterId: number
  contact: RowContact
  sensitivity: { mm: number; sd_mm: number; moves: number; aim_mm: number }
  /** The newest move of this row's shims, of those that hold. */
  lastMove?: ShimMove
  /** The newest move of this row after which the contact went the wrong way. */
  odd?: OddShimMove
}>()
const emit = defineEmits<{ measure: [] }>()
const { length } = useUnits()
const { record, refusal, busy } = useLedgerEntries(planterId)
const left = ref(contact.advice?.left ?? 0)
const right = ref(contact.advice?.right ?? 0)

const shape = computed(() => {
  const code = contact.advice?.code
  if (code === undefined || code === 'leave') return 'good'
  return contact.advice?.long ? 'long' : 'short'
})
const shims = computed(() =>
  contact.shims_left === null || contact.shims_right === null
    ? 'inner shims not counted'
    : `inner shims ${contact.shims_left} left, ${contact.shims_right} right`,
)

const { today, dayOf } = useDays()
const outbox = useOutbox()
/** Said already, and not known to the server yet. */
const isWaiting = computed(() =>
  outbox.waiting.some(
    (item) =>
      item.what === 'ledger' &&
      item.planter === planterId &&
      item.body.events.some(({ kind, row }) => kind === 'shims_moved' && row === contact.row),
  ),
)

function set(side: 'left' | 'right', count: number): void {
  if (side === 'left') left.value = count
  else right.value = count
}

async function moved(): Promise<void> {
  const move = (pairs: number, side: 'left' | 'right' | 'centre') => ({
    kind: 'shims_moved' as const,
    row: contact.row,
    side,
    pairs,
    contact_before: contact.contact_mm === null ? null : `${contact.contact_mm} mm`,
  })
  const moves =
    left.value === right.value ? [move(left.value, 'centre')] : [move(left.value, 'left'), move(right.value, 'right')]
  await record(
    moves.filter(({ pairs }) => pairs !== 0),
    today(),
  )
}
</script>

<template>
  <section class="sheet contact">
    <h2>Blade contact</h2>
    <div v-if="contact.advice && contact.contact_mm !== null" class="now">
      <furrow-drawing :shape="shape" class="furrow" />
      <div>
        <p>
          <strong><fraction-text :text="length(contact.contact_mm)" /></strong> contact, {{ shims }}.
        </p>
        <p :class="{ change: contact.advice.code !== 'leave' }">
          {{ say(`shims.${contact.advice.code}`, { moves: sayMoves(contact.advice) }) }}
        </p>
        <p v-if="contact.advice.expected_mm !== null">
          Expected after: <fraction-text :text="length(contact.advice.expected_mm)" />, give or take
          <fraction-text :text="length(contact.advice.sd_mm ?? 0)" />.
        </p>
        <p v-if="contact.advice.uneven" class="watch">
          The packs differ, so the V runs off center.<template v-if="contact.advice.pack !== null">
            Each side then has {{ contact.advice.pack }}.</template
          >
        </p>
      </div>
    </div>
    <p v-else>
      {{ contact.moved ? 'Shims or blades were changed: measure contact again.' : 'Not measured yet.' }}
    </p>
    <template v-if="contact.advice && contact.advice.code !== 'leave'">
      <p class="quiet">
        Keep both sides equal. One side has left-hand thread: tighten in the direction the blade turns. Torque: see the
        manual. Count the shims out and in: one stuck to the old bearing goes back on the shaft.
      </p>
      <caution-note station="blade_contact" />
      <p class="quiet">
        At <fraction-text :text="length(sensitivity.aim_mm)" /> one shim on each side moves contact by
        <fraction-text :text="length(sensitivity.mm)" />, and more when contact is short{{
          sensitivity.moves === 0
            ? ', a typical value until this planter has its own moves'
            : `, learned from ${sensitivity.moves} of this planter’s moves`
        }}.
      </p>
      <p v-if="isWaiting" role="status">
        The shim move is saved on this device and waits to sync. Measure contact again.
      </p>
      <div v-else-if="!['blades_done', 'too_coarse'].includes(contact.advice.code)" class="does">
        <label v-for="side in ['left', 'right'] as const" :key="side">
          Shims {{ say(`side.${side}`) }}
          <select
            :value="side === 'left' ? left : right"
            @change="set(side, Number(($event.target as HTMLSelectElement).value))"
          >
            <option v-for="count in [-6, -5, -4, -3, -2, -1, 0, 1, 2, 3, 4, 5, 6]" :key="count" :value="count">
              {{ count === 0 ? 'not moved' : count < 0 ? `${-count} taken out` : `${count} added` }}
            </option>
          </select>
        </label>
        <v-btn
          v-if="session.may('record')"
          color="primary"
          :loading="busy"
          :disabled="left === 0 && right === 0"
          @click="moved"
          >Shims moved</v-btn
        >
      </div>
    </template>
    <div v-if="odd" class="does odd">
      <p class="watch">
        {{ fullDate(dayOf(odd.happened_at)) }}: {{ sayShims(odd).toLowerCase() }} But contact went from
        <fraction-text :text="length(odd.before_mm)" /> to <fraction-text :text="length(odd.after_mm)" />. Adding shims
        makes it shorter. Was the move or a reading entered wrong? Until you say, this move counts for nothing.
      </p>
      <v-btn
        v-if="session.may('record')"
        variant="outlined"
        :loading="busy"
        @click="record([{ kind: 'withdrawn', supersedes: odd.id }], today())"
        >Remove this move</v-btn
      >
    </div>
    <refusal-list :refusal="refusal" />
    <template v-if="contact.moved">
      <v-btn v-if="session.may('record')" color="primary" @click="emit('measure')">Measure again</v-btn>
      <div v-if="lastMove" class="does">
        <p class="quiet">
          {{ sayShims(lastMove) }}
          {{ fullDate(dayOf(lastMove.happened_at)) }} by {{ lastMove.by }}.
        </p>
        <v-btn
          v-if="session.may('record')"
          variant="outlined"
          :loading="busy"
          @click="record([{ kind: 'withdrawn', supersedes: lastMove.id }], today())"
          >Undo the move</v-btn
        >
      </div>
    </template>
  </section>
</template>

<style scoped>
.contact {
  display: grid;
  gap: 8px;
}
.now {
  display: flex;
  flex-wrap: wrap;
  gap: 12px;
}
.now > div {
  flex: 1 1 200px;
}
.furrow {
  width: 150px;
}
.does {
  display: flex;
  flex-wrap: wrap;
  align-items: end;
  gap: 12px;
}
label {
  display: grid;
  gap: 2px;
}
select {
  min-height: var(--touch);
  padding: 0 10px;
  border: 1px solid var(--line);
  border-radius: 8px;
  background: var(--card);
  color: inherit;
}
</style>
