<script setup lang="ts">
import { v7 as uuid } from 'uuid'
import { computed, ref } from 'vue'
import type { Refusal } from '@/api/client'
import { usePartTypes } from '@/api/queries'
import type { Fitting, LedgerEntry, RemovalReason } from '@/api/types'
import { useUnits } from '@/composables/useUnits'
import { shortDate } from '@/dates'
import { say } from '@/words'
import { momentOf, recordEvents, refusals } from './recordEvents'

/** What is on record of a fitted part, put right: corrected, taken back, or the part taken out with nothing in its place. */
const { planterId, fitting } = defineProps<{ planterId: number; fitting: Fitting }>()
const emit = defineEmits<{ close: [] }>()
const types = usePartTypes()
const { length } = useUnits()
const today = new Date().toISOString().slice(0, 10)

const type = ref(fitting.part_type_id)
const day = ref(fitting.fitted_at.slice(0, 10))
const size = ref(fitting.size_mm === null ? '' : length(fitting.size_mm))
const cost = ref(fitting.cost === null ? '' : String(fitting.cost))
const note = ref(fitting.note)
const reason = ref<RemovalReason>('failed')
const refusal = ref<Refusal | null>(null)
const busy = ref(false)
const choices = computed(() => types.data.value?.filter(({ slots }) => slots.includes(fitting.slot)) ?? [])

async function write(entry: Omit<LedgerEntry, 'id' | 'happened_at'>, happened_at = momentOf(today)): Promise<void> {
  busy.value = true
  refusal.value = await recordEvents(planterId, [{ ...entry, id: uuid(), happened_at }])
  busy.value = false
  if (refusal.value === null) emit('close')
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
      cost: cost.value.trim() === '' ? null : Number(cost.value.replace(',', '.')),
      note: note.value,
      supersedes: fitting.id,
    },
    // On the day it was, at the time it was.
    day.value === fitting.fitted_at.slice(0, 10) ? fitting.fitted_at : momentOf(day.value),
  )
</script>

<template>
  <v-dialog :model-value="true" max-width="560" aria-label="Put right" @update:model-value="emit('close')">
    <form class="sheet right" novalidate @submit.prevent="correct">
      <h2>Put right: {{ say(`slot.${fitting.slot}`) }}, row {{ fitting.row }} {{ say(`side.${fitting.side}`) }}</h2>
      <p class="quiet">Nothing is overwritten: the earlier entry stays on record behind the corrected one.</p>
      <v-select
        v-model="type"
        label="Part type"
        clearable
        :items="choices.map(({ id, name }) => ({ value: id, title: name }))"
      />
      <div class="two">
        <v-text-field v-model="day" type="date" label="Fitted on" :max="today" />
        <v-text-field v-if="fitting.size_mm !== null" v-model="size" label="Size when fitted" />
        <v-text-field v-model="cost" label="Cost" inputmode="decimal" />
      </div>
      <v-text-field v-model="note" label="Note" maxlength="1000" />
      <ul v-if="refusal" class="change" role="alert">
        <li v-for="said in refusals(refusal)" :key="said">{{ said }}</li>
      </ul>
      <div class="actions">
        <v-btn variant="text" @click="emit('close')">Cancel</v-btn>
        <v-btn color="primary" type="submit" :loading="busy">Correct it</v-btn>
      </div>
      <h3>It was never fitted</h3>
      <v-btn variant="outlined" :loading="busy" @click="write({ kind: 'withdrawn', supersedes: fitting.id })">
        Take the entry of {{ shortDate(fitting.fitted_at.slice(0, 10)) }} back
      </v-btn>
      <h3>It came out, and nothing went in</h3>
      <div class="two">
        <v-select
          v-model="reason"
          label="Why"
          :items="(['worn', 'failed', 'other'] as const).map((value) => ({ value, title: say(`removal.${value}`) }))"
        />
        <v-btn variant="outlined" :loading="busy" @click="write({ kind: 'removed', fitting_id: fitting.id, reason })">
          Taken out today
        </v-btn>
      </div>
    </form>
  </v-dialog>
</template>

<style scoped>
.right {
  display: grid;
  gap: 12px;
  max-height: 90vh;
  overflow-y: auto;
}
.two {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(160px, 1fr));
  gap: 12px;
}
.actions {
  display: flex;
  justify-content: flex-end;
  gap: 8px;
}
ul {
  padding-left: 20px;
}
</style>
