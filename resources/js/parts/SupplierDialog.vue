<script setup lang="ts">
import FormDialog from '@/components/FormDialog.vue'
import { reactive } from 'vue'
import { api, body } from '@/api/client'
import type { OnShelf, Supplier } from '@/api/types'
import NumberField from '@/components/NumberField.vue'
import { useDays } from '@/composables/useDays'
import { useMoney } from '@/composables/useMoney'
import { useSend } from '@/composables/useSend'
import { useSession } from '@/session'
import { say, wordsOf } from '@/words'

/** A supplier with what it asks for each part type and how long it takes. */
const { supplier, shelf } = defineProps<{ supplier?: Supplier; shelf: OnShelf[] }>()
const emit = defineEmits<{ saved: []; close: [] }>()
const session = useSession()
const { today } = useDays()
const { currency } = useMoney()
const { send, refusal, busy } = useSend()
const PRACTICE = 'practice:'
function asks(counter: string | null | undefined): 'nobody' | 'practice' | 'address' {
  if (counter == null) return 'nobody'
  return counter.startsWith(PRACTICE) ? 'practice' : 'address'
}
function manner(counter: string | null | undefined): string {
  return counter?.startsWith(PRACTICE) ? counter.slice(PRACTICE.length) : ''
}
const counter = () => ({ nobody: null, practice: PRACTICE + form.manner, address: form.address.trim() })[form.asks]
const form = reactive({
  name: supplier?.name ?? '',
  notes: supplier?.notes ?? '',
  asks: asks(supplier?.counter),
  manner: manner(supplier?.counter) || 'works',
  address: asks(supplier?.counter) === 'address' ? (supplier?.counter ?? '') : '',
  prices: shelf.map(({ part_type_id, name }) => {
    const kept = supplier?.prices.find((price) => price.part_type_id === part_type_id)
    return { part_type_id, name, kept, price: kept?.price ?? null, lead_days: kept?.lead_days ?? null }
  }),
})

async function save(): Promise<void> {
  const prices = form.prices
    .filter(({ price, lead_days }) => price !== null || lead_days !== null)
    .map(({ part_type_id, kept, price, lead_days }) => {
      const now = { part_type_id, price, lead_days }
      // A price that did not change holds since when it did.
      const isSame = kept && kept.price === now.price && kept.lead_days === now.lead_days
      return { ...now, since: isSame ? kept.since : today() }
    })
  const sent = { name: form.name, notes: form.notes, counter: counter(), prices }
  const taken = await send(() =>
    supplier
      ? body(
          api.PUT('/api/suppliers/{supplier}', {
            params: { path: { supplier: supplier.id } },
            body: { ...sent, revision: supplier.revision },
          }),
        )
      : body(api.POST('/api/suppliers', { body: sent })),
  )
  if (taken) emit('saved')
}
</script>

<template>
  <form-dialog
    label="Supplier"
    width="680"
    :refusal="refusal"
    :busy="busy"
    :can-save="session.may('set')"
    back="Back"
    @save="save"
    @close="emit('close')"
  >
    <template #title>{{ supplier ? supplier.name : 'A supplier' }}</template>
    <v-text-field v-model="form.name" label="Name" maxlength="80" :error-messages="refusal?.about('name')" />
    <v-text-field v-model="form.notes" label="Notes" maxlength="500" />
    <div class="segments" role="group" aria-label="Parts counter">
      <button type="button" :aria-pressed="form.asks === 'nobody'" @click="form.asks = 'nobody'">
        No parts counter
      </button>
      <button type="button" :aria-pressed="form.asks === 'practice'" @click="form.asks = 'practice'">
        Practice counter
      </button>
      <button type="button" :aria-pressed="form.asks === 'address'" @click="form.asks = 'address'">An address</button>
    </div>
    <template v-if="form.asks === 'practice'">
      <p class="quiet">A practice counter with made-up prices. Choose how it responds.</p>
      <div class="segments" role="group" aria-label="How it responds">
        <button
          v-for="one in wordsOf('counter_manner')"
          :key="one"
          type="button"
          :aria-pressed="form.manner === one"
          @click="form.manner = one"
        >
          {{ say(`counter_manner.${one}`) }}
        </button>
      </div>
    </template>
    <v-text-field
      v-if="form.asks === 'address'"
      v-model="form.address"
      label="Address of the parts counter"
      inputmode="url"
      maxlength="300"
      :error-messages="refusal?.about('counter')"
    />
    <table>
      <thead>
        <tr>
          <th scope="col">Part</th>
          <th scope="col">Price, {{ currency }}</th>
          <th scope="col">Days to arrive</th>
          <th scope="col">Since</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="line in form.prices" :key="line.part_type_id">
          <th scope="row">{{ line.name }}</th>
          <td>
            <number-field
              v-model="line.price"
              bare
              kind="money"
              :high="100_000"
              :places="2"
              :label="`Price of ${line.name}`"
            />
          </td>
          <td>
            <number-field v-model="line.lead_days" bare kind="days" whole :high="730" :label="`Days of ${line.name}`" />
          </td>
          <td class="quiet">{{ line.kept?.since }}</td>
        </tr>
      </tbody>
    </table>
    <template #save>Save supplier</template>
  </form-dialog>
</template>

<style scoped>
th {
  text-align: left;
  font-weight: 400;
}
input {
  width: 110px;
  min-height: 44px;
  padding: 0 8px;
  border: 1px solid var(--line);
  border-radius: 6px;
  background: var(--paper);
  color: var(--ink);
  font: inherit;
}
</style>
