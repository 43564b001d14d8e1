<script setup lang="ts">
import { computed, reactive, ref } from 'vue'
import { usePartTypes } from '@/parts/queries'
import type { Ledger, LedgerEntry, Slot, WorkJob, WorkPiece } from '@/api/types'
import NumberField from '@/components/NumberField.vue'
import RefusalList from '@/components/RefusalList.vue'
import { useNumbers } from '@/composables/useNumbers'
import { useUnits } from '@/composables/useUnits'
import { sayRows } from '@/plan/findings'
import { say, sayRow } from '@/words'
import { sharedOut } from './hands'
import { sayTarget } from './target'
import { useHandsEntries } from './useHandsEntries'

/** What is written down when the card is finished: which parts went in, shims that were moved, how long it took, what was used. */
const { done, minutes, ledger } = defineProps<{
  done: { piece: WorkPiece; jobs: WorkJob[] }[]
  minutes: number | null
  ledger?: Ledger
}>()
const emit = defineEmits<{ back: []; finished: [] }>()
const { deliver, refusal, busy } = useHandsEntries(() => done[0]?.piece.planter ?? 0)
const types = usePartTypes()
const { units } = useUnits()
const numbers = useNumbers()

const took = ref<number | null>(minutes)
const seized = ref<number | null>(null)
const lubricant = ref('')
const words = ref('')
/** What the work was to set, as one line. */
const set = ref('')
/** Parts of one kind that go in, each kind with what is planned for it. */
type Change = { slot: Slot; keys: string[]; rows: number[]; type: number | null; away: number }
const changes = reactive<Change[]>([])
for (const { piece, jobs } of done) {
  for (const { key, ledger: drafts } of jobs) {
    for (const { slot, side } of drafts) {
      if (slot === null) continue
      const planned = piece.parts.find((part) => part.slot === slot && part.side === side)
      const type = planned?.part_type_id ?? null
      let change = changes.find((one) => one.slot === slot && one.type === type)
      if (!change) changes.push((change = { slot, keys: [], rows: [], type, away: 0 }))
      change.keys.push(key)
      change.rows.push(piece.row)
      change.away += planned?.here ? 0 : 1
    }
  }
}
const moves = reactive(
  done.flatMap(({ piece, jobs }) =>
    jobs.flatMap(({ key, ledger: drafts }) =>
      drafts
        .filter(({ kind }) => kind === 'shims_moved')
        .map(({ side, pairs }) => ({ key, row: piece.row, side, pairs })),
    ),
  ),
)
const fitting = (slot: Slot) => (types.data.value ?? []).filter(({ slots }) => slots.includes(slot))
const away = computed(() => changes.reduce((sum, { away: count, type }) => sum + (type === null ? 0 : count), 0))

type Entry = Omit<LedgerEntry, 'id' | 'happened_at'>

function entriesOf({ row }: WorkPiece, jobs: WorkJob[]): Entry[] {
  return jobs.flatMap((job): Entry[] => {
    const change = changes.find(({ keys }) => keys.includes(job.key))
    if (change) {
      const { slot, type } = change
      const cost = types.data.value?.find(({ id }) => id === type)?.price ?? null
      return [{ kind: 'fitted', row, slot, side: job.side, part_type_id: type, reason: 'worn', cost }]
    }
    return moves.flatMap(({ key, side, pairs }): Entry[] =>
      key === job.key && pairs ? [{ kind: 'shims_moved', row, side, pairs }] : [],
    )
  })
}

async function save(): Promise<void> {
  if (numbers.complain() > 0) return
  const [all, held] = [took.value, seized.value]
  const shares =
    all === null
      ? []
      : sharedOut(
          all,
          done.map(({ piece }) => piece),
          held ?? 0,
        )
  const isWritten = await deliver(
    done.map(({ piece, jobs }, index) => ({
      kind: 'finished',
      targets: jobs.map(({ key }) => key),
      minutes: all === null ? null : (shares[index] ?? null),
      // The joint that held up the work is that of the first of them.
      seized_minutes: index === 0 ? held : null,
      lubricant: lubricant.value.trim(),
      words: words.value.trim(),
      ledger: entriesOf(piece, jobs),
      settings: set.value.trim() === '' ? [] : [{ line: set.value.trim(), row: piece.row, units: units.value }],
    })),
  )
  if (isWritten) emit('finished')
}
</script>

<template>
  <form novalidate class="finish asks" @submit.prevent="save">
    <ul>
      <li v-for="{ piece, jobs } in done" :key="piece.key">
        {{ sayRow(piece.row) }}: {{ jobs.map(({ key, title }) => title ?? sayTarget(key).toLowerCase()).join(', ') }}
      </li>
    </ul>
    <v-select
      v-for="change in changes"
      :key="change.keys[0]"
      v-model="change.type"
      :label="`What went in: ${sayRows(change.rows)}, ${change.keys.length} × ${say(`slot.${change.slot}`)}`"
      clearable
      :disabled="!ledger"
      :items="
        fitting(change.slot).map((one) => ({
          value: one.id,
          title: one.own_number ? `${one.name} (${one.own_number})` : one.name,
        }))
      "
      no-data-text="No part type for this slot yet: leave it open, or add one under Part types."
    />
    <p v-if="away > 0" class="due">
      According to stock, {{ away === 1 ? 'one of these is' : `${away} of these are` }} not here. It is recorded anyway;
      count the shelf.
    </p>
    <number-field
      v-for="move in moves"
      :key="`${move.key} ${move.side}`"
      v-model="move.pairs"
      whole
      :low="-20"
      :high="20"
      :label="`Shims moved ${say(move.side === 'centre' ? 'shims.on_each' : `shims.on_${move.side}`)}, row ${move.row}`"
      hint="Removed shims as minus: -1. Count shims out and in."
      persistent-hint
    />
    <div class="pair">
      <number-field
        v-model="took"
        label="Minutes taken"
        kind="minutes"
        whole
        :low="1"
        :high="6000"
        hint="From the first tick"
        persistent-hint
      />
      <number-field
        v-model="seized"
        label="Of these, for a seized joint"
        kind="minutes"
        whole
        :high="6000"
        hint="Used for planning next time"
        persistent-hint
      />
    </div>
    <v-text-field
      v-if="done.some(({ jobs }) => jobs.some(({ action }) => action === 'adjust'))"
      v-model="set"
      label="What is it set to now?"
      placeholder="depth mark 6.5, closing 2, downforce 180 lb"
      hint="Saved to the row’s settings. Leave empty if nothing was set"
      persistent-hint
      maxlength="500"
    />
    <v-text-field v-model="lubricant" label="Lubricant used" maxlength="300" />
    <v-text-field v-model="words" label="Note" maxlength="300" />
    <refusal-list :refusal="refusal" />
    <div class="actions">
      <v-btn variant="text" @click="emit('back')">Back</v-btn>
      <v-btn color="primary" size="large" type="submit" :loading="busy">Done</v-btn>
    </div>
  </form>
</template>

<style scoped>
.finish {
  padding-top: 0;
}
ul {
  margin: 0;
  padding-left: 20px;
}
p {
  margin: 0;
}
.due {
  color: var(--ochre);
}
</style>
