<script setup lang="ts">
import { reactive } from 'vue'
import { api, body } from '@/api/client'
import type { SeedLot } from '@/api/types'
import RefusalList from '@/components/RefusalList.vue'
import { useMoney } from '@/composables/useMoney'
import { useSend } from '@/composables/useSend'
import { typedNumber } from '@/measure/typed'
import { say } from '@/words'

/** A lot of seed, as it stands on the tag. */
const { lot } = defineProps<{ lot?: SeedLot }>()
const emit = defineEmits<{ saved: []; close: [] }>()
const { send, refusal, busy } = useSend()
const { currency } = useMoney()
const typed = (value: number | null | undefined, factor = 1) =>
  value == null ? '' : String(Math.round(1000 * factor * value) / 1000)
const form = reactive({
  name: lot?.name ?? '',
  crop: lot?.crop ?? '',
  size: typed(lot?.size),
  shape: lot?.shape ?? '',
  seeds_per_unit: typed(lot?.seeds_per_unit),
  germination: typed(lot?.germination, 100),
  treatment: lot?.treatment ?? '',
  lubricant: lot?.lubricant ?? '',
  price: typed(lot?.price),
  spare: typed(lot?.spare ?? 0.05, 100),
})
const share = (of: string) => {
  const percent = typedNumber(of)
  return percent === null ? null : percent / 100
}

async function save(): Promise<void> {
  const sent = {
    ...form,
    size: typedNumber(form.size),
    seeds_per_unit: typedNumber(form.seeds_per_unit) ?? 0,
    germination: share(form.germination),
    price: typedNumber(form.price),
    spare: share(form.spare),
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
  <v-dialog :model-value="true" max-width="620" aria-label="Seed lot" @update:model-value="emit('close')">
    <form class="sheet asks" novalidate @submit.prevent="save">
      <h2>{{ lot ? lot.name : 'A seed lot' }}</h2>
      <p class="caution">{{ say('caution.meter') }}</p>
      <div class="pair">
        <v-text-field v-model="form.name" label="Lot, as in the fields" maxlength="80" />
        <v-text-field v-model="form.crop" label="Crop" maxlength="80" />
        <v-text-field v-model="form.size" label="Size on average, mm" inputmode="decimal" />
        <v-text-field v-model="form.shape" label="Shape" maxlength="40" />
        <v-text-field v-model="form.seeds_per_unit" label="Seeds in a unit" inputmode="numeric" />
        <v-text-field v-model="form.price" :label="`Price of a unit, ${currency}`" inputmode="decimal" />
        <v-text-field v-model="form.germination" label="Germination on the tag, %" inputmode="decimal" />
        <v-text-field v-model="form.spare" label="Spare, %" inputmode="decimal" />
      </div>
      <v-text-field v-model="form.treatment" label="Treatment" maxlength="120" />
      <v-text-field v-model="form.lubricant" label="Lubricant, mix and dose by its label" maxlength="120" />
      <refusal-list :refusal="refusal" />
      <div class="actions">
        <v-btn variant="text" @click="emit('close')">Back</v-btn>
        <v-btn type="submit" color="primary" :loading="busy">Keep it</v-btn>
      </div>
    </form>
  </v-dialog>
</template>

<style scoped>
p {
  margin: 0;
  font-size: 0.875rem;
}
</style>
