<script setup lang="ts">
import { StorageSerializers, useLocalStorage } from '@vueuse/core'
import { v7 as uuid } from 'uuid'
import { computed, ref, watch } from 'vue'
import { api, body } from '@/api/client'
import { keys, queries } from '@/api/queries'
import type { BenchEntry } from '@/api/types'
import NumberField from '@/components/NumberField.vue'
import RefusalList from '@/components/RefusalList.vue'
import { useOnce } from '@/composables/useOnce'
import { useSend } from '@/composables/useSend'
import { say } from '@/words'
import { heard, useSeed, useStartSettings } from './queries'
import { sayFit } from '@/seed/seed'
import { type BenchRun, sayStart } from './shares'

/** Sets a run of one row up, or takes down what another stand counted; seed, disc and air are as on the run before, until they are changed. */
const { planterId, row, rowCount, last, air } = defineProps<{
  planterId: number
  row: number
  rowCount: number
  last?: BenchRun
  /** That is to be tried next. */
  air?: number
}>()
const emit = defineEmits<{ next: [] }>()
const { send, refusal, busy } = useSend()
const once = useOnce()
const STAGES: BenchEntry['stage'][] = ['pre', 'final']
const WAYS = [
  { way: 'counts', title: 'Counts' },
  { way: 'stand', title: 'Stand' },
  { way: 'practice', title: 'Practice' },
  { way: 'times', title: 'Times' },
  { way: 'look', title: 'Quick look' },
] as const
const FAULTS = ['none', 'cut', 'doubled', 'clock', 'malformed', 'vacuum'] as const
const way = ref<(typeof WAYS)[number]['way']>((localStorage.getItem('ustrel.bench-way') as 'counts' | null) ?? 'counts')
const stage = ref<BenchEntry['stage']>(last?.stage ?? 'pre')
const places = ref<number | null>(last?.places && !last.figures ? last.places : 500)
const skips = ref<number | null>(null)
const doubles = ref<number | null>(null)
const seed = ref(last?.seed ?? '')
const disc = ref(last?.disc ?? '')
const setAir = ref<number | null>(air ?? last?.air ?? null)
const population = ref<number | null>(last?.population ?? null)
const mph = ref<number | null>(last?.mph ?? null)
const singulator = ref(last?.singulator ?? '')
const lubricant = ref(last?.lubricant ?? '')
const runIn = ref<number | null>(last?.run_in ?? null)
const note = ref('')
/** The first part of a run whose vacuum was changed on the way. */
const partOf = ref<string | null>(null)
const cells = useLocalStorage<number | null>('ustrel.bench-cells', null, { serializer: StorageSerializers.object })
const turns = useLocalStorage<number | null>('ustrel.bench-turns', null, { serializer: StorageSerializers.object })
const size = ref<number | null>(5)
const worn = ref(false)
const plugged = ref(false)
const fault = ref<(typeof FAULTS)[number]>('none')
const times = ref('')
const file = ref('')
const params = computed(() => ({ path: { planter: planterId } }))

const seeds = useSeed()
const lots = computed(() => seeds.data.value?.lots ?? [])
const discs = computed(() => seeds.data.value?.discs ?? [])
/** Whether what is written down goes together, where the shop has it in its lists. */
const fit = computed(() =>
  sayFit(
    lots.value.find(({ name }) => name === seed.value.trim()),
    discs.value.find(({ name }) => name === disc.value.trim()),
    discs.value,
  ),
)
/** What the shop's own runs of such seed say, before the first run with it: from then on its own runs advise. */
const isFirst = computed(() => last?.seed !== seed.value.trim() || last.disc !== disc.value.trim())
const settings = useStartSettings(
  () => planterId,
  () => row,
  () => (isFirst.value ? lots.value.find(({ name }) => name === seed.value.trim())?.id : undefined),
  () => discs.value.find(({ name }) => name === disc.value.trim())?.name ?? '',
)
const startWith = computed(() => {
  const start = settings.data.value?.start
  return isFirst.value && start && (start.air !== null || start.singulator !== '') ? start : null
})
const isSet = computed(
  () =>
    (startWith.value?.air ?? setAir.value) === setAir.value &&
    (startWith.value?.singulator || singulator.value) === singulator.value,
)
function useStart(): void {
  setAir.value = startWith.value?.air ?? setAir.value
  singulator.value = startWith.value?.singulator || singulator.value
}
// The disc brings its cells.
watch(disc, (name) => {
  const known = discs.value.find((one) => one.name === name.trim())
  if (known) cells.value = known.cells
})

