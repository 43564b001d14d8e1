<script setup lang="ts">
import { v7 as uuid } from 'uuid'
import { ref } from 'vue'
import { api, body } from '@/api/client'
import { keys, queries } from '@/api/queries'
import type { BenchEntry } from '@/api/types'
import RefusalList from '@/components/RefusalList.vue'
import { useOnce } from '@/composables/useOnce'
import { useSend } from '@/composables/useSend'
import { typedNumber } from '@/measure/typed'
import { say } from '@/words'
import type { BenchRun } from './shares'

/** What the stand counted on one row; seed, disc and air are as on the run before, until they are changed. */
const { planterId, row, rowCount, last } = defineProps<{
  planterId: number
  row: number
  rowCount: number
  last?: BenchRun
}>()
const emit = defineEmits<{ next: [] }>()
const { send, refusal, busy } = useSend()
const once = useOnce()
const STAGES: BenchEntry['stage'][] = ['pre', 'final']
const stage = ref<BenchEntry['stage']>(last?.stage ?? 'pre')
const places = ref(`${last?.places ?? 500}`)
const skips = ref('')
const doubles = ref('')
const seed = ref(last?.seed ?? '')
const disc = ref(last?.disc ?? '')
const air = ref(last?.air == null ? '' : `${last.air}`)
const note = ref('')

async function save(): Promise<void> {
  const typed = {
    row,
    stage: stage.value,
    places: typedNumber(places.value) ?? 0,
    skips: typedNumber(skips.value) ?? -1,
    doubles: typedNumber(doubles.value) ?? -1,
    seed: seed.value,
    disc: disc.value,
    air: typedNumber(air.value),
    note: note.value,
  }
  const run = once.of(typed, () => ({ ...typed, id: uuid(), happened_at: new Date().toISOString() }))
  const params = { path: { planter: planterId } }
  if (!(await send(() => body(api.POST('/api/planters/{planter}/bench', { params, body: run }))))) return
  once.taken()
  await queries.invalidateQueries({ queryKey: keys.bench(planterId) })
  if (row < rowCount) emit('next')
  else [skips.value, doubles.value, note.value] = ['', '', '']
}
</script>

<template>
  <form class="sheet asks" novalidate aria-label="A run" @submit.prevent="save">
    <h2>Row {{ row }}: write a run down</h2>
    <p class="caution">{{ say('caution.meter') }} {{ say('caution.first') }}</p>
    <div class="segments" role="group" aria-label="When it was run">
      <button v-for="one in STAGES" :key="one" type="button" :aria-pressed="stage === one" @click="stage = one">
        {{ say(`stage.${one}`) }}
      </button>
    </div>
    <div class="counts">
      <v-text-field v-model="places" label="Seeds due" inputmode="numeric" />
      <v-text-field v-model="skips" label="Skips" inputmode="numeric" />
      <v-text-field v-model="doubles" label="Doubles" inputmode="numeric" />
    </div>
    <v-text-field v-model="seed" label="Seed lot" maxlength="80" />
    <div class="pair">
      <v-text-field v-model="disc" label="Disc or plate" maxlength="80" />
      <v-text-field v-model="air" label="Air, in H₂O" inputmode="decimal" />
    </div>
    <v-text-field v-model="note" label="Note" maxlength="300" />
    <refusal-list :refusal="refusal" />
    <div class="actions">
      <v-btn color="primary" size="large" type="submit" :loading="busy">{{
        row < rowCount ? 'Keep it, next row' : 'Keep it'
      }}</v-btn>
    </div>
  </form>
</template>

<style scoped>
p {
  margin: 0;
  font-size: 0.875rem;
}
.counts {
  display: grid;
  grid-template-columns: repeat(3, minmax(0, 1fr));
  gap: 12px;
}
</style>
