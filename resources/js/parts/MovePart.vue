<script setup lang="ts">
import FormDialog from '@/components/FormDialog.vue'
import { computed, ref } from 'vue'
import type { Fitting, Ledger, RemovalReason, Side } from '@/api/types'
import CautionNote from '@/components/CautionNote.vue'
import { slotAt } from './slotAt'
import { type Entry, useLedgerEntries } from './useLedgerEntries'
import { useDays } from '@/composables/useDays'
import { useUnits } from '@/composables/useUnits'
import { say } from '@/words'

/** A part to another row, with the use and wear it has: from where it is, or from the shelf. */
const { planterId, ledger, rowCount, part } = defineProps<{
  planterId: number
  ledger: Ledger
  rowCount: number
  part: Fitting
}>()
const emit = defineEmits<{ close: [] }>()
const { distance } = useUnits()
const isOnShelf = part.removed_at !== null

const row = ref(isOnShelf ? part.row : part.row === 1 ? 2 : 1)
const side = ref<Side>(part.side)
const swap = ref(!isOnShelf)
const { today } = useDays()
const day = ref(today())
const { record, refusal, busy } = useLedgerEntries(planterId)
const slot = computed(() => slotAt(ledger, part.slot, row.value))
/** Rows that have such a part. */
const rows = Array.from({ length: rowCount }, (_, index) => index + 1).filter((to) => slotAt(ledger, part.slot, to))
const sides = computed(() => slot.value?.sides ?? [])
const there = computed(() =>
  ledger.fitted.find((other) => other.slot === part.slot && other.row === row.value && other.side === side.value),
)
const isSamePlace = computed(() => !isOnShelf && row.value === part.row && side.value === part.side)

async function save(): Promise<void> {
  const place = { kind: 'fitted' as const, slot: part.slot }
  const reason: RemovalReason = swap.value ? 'moved' : 'with_the_set'
  const moves: Entry[] = [{ ...place, row: row.value, side: side.value, part_id: part.part_id, reason }]
  if (swap.value && there.value)
    moves.push({ ...place, row: part.row, side: part.side, part_id: there.value.part_id, reason: 'moved' })
  if (await record(moves, day.value)) emit('close')
}
</script>

<template>
  <form-dialog
    label="Move a part"
    width="480"
    :refusal="refusal"
    :busy="busy"
    :disabled="isSamePlace"
    @save="save"
    @close="emit('close')"
  >
    <template #title>{{ isOnShelf ? 'Fit a used part' : 'Move a part' }}</template>
    <p>
      {{ part.part ?? say(`slot.${part.slot}`) }}, row {{ part.row }} {{ say(`side.${part.side}`) }}: it has run
      {{ distance(part.part_ran_m) }} of furrow. Its use and wear go with it.
    </p>
    <caution-note v-if="slot" :station="slot.station" />
    <v-select v-model="row" label="To row" :items="rows" />
    <div v-if="sides.length > 1" class="segments" role="group" aria-label="Side">
      <button v-for="one in sides" :key="one" type="button" :aria-pressed="side === one" @click="side = one">
        {{ say(`side.${one}`) }}
      </button>
    </div>
    <p v-if="isSamePlace" class="quiet">It is already there. Choose another row or side.</p>
    <v-checkbox
      v-else-if="there && !isOnShelf"
      v-model="swap"
      :label="`Swap: the part on row ${row} comes to row ${part.row}`"
      hide-details
    />
    <p v-if="there && !isSamePlace && !swap" class="quiet">The part on row {{ row }} goes on the shelf.</p>
    <v-text-field v-model="day" type="date" label="On" :max="today()" />
    <template #save>{{ isOnShelf ? 'Fit it' : 'Move it' }}</template>
  </form-dialog>
</template>