function choose(chosen: (typeof WAYS)[number]['way']): void {
  way.value = chosen
  localStorage.setItem('ustrel.bench-way', chosen)
}

async function read(event: Event): Promise<void> {
  const chosen = (event.target as HTMLInputElement).files?.[0]
  file.value = chosen?.name ?? ''
  times.value = (await chosen?.text()) ?? ''
}

const shared = () => ({
  row,
  stage: stage.value,
  places: places.value ?? 0,
  seed: seed.value,
  disc: disc.value,
  air: setAir.value,
  population: population.value,
  mph: mph.value,
  singulator: singulator.value,
  lubricant: lubricant.value,
  run_in: runIn.value,
  note: note.value,
})

async function keepCounts(goesOn = false): Promise<void> {
  const look = way.value === 'look'
  const typed = {
    ...shared(),
    ...(look ? { look, places: cells.value ?? 0 } : {}),
    skips: skips.value ?? -1,
    doubles: doubles.value ?? -1,
    cells: cells.value,
    part_of: look ? null : partOf.value,
  }
  const run = once.of(typed, () => ({ ...typed, id: uuid(), happened_at: new Date().toISOString() }))
  if (!(await send(() => body(api.POST('/api/planters/{planter}/bench', { params: params.value, body: run }))))) return
  once.taken()
  await queries.invalidateQueries({ queryKey: keys.bench(planterId) })
  if (goesOn) [partOf.value, setAir.value, runIn.value] = [partOf.value ?? run.id, null, null]
  else partOf.value = null
  if (!goesOn && row < rowCount) emit('next')
  else [skips.value, doubles.value, note.value] = [null, null, '']
}

async function start(): Promise<void> {
  const practice = way.value === 'practice'
  const typed = {
    ...shared(),
    cells: cells.value ?? 0,
    turns: turns.value,
    practice,
    ...(practice ? { size: size.value ?? 0, worn: worn.value, plugged: plugged.value, fault: fault.value } : {}),
    ...(way.value === 'times' ? { times: times.value } : {}),
  }
  const run = once.of(typed, () => ({ ...typed, id: uuid() }))
  const sent = await send(async () =>
    heard(planterId, await body(api.POST('/api/planters/{planter}/bench/runs', { params: params.value, body: run }))),
  )
  if (sent) once.taken()
}
</script>

