<script setup lang="ts">
import { reactive, ref } from 'vue'
import { api, body } from '@/api/client'
import { keys, queries } from '@/api/queries'
import type { Shop } from '@/api/types'
import NumberField from '@/components/NumberField.vue'
import { useSend } from '@/composables/useSend'
import { type Ground, GROUNDS } from '@/wear/ground'
import { say } from '@/words'
import { useSession } from '@/session'

const session = useSession()
/** What the shop goes by where forecasts are made: how the ground wears parts, and how far its readings may be off. */
const { shop } = defineProps<{ shop: Shop }>()
let seen = shop.versions
type Typed = Record<string, number | null>
const factors = reactive(
  Object.fromEntries(
    GROUNDS.map((kind) => {
      const cases = shop.ground.filter((one) => one.kind === kind)
      return [kind, Object.fromEntries(cases.map((one) => [one.case, one.own])) as Typed]
    }),
  ) as Record<Ground, Typed>,
)
const errors = reactive(Object.fromEntries(shop.measuring.map((one) => [one.check, one.own])))
const { send, refusal, busy } = useSend()
const saved = ref(false)

/** Only what was filled in; the rest goes by the typical figure, or by what was learned. */
const filled = (fields: Typed) =>
  Object.fromEntries(Object.entries(fields).flatMap(([key, value]) => (value === null ? [] : [[key, value]])))

async function save(): Promise<void> {
  saved.value = false
  saved.value = await send(async () => {
    const ground_factors = Object.fromEntries(GROUNDS.map((kind) => [kind, filled(factors[kind])]))
    const sent = { ground_factors, measuring_sd: filled(errors), seen }
    const kept = await body(api.PATCH('/api/workshop', { body: sent }))
    seen = kept.versions
    queries.setQueryData(keys.shop, kept)
    await queries.invalidateQueries()
  })
}
</script>

<template>
  <form class="form" novalidate @submit.prevent="save">
    <section class="sheet">
      <h2>How fast the ground wears parts</h2>
      <p class="quiet">
        1 is average ground. A field’s factors are multiplied and stay between 0.5 and 2. Leave a figure empty to use
        the typical one. Logged fields are updated too.
      </p>
      <div class="kinds">
        <fieldset v-for="kind in GROUNDS" :key="kind">
          <legend>{{ say(`ground.${kind}`) }}</legend>
          <label v-for="one in shop.ground.filter((of) => of.kind === kind)" :key="one.case">
            <span>{{ say(`${kind}.${one.case}`) }}</span>
            <number-field
              v-model="factors[kind][one.case]"
              bare
              :label="say(`${kind}.${one.case}`)"
              :low="0.5"
              :high="2"
              :places="2"
              :placeholder="String(one.typical)"
              :error-messages="refusal?.about(`ground_factors.${kind}.${one.case}`)"
            />
          </label>
        </fieldset>
      </div>
    </section>
    <section class="sheet">
      <h2>Measuring error</h2>
      <p class="quiet">
        Two thirds of your readings are within this of the true value. Ustrel learns it from your readings each time a
        walk is finished. Enter a figure to set it yourself.
      </p>
      <table>
        <thead>
          <tr>
            <th scope="col">Measured</th>
            <th scope="col">Learned</th>
            <th scope="col">Your own, mm</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="one in shop.measuring" :key="one.check">
            <th scope="row">{{ say(`check.${one.check}`) }}</th>
            <td>
              <strong v-if="one.learned !== null">{{ one.learned }} mm</strong>
              <span v-else class="quiet">not yet, uses {{ one.typical }} mm</span>
            </td>
            <td>
              <number-field
                v-model="errors[one.check]"
                bare
                kind="mm"
                :label="`${say(`check.${one.check}`)}, your own, in mm`"
                :low="0.3"
                :high="10"
                :places="2"
                :error-messages="refusal?.about(`measuring_sd.${one.check}`)"
              />
            </td>
          </tr>
        </tbody>
      </table>
    </section>
    <div class="buttons">
      <v-btn v-if="session.may('set')" type="submit" color="primary" size="large" :loading="busy">Save figures</v-btn>
      <span v-if="saved" role="status">Saved. All forecasts now use these figures.</span>
      <span v-else-if="refusal" class="change" role="alert">{{ refusal.message }}</span>
    </div>
  </form>
</template>

<style scoped>
.form {
  display: grid;
  gap: var(--gap);
}
section {
  display: grid;
  gap: 10px;
}
.kinds {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(210px, 1fr));
  gap: 10px 28px;
}
fieldset {
  border: 0;
  margin: 0;
  padding: 0;
}
legend {
  padding: 0;
  font-weight: 700;
}
label {
  display: grid;
  grid-template-columns: 1fr 96px;
  align-items: center;
  gap: 4px 10px;
  padding: 3px 0;
}
label .change {
  grid-column: 1 / -1;
}
input {
  width: 96px;
  min-height: 44px;
  padding: 0 10px;
  font-size: 1rem;
  border: 1px solid var(--line);
  border-radius: 6px;
  background: var(--paper);
  color: var(--ink);
}
input::placeholder {
  color: var(--ink-2);
  opacity: 1;
}
input[aria-invalid='true'] {
  border: 2px solid var(--change);
}
table {
  width: 100%;
  border-collapse: collapse;
}
th,
td {
  padding: 5px 12px 5px 0;
  text-align: left;
  border-top: 1px solid var(--line);
}
thead th {
  border-top: 0;
  color: var(--ink-2);
  font-weight: 400;
}
.buttons {
  position: sticky;
  bottom: 0;
  padding: 8px 0;
  background: var(--paper);
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 12px;
}
@media (pointer: coarse) {
  input {
    min-height: var(--touch);
  }
}
</style>
