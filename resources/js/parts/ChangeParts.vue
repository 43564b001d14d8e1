<script setup lang="ts">
import FormDialog from '@/components/FormDialog.vue'
import { computed, ref, watch } from 'vue'
import { usePartTypes } from '@/parts/queries'
import type { Ledger, RemovalReason, Side, Slot } from '@/api/types'
import CautionNote from '@/components/CautionNote.vue'
import NumberField from '@/components/NumberField.vue'
import { useLedgerEntries } from './useLedgerEntries'
import { useDays } from '@/composables/useDays'
import { say } from '@/words'
import { listRows, readRows } from '@/walk/rows'
import { slotAt } from './slotAt'

/** Another part in the same slot of one row, of several, or of all of them. */
const { planterId, ledger, rowCount, start } = defineProps<{
  planterId: number
  ledger: Ledger
  rowCount: number
  start: { slot: Slot; rows: number[]; side?: Side }
}>()
const emit = defineEmits<{ close: [] }>()
const types = usePartTypes()

const REASONS: RemovalReason[] = ['worn', 'failed', 'with_the_set', 'other']
const slot = ref<Slot>(start.slot)
const rows = ref(start.rows.join(', '))
const side = ref<Side | 'both'>(start.side ?? 'both')
const type = ref<number | null>(null)
const { today } = useDays()
const day = ref(today())
const used = ref(false)
const size = ref('')
const ranBefore = ref('')
const reason = ref<RemovalReason>('worn')
const cost = ref<number | null>(null)
const shims = ref<number | null>(null)
const note = ref('')
const { record, refusal, busy } = useLedgerEntries(planterId)

const chosen = computed(() => readRows(rows.value, rowCount))
const slotNow = computed(() => slotAt(ledger, slot.value, chosen.value?.[0] ?? 1))
/** Rows that were named and have no such part. */
const without = computed(() => (chosen.value ?? []).filter((row) => !slotAt(ledger, slot.value, row)))
const slots = [...new Set(ledger.slots.map((one) => one.slot))].map((value) => ({ value, title: say(`slot.${value}`) }))
const fault = computed(() => {
  if (rows.value === '') return undefined
  if (chosen.value === null) return `Rows from 1 to ${rowCount}, such as 3, 4, 9-12.`
  return without.value.length > 0 ? `No such part on ${listRows(without.value)}.` : undefined
})
const fitting = computed(() => types.data.value?.filter(({ slots }) => slots.includes(slot.value)) ?? [])
const sides = computed<Side[]>(() => {
  const all = slotNow.value?.sides ?? []
  return side.value === 'both' || !all.includes(side.value) ? all : [side.value]
})
/** What is fitted there now is fitted again, unless another is chosen; else a kind that goes with any guard. */
const usual = computed(() => {
  const now = ledger.fitted.find((one) => one.slot === slot.value && one.part_type_id !== null)?.part_type_id
  return fitting.value.find(({ id }) => id === now) ?? fitting.value.find(({ heavy }) => !heavy) ?? fitting.value[0]
})
watch(
  fitting,
  (found) => {
    if (!found.some(({ id }) => id === type.value)) type.value = usual.value?.id ?? null
  },
  { immediate: true },
)
const price = computed(() => fitting.value.find(({ id }) => id === type.value)?.price ?? null)
const count = computed(() => (without.value.length > 0 ? 0 : (chosen.value?.length ?? 0) * sides.value.length))

async function save(): Promise<void> {
  const written = await record(
    (chosen.value ?? []).flatMap((row) =>
      sides.value.map((of) => ({
        kind: 'fitted' as const,
        row,
        slot: slot.value,
        side: of,
        part_type_id: type.value,
        used: used.value,
        size: size.value.trim() || null,
        ran_before: (used.value && ranBefore.value.trim()) || null,
        reason: reason.value,
        cost: cost.value ?? price.value,
        shims: shims.value,
        note: note.value,
      })),
    ),
    day.value,
  )
  if (written) emit('close')
}
</script>

<template>
  <form-dialog
    label="Change parts"
    width="620"
    :refusal="refusal"
    :busy="busy"
    :disabled="count === 0"
    @save="save"
    @close="emit('close')"
  >
    <template #title>Change parts</template>
    <caution-note v-if="slotNow" :station="slotNow.station" />
    <v-select v-model="slot" label="Which part of the row" :items="slots" />
    <v-text-field
      v-model="rows"
      label="Rows"
      :hint="`Examples: 3, 4, 9 or 1-${rowCount} for the whole set`"
      persistent-hint
      :error-messages="fault"
    />
    <div v-if="slotNow && slotNow.sides.length > 1" class="segments" role="group" aria-label="Side">
      <button v-for="one in slotNow.sides" :key="one" type="button" :aria-pressed="side === one" @click="side = one">
        {{ say(`side.${one}`) }}
      </button>
      <button type="button" :aria-pressed="side === 'both'" @click="side = 'both'">both sides</button>
    </div>
    <v-select
      v-model="type"
      label="Part type"
      clearable
      :items="
        fitting.map((one) => ({
          value: one.id,
          title: one.own_number ? `${one.name} (${one.own_number})` : one.name,
        }))
      "
      :no-data-text="`No part type for this slot yet. Add one under Part types, or leave it open.`"
    />
    <div class="pair">
      <v-text-field v-model="day" type="date" label="Fitted on" :max="today()" />
      <v-select
        v-model="reason"
        label="Why the old one was removed"
        :items="REASONS.map((one) => ({ value: one, title: say(`removal.${one}`) }))"
      />
    </div>
    <v-checkbox v-model="used" label="A used part" hide-details />
    <div class="pair">
      <v-text-field
        v-if="slotNow?.measured"
        v-model="size"
        label="Size when fitted"
        :hint="used ? 'Measure: 14 3/4' : 'Leave empty if new'"
        persistent-hint
      />
      <v-text-field
        v-if="used"
        v-model="ranBefore"
        label="Furrow miles it has run"
        hint="Leave empty if unknown"
        persistent-hint
      />
      <number-field
        v-if="slot === 'opener_blade'"
        v-model="shims"
        label="Inner shims"
        hint="In the pack, each side"
        persistent-hint
        whole
        :high="20"
      />
      <number-field
        v-model="cost"
        label="Cost each"
        kind="money"
        :high="100_000"
        :places="2"
        :placeholder="price === null ? '' : String(price)"
      />
    </div>
    <v-text-field v-model="note" label="Note" maxlength="1000" />
    <template #save>Fit {{ count }} {{ count === 1 ? 'part' : 'parts' }}</template>
  </form-dialog>
</template>
