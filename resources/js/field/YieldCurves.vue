<script setup lang="ts">
import { reactive, ref } from 'vue'
import { api, body } from '@/api/client'
import { keys, queries } from '@/api/queries'
import type { Emergence } from '@/api/types'
import NumberField from '@/components/NumberField.vue'
import RefusalList from '@/components/RefusalList.vue'
import { useMoney } from '@/composables/useMoney'
import { useSend } from '@/composables/useSend'
import { useUnits } from '@/composables/useUnits'
import { useSession } from '@/session'

/** What the shop itself says that its crops yield at each stand. */
const { planterId, curves, crops } = defineProps<{
  planterId: number
  curves: Emergence['curves']
  /** Of the fields that were counted. */
  crops: string[]
}>()
const { units } = useUnits()
const session = useSession()
const { currency, money } = useMoney()
const { send, refusal, busy } = useSend('The server does not answer. A yield curve needs a signal.')
const area = () => (units.value === 'mm' ? 'ha' : 'acre')
const saved = ref('')
const form = reactive({ crop: '', unit: '', price: null as number | null, points: '' })

/** `58 bu/acre at 16,000 plants, 68 at 20,000`. */
const sayPoints = ({ points, unit }: Emergence['curves'][number]) =>
  points
    .split('; ')
    .map((point, at) => {
      const [plants, yields] = point.split(' ')
      return at === 0 ? `${yields} ${unit}/${area()} at ${plants} plants` : `${yields} at ${plants}`
    })
    .join(', ')

function choose(crop: string): void {
  const known = curves.find((one) => one.crop === crop.toLowerCase())
  Object.assign(form, {
    crop,
    unit: known?.unit ?? '',
    price: known?.price ?? null,
    points: known?.points ?? '',
  })
}
choose(crops[0] ?? curves[0]?.crop ?? '')

async function save(): Promise<void> {
  saved.value = ''
  const sent = { ...form, price: form.price ?? 0, units: units.value }
  const taken = await send(async () => {
    await body(api.PUT('/api/workshop/yield-curve', { body: sent }))
    await queries.invalidateQueries({ queryKey: keys.emergence(planterId) })
  })
  if (taken) saved.value = sent.points.trim() === '' ? `Curve for ${sent.crop} removed.` : `Saved for ${sent.crop}.`
}
</script>

<template>
  <section class="sheet" aria-label="Your own yield curve">
    <h2>Yield by stand, your own figures</h2>
    <p class="quiet">
      Ustrel uses only these to put a price on a short stand. Between two figures it draws a straight line; outside them
      it says nothing.
    </p>
    <ul v-if="curves.length > 0">
      <li v-for="one in curves" :key="one.crop">
        <strong>{{ one.crop }}</strong>
        <span>{{ sayPoints(one) }}, {{ money(one.price) }} per {{ one.unit }}</span>
        <v-btn v-if="session.may('set')" variant="text" :aria-label="`Change ${one.crop}`" @click="choose(one.crop)"
          >Change</v-btn
        >
      </li>
    </ul>
    <form v-if="session.may('set')" novalidate @submit.prevent="save">
      <v-combobox
        v-model="form.crop"
        label="Crop"
        :items="crops"
        @update:model-value="(crop) => crop && choose(String(crop))"
      />
      <v-text-field v-model="form.unit" label="Unit" placeholder="bu" maxlength="20" />
      <number-field
        v-model="form.price"
        :label="`Price per unit, ${currency}`"
        kind="money"
        :high="100_000"
        :places="2"
      />
      <v-text-field
        v-model="form.points"
        class="points"
        :label="`Plants and yield, each per ${area()}`"
        placeholder="26,000 180; 30,000 192; 34,000 200"
        hint="Leave empty to remove this crop’s curve"
        persistent-hint
        maxlength="400"
      />
      <v-btn type="submit" variant="outlined" size="large" :loading="busy" :disabled="!form.crop">Save the curve</v-btn>
      <p v-if="saved" role="status">{{ saved }}</p>
    </form>
    <refusal-list :refusal="refusal" />
  </section>
</template>

<style scoped>
form {
  display: grid;
  grid-template-columns: repeat(3, minmax(0, 1fr));
  gap: 8px 12px;
}
.points {
  grid-column: 1 / -1;
}
ul {
  margin: 8px 0;
  padding: 0;
  list-style: none;
}
li {
  display: grid;
  grid-template-columns: 120px minmax(0, 1fr) auto;
  align-items: center;
  gap: 10px;
  min-height: var(--touch);
  padding: 4px 0;
  border-top: 1px solid var(--line);
}
@media (max-width: 700px) {
  form {
    grid-template-columns: minmax(0, 1fr);
  }
  li {
    grid-template-columns: minmax(0, 1fr) auto;
  }
  li > span {
    grid-row: 2;
    grid-column: 1 / -1;
    padding-bottom: 8px;
  }
}
</style>
