<script setup lang="ts">
import FormDialog from '@/components/FormDialog.vue'
import { computed, reactive } from 'vue'
import { api, body } from '@/api/client'
import type { SeedLot } from '@/api/types'
import NumberField from '@/components/NumberField.vue'
import { useMoney } from '@/composables/useMoney'
import { useUnits } from '@/composables/useUnits'
import { useSend } from '@/composables/useSend'
import { say } from '@/words'

/** A lot of seed, as it stands on the tag. */
const { lot } = defineProps<{ lot?: SeedLot }>()
const emit = defineEmits<{ saved: []; close: [] }>()
const { send, refusal, busy } = useSend()
const { currency } = useMoney()
const { units } = useUnits()
type Kind = { crop: string; share: number | null; seeds_per_pound: number | null }
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
  test_weight: lot?.test_weight ?? null,
  unit_weight: lot?.unit_weight ?? null,
  units_per_box: lot?.units_per_box ?? null,
  mixture: (lot?.mixture ?? []).map((kind) => ({ ...kind })) as Kind[],
})
const addKind = () => form.mixture.push({ crop: '', share: null, seeds_per_pound: null })
const byWeight = computed(() => form.unit_weight !== null && form.seeds_per_unit === null)

async function save(): Promise<void> {
  const sent = {
    ...form,
    mixture: form.mixture.map((kind) => ({
      ...kind,
      share: kind.share ?? 0,
      seeds_per_pound: kind.seeds_per_pound ?? 0,
    })),
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
        v-if="form.mixture.length === 0"
        v-model="form.seeds_per_pound"
        :label="units === 'in' ? 'Seeds per pound' : 'Seeds per kilogram'"
        kind="perPound"
        :low="10"
        :high="500_000"
        :places="1"
        hint="As on the tag: 1,600, or 100/oz"
        persistent-hint
      />
      <number-field
        v-model="form.test_weight"
        label="Test weight, lb/bu"
        unit="lb/bu"
        :low="10"
        :high="80"
        :places="2"
      />
    </div>
    <template v-for="(kind, at) in form.mixture" :key="at">
      <div class="kind">
        <v-text-field v-model="kind.crop" :label="`Kind ${at + 1}`" maxlength="80" />
        <number-field
          v-model="kind.share"
          :label="`Weight share ${at + 1}, %`"
          kind="share"
          required
          :low="0.0001"
          :high="0.9999"
          :places="4"
        />
        <number-field
          v-model="kind.seeds_per_pound"
          :label="units === 'in' ? 'Seeds per pound' : 'Seeds per kilogram'"
          kind="perPound"
          required
          :low="10"
          :high="500_000"
          :places="1"
        />
        <v-btn variant="text" :aria-label="`Remove kind ${at + 1}`" @click="form.mixture.splice(at, 1)">Remove</v-btn>
      </div>
    </template>
    <v-btn v-if="form.mixture.length < 12" class="add" variant="outlined" @click="addKind">{{
      form.mixture.length === 0 ? 'It is a mixture: add its kinds' : 'Add a kind'
    }}</v-btn>
    <h3>Units and price</h3>
    <div class="pair">
      <number-field
        v-model="form.seeds_per_unit"
        label="Seeds per unit"
        kind="seeds"
        whole
        :hint="byWeight ? 'Counted from its weight' : ''"
        :persistent-hint="byWeight"
        :low="100"
        :high="10_000_000"
      />
      <number-field
        v-model="form.unit_weight"
        label="Weight of a unit"
        kind="pounds"
        :low="0.01"
        :high="10_000"
        :places="2"
      />
      <number-field v-model="form.units_per_box" label="Units per bulk box" :low="1" :high="1_000" :places="1" />
      <number-field
        v-model="form.price"
        :label="`Price per unit, ${currency}`"
        kind="money"
        :high="100_000"
        :places="2"
      />
      <number-field v-model="form.spare" label="Extra, %" kind="share" :high="1" :places="3" />
    </div>
    <h3>Germination</h3>
    <div class="pair">
      <number-field v-model="form.germination" label="On the tag, %" kind="share" :low="0.01" :high="1" :places="3" />
      <number-field
        v-model="form.germination_tested"
        label="Your own test, %"
        kind="share"
        :low="0.01"
        :high="1"
        :places="3"
        hint="Used instead of the tag's"
        persistent-hint
      />
      <v-text-field v-model="form.tested_on" type="date" label="Tested on" />
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
.add {
  justify-self: start;
}
.kind {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1.1fr) minmax(0, 1.1fr) auto;
  gap: 8px;
  align-items: start;
}
@media (max-width: 600px) {
  .kind {
    grid-template-columns: minmax(0, 1fr);
  }
}
h3 {
  margin: 8px 0;
  font-size: 1rem;
}
p {
  margin: 0;
  font-size: 0.875rem;
}
</style>
