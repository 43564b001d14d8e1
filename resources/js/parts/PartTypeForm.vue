<script setup lang="ts">
import { reactive } from 'vue'
import { api, body } from '@/api/client'
import { keys, queries } from '@/api/queries'
import type { PartType, PartTypeEdit, Slot } from '@/api/types'
import NumberField from '@/components/NumberField.vue'
import { vCursor } from '@/components/cursor'
import { useSend } from '@/composables/useSend'
import { useUnits } from '@/composables/useUnits'
import { say, wordsOf } from '@/words'

/** A part type of the workshop's own catalogue: made, or changed. */
const { type } = defineProps<{ type?: PartType }>()
const emit = defineEmits<{ saved: [type: PartType]; close: [] }>()
const { exactDistance } = useUnits()
const slots = wordsOf('slot') as Slot[]

const form = reactive({
  name: type?.name ?? '',
  ownNumber: type?.own_number ?? '',
  slots: type?.slots ?? ([] as Slot[]),
  perRow: (type?.per_row ?? 1) as number | null,
  newSize: type?.new_size_typed ?? '',
  life: type?.life_m == null ? '' : exactDistance(type.life_m),
  price: type?.price ?? null,
  leadDays: type?.lead_days ?? null,
  minimum: type?.minimum ?? null,
  notes: type?.notes ?? '',
  heavy: type?.heavy ?? false,
  clearance: type?.clearance ?? false,
})
const { send, refusal, busy } = useSend()
/** What the form was filled from: where somebody else has saved meanwhile, nothing is overwritten. */
const version = type?.version

async function save(): Promise<void> {
  const edit: PartTypeEdit = {
    name: form.name,
    own_number: form.ownNumber || null,
    slots: form.slots,
    per_row: form.perRow ?? 0,
    new_size: form.newSize || null,
    life: form.life || null,
    price: form.price,
    lead_days: form.leadDays,
    minimum: form.minimum,
    notes: form.notes,
    heavy: form.heavy,
    clearance: form.clearance,
    ...(version === undefined ? {} : { version }),
  }
  await send(async () => {
    const saved = type
      ? await body(api.PUT('/api/part-types/{partType}', { params: { path: { partType: type.id } }, body: edit }))
      : await body(api.POST('/api/part-types', { body: edit }))
    emit('saved', saved)
    await queries.invalidateQueries({ queryKey: keys.partTypes })
  })
}
</script>

<template>
  <v-dialog :model-value="true" max-width="640" aria-label="Part type" @update:model-value="emit('close')">
    <form class="sheet asks" novalidate @submit.prevent="save">
      <h2>{{ type ? 'Edit part type' : 'Add part type' }}</h2>
      <p v-if="refusal" class="change" role="alert">{{ refusal.message }}</p>
      <div class="pair">
        <v-text-field v-model="form.name" v-cursor label="Name" :error-messages="refusal?.about('name')" />
        <v-text-field
          v-model="form.ownNumber"
          label="Your part number"
          :error-messages="refusal?.about('own_number')"
        />
      </div>
      <v-select
        v-model="form.slots"
        label="Slots it fits"
        multiple
        chips
        :items="slots.map((value) => ({ value, title: say(`slot.${value}`) }))"
        :error-messages="refusal?.about('slots')"
      />
      <div class="pair">
        <number-field
          v-model="form.perRow"
          label="Per row"
          required
          whole
          :low="1"
          :high="20"
          :error-messages="refusal?.about('per_row')"
        />
        <v-text-field
          v-model="form.newSize"
          label="New size"
          placeholder="15 in"
          :error-messages="refusal?.about('new_size')"
        />
        <v-text-field
          v-model="form.life"
          label="Expected life, furrow"
          placeholder="800 mi"
          :error-messages="refusal?.about('life')"
        />
        <number-field
          v-model="form.price"
          label="Price each"
          kind="money"
          :high="100_000"
          :places="2"
          :error-messages="refusal?.about('price')"
        />
        <number-field
          v-model="form.leadDays"
          label="Lead time, days"
          kind="days"
          whole
          :high="730"
          :error-messages="refusal?.about('lead_days')"
        />
        <number-field
          v-model="form.minimum"
          label="Minimum on the shelf"
          whole
          :high="10_000"
          :error-messages="refusal?.about('minimum')"
        />
      </div>
      <v-checkbox
        v-if="form.slots.includes('opener_blade')"
        v-model="form.heavy"
        label="Heavy blade with large rivets: needs a guard with clearance"
        hide-details
      />
      <v-checkbox
        v-if="form.slots.includes('seed_tube_guard')"
        v-model="form.clearance"
        label="Guard with clearance for large rivets"
        hide-details
      />
      <v-textarea
        v-model="form.notes"
        label="Notes"
        rows="2"
        variant="outlined"
        :error-messages="refusal?.about('notes')"
      />
      <div class="actions">
        <v-btn variant="text" @click="emit('close')">Cancel</v-btn>
        <v-btn color="primary" type="submit" :loading="busy">Save</v-btn>
      </div>
    </form>
  </v-dialog>
</template>
