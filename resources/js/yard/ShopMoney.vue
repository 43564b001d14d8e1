<script setup lang="ts">
import { reactive, ref } from 'vue'
import { api, body } from '@/api/client'
import { keys, queries } from '@/api/queries'
import type { Shop } from '@/api/types'
import NumberField from '@/components/NumberField.vue'
import RefusalList from '@/components/RefusalList.vue'
import { useSend } from '@/composables/useSend'
import { useSession } from '@/session'

/** What the shop charges and who works when: by it stops, policies and the countdown are reckoned. */
const { shop } = defineProps<{ shop: Shop }>()
const session = useSession()
const { send, refusal, busy } = useSend()
const saved = ref(false)
const days = ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun']
const names = new Intl.DisplayNames('en', { type: 'currency' })
const currencies = Intl.supportedValuesOf('currency').map((value) => ({
  value,
  title: `${value}, ${names.of(value) ?? value}`,
}))
let seen = shop.versions
const form = reactive({
  currency: shop.currency,
  number_style: shop.number_style,
  paper: shop.paper,
  shop_rate: shop.shop_rate,
  stop_cost: shop.stop_cost,
  stop_hours: shop.stop_hours,
  depth_cost: shop.depth_cost,
  service_stops: shop.service_stops,
  crew: shop.crew.map(({ name, hours }) => ({ name, hours: [...hours] as (number | null)[] })),
})

async function save(): Promise<void> {
  saved.value = false
  saved.value = await send(async () => {
    const sent = {
      ...form,
      seen,
      crew: form.crew
        .filter(({ name }) => name.trim() !== '')
        .map(({ name, hours }) => ({ name, hours: hours.map((of) => of ?? 0) })),
    }
    const kept = await body(api.PATCH('/api/workshop', { body: sent }))
    seen = kept.versions
    queries.setQueryData(keys.shop, kept)
    if (session.me) session.me = { ...session.me, currency: form.currency, number_style: form.number_style }
    await queries.invalidateQueries()
  })
}
</script>

<template>
  <form class="form sheet" novalidate @submit.prevent="save">
    <h2>Money and people</h2>
    <div class="pair">
      <v-autocomplete
        v-model="form.currency"
        label="Currency"
        :items="currencies"
        :error-messages="refusal?.about('currency')"
      />
      <v-select
        v-model="form.number_style"
        label="Number format"
        :items="[
          { value: 'point', title: '1,234.5' },
          { value: 'comma', title: '1.234,5' },
          { value: null, title: 'either; ask if unclear' },
        ]"
        :error-messages="refusal?.about('number_style')"
      />
      <v-select
        v-model="form.paper"
        label="Paper"
        :items="[
          { value: 'letter', title: 'Letter' },
          { value: 'a4', title: 'A4' },
        ]"
        :error-messages="refusal?.about('paper')"
      />
      <number-field
        v-model="form.shop_rate"
        :label="`Labor per hour, ${form.currency}`"
        kind="money"
        :high="100_000"
        :places="2"
        :error-messages="refusal?.about('shop_rate')"
      />
      <number-field
        v-model="form.stop_cost"
        kind="money"
        :high="100_000"
        :places="2"
        :label="`Stop in season, ${form.currency}`"
        hint="Trip and call-out"
        persistent-hint
        :error-messages="refusal?.about('stop_cost')"
      />
      <number-field
        v-model="form.stop_hours"
        kind="hours"
        :high="100"
        :places="2"
        label="Hours lost per stop"
        hint="On top of the work itself"
        persistent-hint
        :error-messages="refusal?.about('stop_hours')"
      />
      <number-field
        v-model="form.depth_cost"
        kind="money"
        :high="100_000"
        :places="2"
        :label="`Per acre ${session.me?.units === 'mm' ? '6 mm' : '1/4 in'} too shallow, ${form.currency}`"
        hint="Used by the rain list for lost depth"
        persistent-hint
        :error-messages="refusal?.about('depth_cost')"
      />
      <v-select
        v-model="form.service_stops"
        label="When a part wears out in season"
        :items="[
          { value: 0, title: 'stops the planter at once' },
          ...[1, 2, 3, 4, 5, 6].map((value) => ({ value, title: `waits for one of ${value} service stops` })),
        ]"
        :error-messages="refusal?.about('service_stops')"
      />
    </div>
    <h3>Who works when</h3>
    <div class="scroll">
      <table v-if="form.crew.length > 0">
        <thead>
          <tr>
            <th scope="col">Name</th>
            <th v-for="day in days" :key="day" scope="col">{{ day }}, h</th>
            <td />
          </tr>
        </thead>
        <tbody>
          <tr v-for="(one, at) in form.crew" :key="at">
            <td><input v-model="one.name" class="name" :aria-label="`Name of person ${at + 1}`" maxlength="80" /></td>
            <td v-for="(day, index) in days" :key="day">
              <number-field
                v-model="one.hours[index]"
                bare
                kind="hours"
                :high="24"
                :places="2"
                :label="`${one.name || `Person ${at + 1}`}, hours on ${day}`"
                :error-messages="refusal?.about(`crew.${at}.hours.${index}`)"
              />
            </td>
            <td>
              <button type="button" class="out" :aria-label="`Remove ${one.name}`" @click="form.crew.splice(at, 1)">
                ×
              </button>
            </td>
          </tr>
        </tbody>
      </table>
    </div>
    <div class="buttons">
      <v-btn
        v-if="session.may('set')"
        variant="outlined"
        @click="form.crew.push({ name: '', hours: [8, 8, 8, 8, 8, 0, 0] })"
        >Add person</v-btn
      >
      <v-btn v-if="session.may('set')" type="submit" color="primary" :loading="busy">Save</v-btn>
      <span v-if="saved" role="status">Saved.</span>
    </div>
    <refusal-list :refusal="refusal" />
  </form>
</template>

<style scoped>
.form {
  display: grid;
  gap: 10px;
}
.pair {
  display: grid;
  align-items: start;
  grid-template-columns: repeat(auto-fit, minmax(210px, 1fr));
  gap: 10px;
}
.scroll {
  overflow-x: auto;
}
th {
  text-align: left;
  font-weight: 400;
  color: var(--ink-2);
}
td {
  padding: 2px 6px 2px 0;
}
input {
  width: 64px;
  min-height: 38px;
  padding: 0 8px;
  border: 1px solid var(--line);
  border-radius: 6px;
  background: var(--paper);
  color: var(--ink);
  font: inherit;
}
.name {
  width: 180px;
}
input[aria-invalid='true'] {
  border: 2px solid var(--change);
}
.out {
  min-width: 44px;
  min-height: 38px;
  font-size: 1.25rem;
  color: var(--ink-2);
}
.buttons {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 12px;
}
</style>
