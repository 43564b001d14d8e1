<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { v7 as uuid } from 'uuid'
import { reactive, ref } from 'vue'
import { api, body } from '@/api/client'
import { queries } from '@/api/queries'
import type { LubricationPoint } from '@/api/types'
import NumberField from '@/components/NumberField.vue'
import RefusalList from '@/components/RefusalList.vue'
import { useSend } from '@/composables/useSend'
import { useUnits } from '@/composables/useUnits'
import { useSession } from '@/session'
import { say, wordsOf } from '@/words'

/** What the shop lubricates, how long it takes and how often: work lists go by it. */
const told = useQuery({ queryKey: ['lubrication'], queryFn: () => body(api.GET('/api/lubrication')) })
const session = useSession()
const { areaUnit, exactArea } = useUnits()
const { send, refusal, busy } = useSend('The server does not answer. This needs a signal.')
const saved = ref('')
const empty = () => ({
  point: uuid(),
  name: '',
  own: true,
  per: 'row' as LubricationPoint['per'],
  minutes: null as number | null,
  product: 'grease' as LubricationPoint['product'],
  rounds: 'both' as LubricationPoint['rounds'],
  acres: null as number | null,
  hours: null as number | null,
  off: false,
  revision: 0,
})
const form = reactive(empty())
const changing = ref(false)
// words: lube_with, lube_per, lube_rounds
const choices = (words: string) => wordsOf(words).map((value) => ({ value, title: say(`${words}.${value}`) }))

function sayPoint(of: LubricationPoint): string {
  if (of.off) return 'not lubricated'
  return [
    say(`lube_with.${of.product}`),
    say(`lube_rounds.${of.rounds}`),
    of.acres !== null && `again after ${exactArea(of.acres)} per row`,
    of.hours !== null && `again after ${of.hours} h of planting`,
    `${of.minutes} min, ${say(`lube_per.${of.per}`)}`,
  ]
    .filter(Boolean)
    .join(', ')
}
function change(of?: LubricationPoint): void {
  changing.value = of !== undefined
  saved.value = ''
  Object.assign(form, of ?? empty())
}
async function save(): Promise<void> {
  const { point, name, own, minutes, ...rest } = form
  const edit = { ...rest, minutes: minutes ?? 0, ...(own ? { name } : {}) }
  const taken = await send(async () => {
    await body(api.PUT('/api/lubrication/{point}', { params: { path: { point } }, body: edit }))
    await queries.invalidateQueries()
  })
  if (!taken) return
  change()
  saved.value = `Saved: ${name}.`
}
</script>

<template>
  <section class="sheet" aria-label="Lubrication">
    <h2>Lubrication</h2>
    <p class="quiet">
      Typical points. The operator’s manual comes first where it asks for more. Points that are due show on each
      planter’s Work.
    </p>
    <ul>
      <li v-for="of in told.data.value?.points" :key="of.point">
        <strong>{{ of.name }}</strong>
        <span>{{ sayPoint(of) }}</span>
        <v-btn v-if="session.may('set')" variant="text" :aria-label="`Change ${of.name}`" @click="change(of)"
          >Change</v-btn
        >
      </li>
    </ul>
    <form v-if="session.may('set')" novalidate aria-label="Lubrication point" @submit.prevent="save">
      <h3>{{ changing ? `Change: ${form.name}` : 'Add a point' }}</h3>
      <v-text-field
        v-if="form.own"
        v-model="form.name"
        label="Point"
        placeholder="fold pins"
        maxlength="80"
        :error-messages="refusal?.about('name')"
      />
      <v-select v-model="form.product" label="With" :items="choices('lube_with')" />
      <v-select v-model="form.per" label="Where" :items="choices('lube_per')" />
      <number-field
        v-model="form.minutes"
        label="Minutes each"
        kind="minutes"
        required
        :low="0.1"
        :high="60"
        :places="1"
      />
      <v-select v-model="form.rounds" label="When" :items="choices('lube_rounds')" />
      <number-field
        v-model="form.acres"
        :label="`Again after, ${areaUnit()} per row`"
        kind="area"
        :low="1"
        :high="10_000"
        :places="1"
      />
      <number-field
        v-model="form.hours"
        label="Again after hours of planting"
        kind="hours"
        whole
        :low="1"
        :high="10_000"
      />
      <v-checkbox v-if="changing" v-model="form.off" label="Not lubricated here" hide-details />
      <div class="actions">
        <v-btn v-if="changing" variant="text" @click="change()">Cancel</v-btn>
        <v-btn type="submit" variant="outlined" size="large" :loading="busy">{{ changing ? 'Save' : 'Add' }}</v-btn>
      </div>
      <p v-if="saved" role="status">{{ saved }}</p>
      <refusal-list :refusal="refusal" />
    </form>
  </section>
</template>

<style scoped>
form {
  display: grid;
  grid-template-columns: repeat(4, minmax(0, 1fr));
  gap: 8px 12px;
  max-height: none;
  margin-top: 10px;
}
h3,
.actions,
form > p {
  grid-column: 1 / -1;
}
h3 {
  margin: 0;
  font-size: 1rem;
}
ul {
  margin: 8px 0;
  padding: 0;
  list-style: none;
}
li strong::first-letter {
  text-transform: uppercase;
}
li strong {
  display: block;
}
li {
  display: grid;
  grid-template-columns: 220px minmax(0, 1fr) auto;
  align-items: center;
  gap: 10px;
  min-height: var(--touch);
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
