<script setup lang="ts">
import { computed, ref } from 'vue'
import { usePartTypes } from '@/parts/queries'
import type { Fitting, RemovalReason } from '@/api/types'
import NumberField from '@/components/NumberField.vue'
import RefusalList from '@/components/RefusalList.vue'
import { type Entry, useLedgerEntries } from './useLedgerEntries'
import { useDays } from '@/composables/useDays'
import { useUnits } from '@/composables/useUnits'
import { fullDate } from '@/dates'
import { say } from '@/words'

/** What is on record of a fitted part, put right: corrected, taken back, or the part taken out with nothing in its place. */
const { planterId, fitting } = defineProps<{ planterId: number; fitting: Fitting }>()
const emit = defineEmits<{ close: [] }>()
const types = usePartTypes()
const { length } = useUnits()
const days = useDays()
const today = days.today()
const fittedOn = days.dayOf(fitting.fitted_at)

const type = ref(fitting.part_type_id)
const day = ref(fittedOn)
const size = ref(fitting.size_mm === null ? '' : length(fitting.size_mm))
const cost = ref(fitting.cost)
const note = ref(fitting.note)
const reason = ref<RemovalReason>('failed')
const { record, refusal, busy } = useLedgerEntries(planterId)
const choices = computed(() => types.data.value?.filter(({ slots }) => slots.includes(fitting.slot)) ?? [])

async function write(entry: Entry, when = today): Promise<void> {
  if (await record([entry], when)) emit('close')
}

const correct = () =>
  write(
    {
      kind: 'fitted',
      row: fitting.row,
      slot: fitting.slot,
      side: fitting.side,
      part_type_id: type.value,
      used: fitting.used,
      size: size.value.trim() || null,
      shims: fitting.shims,
      cost: cost.value,
      note: note.value,
      supersedes: fitting.id,
    },
    // On the day it was, at the time it was.
    day.value === fittedOn ? fitting.fitted_at : day.value,
  )
</script>

<template>
  <v-dialog :model-value="true" max-width="560" aria-label="Correct" @update:model-value="emit('close')">
    <form class="sheet asks" novalidate @submit.prevent="correct">
      <h2>Correct: {{ say(`slot.${fitting.slot}`) }}, row {{ fitting.row }} {{ say(`side.${fitting.side}`) }}</h2>
      <p class="quiet">Nothing is overwritten. The earlier entry stays in the history.</p>
      <v-select
        v-model="type"
        label="Part type"
        clearable
        :items="choices.map(({ id, name }) => ({ value: id, title: name }))"
      />
      <div class="pair">
        <v-text-field v-model="day" type="date" label="Fitted on" :max="today" />
        <v-text-field v-if="fitting.size_mm !== null" v-model="size" label="Size when fitted" />
        <number-field v-model="cost" label="Cost" kind="money" :high="100_000" :places="2" />
      </div>
      <v-text-field v-model="note" label="Note" maxlength="1000" />
      <refusal-list :refusal="refusal" />
      <div class="actions">
        <v-btn variant="text" @click="emit('close')">Cancel</v-btn>
        <v-btn color="primary" type="submit" :loading="busy">Save</v-btn>
      </div>
      <h3>It was never fitted</h3>
      <v-btn variant="outlined" :loading="busy" @click="write({ kind: 'withdrawn', supersedes: fitting.id })">
        Undo the entry of {{ fullDate(fittedOn) }}
      </v-btn>
      <h3>Removed, nothing fitted</h3>
      <div class="pair">
        <v-select
          v-model="reason"
          label="Why"
          :items="(['worn', 'failed', 'other'] as const).map((value) => ({ value, title: say(`removal.${value}`) }))"
        />
        <v-btn variant="outlined" :loading="busy" @click="write({ kind: 'removed', fitting_id: fitting.id, reason })">
          Removed today
        </v-btn>
      </div>
    </form>
  </v-dialog>
</template>