<template>
  <form
    class="sheet asks"
    novalidate
    aria-label="A run"
    @submit.prevent="way === 'counts' || way === 'look' ? keepCounts() : start()"
  >
    <h2>Row {{ row }}: run the meter</h2>
    <p class="caution">{{ say('caution.meter') }} {{ say('caution.first') }}</p>
    <div class="segments ways" role="group" aria-label="How you count">
      <button v-for="one in WAYS" :key="one.way" type="button" :aria-pressed="way === one.way" @click="choose(one.way)">
        {{ one.title }}
      </button>
    </div>
    <div class="segments" role="group" aria-label="Stage">
      <button v-for="one in STAGES" :key="one" type="button" :aria-pressed="stage === one" @click="stage = one">
        {{ say(`stage.${one}`) }}
      </button>
    </div>
    <div class="counts">
      <number-field v-if="way !== 'look'" v-model="places" label="Seeds due" required whole :low="100" :high="5000" />
      <number-field v-else v-model="cells" label="Cells seen" required whole :low="4" :high="400" />
      <template v-if="way === 'counts' || way === 'look'">
        <number-field v-model="skips" label="Skips" required whole :high="5000" />
        <number-field v-model="doubles" label="Doubles" required whole :high="5000" />
      </template>
      <template v-else>
        <number-field v-model="cells" label="Cells" required whole :low="1" :high="400" />
        <number-field v-model="turns" label="Turns/min" kind="rpm" :low="1" :high="300" />
      </template>
    </div>
    <p v-if="partOf" role="status" class="due">
      Second part of this run: enter the new vacuum and count from the change on.
    </p>
    <p v-if="way === 'look'" class="quiet">
      Turn the disc once by hand and look: one seed in each cell. A quick look is saved, but does not count as a run.
    </p>
    <v-text-field v-model="seed" label="Seed lot" maxlength="80" list="seed-lots" />
    <datalist id="seed-lots"><option v-for="one in lots" :key="one.id" :value="one.name" /></datalist>
    <datalist id="discs"><option v-for="one in discs" :key="one.id" :value="one.name" /></datalist>
    <div class="pair">
      <v-text-field v-model="disc" label="Disc or plate" maxlength="80" list="discs" />
      <number-field v-model="setAir" label="Air, in H₂O" kind="water" :low="0.5" :high="60" :places="1" />
    </div>
    <p v-if="fit" role="status">{{ fit }}</p>
    <p v-if="startWith" role="status">{{ sayStart(startWith) }}</p>
    <v-btn v-if="startWith && !isSet" variant="outlined" size="large" @click="useStart">Use these settings</v-btn>
    <details v-if="way !== 'look'">
      <summary>Speed, singulator, lubricant, run-in</summary>
      <div class="pair">
        <number-field v-model="population" label="Population" kind="seeds" whole :low="500" :high="2_000_000" />
        <number-field v-model="mph" label="Speed" kind="speed" :low="0.5" :high="20" :places="1" />
        <number-field v-if="way === 'counts'" v-model="cells" label="Cells" whole :low="1" :high="400" />
        <number-field v-model="runIn" label="Seeds run in" whole :high="5000" />
        <v-text-field v-model="singulator" label="Singulator" placeholder="step 2" maxlength="80" />
        <v-text-field v-model="lubricant" label="Lubricant, dose" placeholder="1 cup of talc a bag" maxlength="80" />
      </div>
      <p class="quiet">
        Seeds run in are the ones before you start counting. Only runs with the same seed, disc, singulator and
        lubricant, within 0.5 mph, count for the vacuum.
        {{ way === 'counts' ? '' : 'With population and cells, type turns or speed: each gives the other.' }}
      </p>
    </details>
    <template v-if="way === 'practice'">
      <div class="pair">
        <number-field v-model="size" label="Size of its seed, mm" kind="mm" required :low="0.5" :high="40" />
        <v-select
          v-model="fault"
          label="Fault of the stand"
          :items="FAULTS.map((value) => ({ value, title: say(`fault.${value}`) }))"
        />
      </div>
      <v-checkbox v-model="worn" label="Its seal is worn" hide-details />
      <v-checkbox v-model="plugged" label="One cell is plugged" hide-details />
      <p class="quiet">
        A made-up meter for practice. Its counts are saved and marked as practice until you undo them.
      </p>
    </template>
    <label v-if="way === 'times'" class="file">
      <span>{{ file || 'Choose a file: one time in milliseconds per line' }}</span>
      <input type="file" accept=".csv,.txt,.ndjson,.json,text/csv,text/plain" @change="read" />
    </label>
    <v-text-field v-model="note" label="Note" maxlength="300" />
    <refusal-list :refusal="refusal" />
    <div class="actions">
      <v-btn
        v-if="way === 'counts'"
        variant="outlined"
        size="large"
        :disabled="setAir === null"
        :loading="busy"
        @click="keepCounts(true)"
        >Save, vacuum changed</v-btn
      >
      <v-btn color="primary" size="large" type="submit" :loading="busy">{{
        way === 'times'
          ? 'Read the seed times'
          : way !== 'counts' && way !== 'look'
            ? 'Start the run'
            : row < rowCount
              ? 'Save, next row'
              : 'Save'
      }}</v-btn>
    </div>
  </form>
</template>

<style scoped>
form {
  max-height: none;
}
p {
  margin: 0;
  font-size: 0.875rem;
}
.counts {
  display: grid;
  grid-template-columns: repeat(3, minmax(0, 1fr));
  gap: 12px;
}
.ways {
  flex-wrap: wrap;
}
.due {
  color: var(--ochre);
}
summary {
  display: flex;
  align-items: center;
  min-height: var(--touch);
  font-weight: 700;
  cursor: pointer;
}
.file {
  display: grid;
  gap: 6px;
  padding: 12px;
  border: 1px dashed var(--line);
  border-radius: 6px;
}
</style>
