<script setup lang="ts">
import FormDialog from '@/components/FormDialog.vue'
import { reactive } from 'vue'
import { api, body } from '@/api/client'
import type { SeedLot } from '@/api/types'
import NumberField from '@/components/NumberField.vue'
import { useMoney } from '@/composables/useMoney'
import { useSend } from '@/composables/useSend'
import { say } from '@/words'

/** A lot of seed, as it stands on the tag. */
const { lot } = defineProps<{ lot?: SeedLot }>()
const emit = defineEmits<{ saved: []; close: [] }>()
const { send, refusal, busy } = useSend()
const { currency } = useMoney()
const form = reactive({
  name: lot?.name ?? '',
  crop: lot?.crop ?? '',
  size: lot?.size ?? null,
  shape: lot?.shape ?? '',
  size_class: lot?.size_class ?? '',
  seeds_per_pound: lot?.seeds_per_pound ?? null,
  seeds_per_unit: lot?.seeds_per_unit ?? null,
  germination: lot?.germination ?? null,
  germination_tested: lot?.germination_tested ?? null,
  tested_on: lot?.tested_on ?? '',
  ordered_from: lot?.ordered_from ?? '',
  ordered_units: lot?.ordered_units ?? null,
  ordered_on: lot?.ordered_on ?? '',
  due_on: lot?.due_on ?? '',
  treatment: lot?.treatment ?? '',
  lubricant: lot?.lubricant ?? '',
  price: lot?.price ?? null,
  spare: lot?.spare ?? (0.05 as number | null),
})

async function save(): Promise<void> {
  const sent = {
    ...form,
    seeds_per_unit: form.seeds_per_unit ?? 0,
    tested_on: form.tested_on || null,
    ordered_on: form.ordered_on || null,
    due_on: form.due_on || null,
  }
  const taken = await send(() =>
    lot
      ? body(
          api.PUT('/api/seed/lots/{seedLot}', {
            params: { path: { seedLot: lot.id } },
            body: { ...sent, revision: lot.revision },
          }),
        )
      : body(api.POST('/api/seed/lots', { body: sent })),
  )
  if (taken) emit('saved')
}
</script>

<template>
  <form-dialog
    label="Seed lot"
    width="620"
    :refusal="refusal"
    :busy="busy"
    back="Back"
    @save="save"
    @close="emit('close')"
  >
    <template #title>{{ lot ? lot.name : 'New seed lot' }}</template>
    <p class="caution">{{ say('caution.meter') }}</p>
    <div class="pair">
      <v-text-field v-model="form.name" label="Lot name" maxlength="80" />
      <v-text-field v-model="form.crop" label="Crop" maxlength="80" />
      <number-field v-model="form.size" label="Average size, mm" kind="mm" :low="0.5" :high="40" :places="2" />
      <v-text-field v-model="form.shape" label="Shape" maxlength="40" />
      <v-text-field
        v-model="form.size_class"
        label="Size on the tag"
        placeholder="medium flat, F14"
        maxlength="40"
        hint="The class or number"
        persistent-hint
      />
      <number-field
        v-model="form.seeds_per_pound"
        label="Seeds per pound"
        :low="10"
        :high="500_000"
        :places="1"
        hint="Per ounce on the tag: times 16"
        persistent-hint
      />
      <number-field
        v-model="form.seeds_per_unit"
        label="Seeds per unit"
        kind="seeds"
        required
        whole
        :low="100"
        :high="10_000_000"
      />
      <number-field
        v-model="form.price"
        :label="`Price per unit, ${currency}`"
        kind="money"
        :high="100_000"
        :places="2"
      />
      <number-field
        v-model="form.germination"
        label="Germination on the tag, %"
        kind="share"
        :low="0.01"
        :high="1"
        :places="3"
      />
      <number-field
        v-model="form.germination_tested"
        label="Germination by your own test, %"
        kind="share"
        :low="0.01"
        :high="1"
        :places="3"
        hint="Used instead of the tag's"
        persistent-hint
      />
      <v-text-field v-model="form.tested_on" type="date" label="Tested on" />
      <number-field v-model="form.spare" label="Extra, %" kind="share" :high="1" :places="3" />
    </div>
    <h3>On order</h3>
    <div class="pair">
      <number-field v-model="form.ordered_units" label="Units ordered" :low="0.1" :high="100_000" :places="1" />
      <v-text-field v-model="form.ordered_from" label="From" maxlength="80" />
      <v-text-field
        v-model="form.ordered_on"
        type="date"
        label="Ordered on"
        hint="What you receive from this day on is taken off the order"
        persistent-hint
      />
      <v-text-field v-model="form.due_on" type="date" label="Due on" />
    </div>
    <v-text-field v-model="form.treatment" label="Treatment" maxlength="120" />
    <v-text-field v-model="form.lubricant" label="Lubricant and dose (see label)" maxlength="120" />
    <template #save>Save</template>
  </form-dialog>
</template>

<style scoped>
h3 {
  margin: 8px 0;
  font-size: 1rem;
}
p {
  margin: 0;
  font-size: 0.875rem;
}
</style>
