<script setup lang="ts">
import { v7 as uuid } from 'uuid'
import { computed, ref } from 'vue'
import { useAcres } from '@/wear/queries'
import { useFace } from '@/api/queries'
import { useSeed } from '@/bench/queries'
import type { AcresEntry, AcresLine } from '@/api/types'
import PlanterPage from '@/components/PlanterPage.vue'
import WaitingList from '@/components/WaitingList.vue'
import { useDays } from '@/composables/useDays'
import { useSend } from '@/composables/useSend'
import { useUnits } from '@/composables/useUnits'
import { useOutbox } from '@/offline/outbox'
import { weekDate } from '@/dates'
import ScreenFaces from '@/components/ScreenFaces.vue'
import AcresForm from './AcresForm.vue'
import { groundOf } from './ground'
import { sameAgain } from './log'
import { useSession } from '@/session'

const session = useSession()
/** What the planter has planted: one line from the phone, or a field with all there is to say. */
const { planterId } = defineProps<{ planterId: number }>()
const { data: face } = useFace(() => planterId)
const { areaFigure, areaUnit, distance, exactArea, units } = useUnits()
const example = computed(() =>
  units.value === 'in'
    ? '62.5 ac, Long Field, popcorn, 5 mph, lot P7, 34000 seeds'
    : '25 ha, Long Field, popcorn, 8 km/h, lot P7, 84000 seeds/ha',
)
const acres = useAcres(() => planterId)
const seeds = useSeed(() => session.may('record'))
const lots = computed(() => seeds.data.value?.lots ?? [])

const line = ref('')
const { today } = useDays()
const day = ref(today())
const outbox = useOutbox()
const { send, refusal, busy } = useSend()
const saved = ref('')
const editing = ref<AcresLine | 'new'>()

const plan = computed(() => acres.data.value?.plan)
const furthest = computed(() => Math.max(0, ...(acres.data.value?.rows ?? [])))
const shortRows = computed(() =>
  (acres.data.value?.rows ?? []).flatMap((metres, index) => (metres < furthest.value - 1 ? [index + 1] : [])),
)

const problem = computed(() => Object.values(refusal.value?.errors ?? {})[0]?.[0] ?? refusal.value?.message ?? '')

/** Logs a line, now or when there is a signal. */
async function log(entry: AcresEntry, said: string): Promise<boolean> {
  saved.value = ''
  const taken = await send(() => outbox.deliver({ what: 'acres', id: entry.id, planter: planterId, body: entry }))
  if (taken) saved.value = said
  return taken
}

async function logLine(): Promise<void> {
  if (await log({ id: uuid(), day: day.value, line: line.value }, `Logged: ${line.value}`)) line.value = ''
}

async function save(entry: AcresEntry): Promise<void> {
  if (await log(entry, `Logged: ${exactArea(entry.acres ?? 0)}, ${entry.field}`)) editing.value = undefined
}

/** What was made do with is over: the same line again, with that. */
async function over(of: AcresLine): Promise<void> {
  await log({ ...sameAgain(of), id: uuid(), around_over: true }, `Ended: ${of.around}`)
}

async function takeBack(of: AcresLine): Promise<void> {
  const { day, field, acres } = of
  const entry = { id: uuid(), day, field, acres, supersedes: of.id, withdrawn: true }
  if (await log(entry, `Undone: ${exactArea(acres)}, ${field}`)) editing.value = undefined
}
</script>

<template>
  <planter-page :planter-id="planterId" :of="face" :error="acres.error.value" @again="acres.refetch()">
    <screen-faces v-if="session.may('record')" of="Field" :planter-id="planterId" />
    <div v-if="acres.data.value && face" class="acres">
      <waiting-list :planter-id="planterId" what="acres" />
      <section class="sheet">
        <h1>Planting log</h1>
        <form v-if="session.may('record')" class="quick" novalidate @submit.prevent="logLine">
          <v-text-field
            v-model="line"
            label="What you planted"
            :placeholder="example"
            hint="Area with unit, field, then anything else: crop, speed, ground, lot P7, 34000 seeds, 8 gal/ac starter, section control off until the part comes"
            persistent-hint
            :error-messages="editing ? [] : problem"
            enterkeyhint="done"
          />
          <v-text-field v-model="day" class="day" type="date" label="On" :max="today()" />
          <v-btn color="primary" type="submit" :loading="busy" :disabled="line.trim() === ''">Log</v-btn>
        </form>
        <p v-if="saved" role="status">{{ saved }}</p>
        <div v-if="session.may('record')" class="more">
          <v-btn variant="outlined" @click="editing = 'new'">Add field details</v-btn>
          <v-btn v-if="session.may('set')" variant="outlined" :to="{ name: 'import', params: { planter: planterId } }"
            >Import fields</v-btn
          >
          <v-btn variant="outlined" :href="`/api/planters/${planterId}/acres/log.csv`">Export CSV</v-btn>
        </div>
      </section>
      <section class="sheet figures">
        <div v-if="plan">
          <strong>{{ areaFigure(plan.done) }}</strong> of {{ areaFigure(plan.acres) }} {{ areaUnit() }}
          <span class="quiet">season {{ face.season }}</span>
        </div>
        <div v-for="season in acres.data.value.seasons" :key="season.season">
          <strong>{{ areaFigure(season.acres) }}</strong> {{ areaUnit() }}
          <span class="quiet">{{ season.season }}, {{ season.lines }} {{ season.lines === 1 ? 'line' : 'lines' }}</span>
        </div>
        <div>
          <strong>{{ distance(furthest) }}</strong> of furrow <span class="quiet">per row in total</span>
          <span v-if="shortRows.length > 0" class="quiet"
            >; rows {{ shortRows.join(', ') }} less: shut off at times</span
          >
        </div>
      </section>
      <section v-if="acres.data.value.arounds.length > 0" class="sheet" aria-label="Workaround">
        <h2>Workaround</h2>
        <ul>
          <li v-for="entry in acres.data.value.arounds" :key="entry.id" class="around">
            <span
              ><strong>{{ entry.around }}</strong
              ><template v-if="entry.until"> until {{ entry.until }}</template>
              <span class="quiet"> · {{ entry.field }}, {{ weekDate(entry.day) }}</span></span
            >
            <v-btn
              v-if="session.may('record')"
              variant="text"
              :aria-label="`Ended: ${entry.around}`"
              :disabled="busy"
              @click="over(entry)"
              >Workaround ended</v-btn
            >
          </li>
        </ul>
      </section>
      <section v-if="acres.data.value.fields.length > 0" class="sheet" aria-label="By field">
        <h2>By field, season {{ face.season }}</h2>
        <ul>
          <li v-for="field in acres.data.value.fields" :key="field.name" class="field">
            <strong>{{ field.name }}</strong>
            <span
              >{{ exactArea(field.done)
              }}<template v-if="field.planned !== null"> of {{ exactArea(field.planned) }}</template
              ><span v-if="field.is_done" class="quiet"> · done</span
              ><span v-else-if="field.planned === null" class="quiet"> · not planned</span></span
            >
            <span class="quiet">{{ field.lots.join(', ') || field.seed }}</span>
            <span class="quiet"
              ><template v-if="field.planted">{{ field.planted.toLocaleString('en') }} seeds/ac</template
              ><template v-if="field.population"
                ><template v-if="field.planted">, planned {{ field.population.toLocaleString('en') }}</template
                ><template v-else>planned {{ field.population.toLocaleString('en') }} seeds/ac</template></template
              ></span
            >
          </li>
        </ul>
      </section>
      <section class="sheet">
        <h2>History</h2>
        <p v-if="acres.data.value.lines.length === 0" class="quiet">
          Nothing yet. Acres become furrow miles for every row and forecast its parts.
        </p>
        <ul>
          <li v-for="entry in acres.data.value.lines" :key="entry.id">
            <button type="button" class="line" :disabled="!session.may('record')" @click="editing = entry">
              <span class="when quiet">{{ weekDate(entry.day) }}</span>
              <strong class="size">{{ exactArea(entry.acres) }}</strong>
              <span
                >{{ entry.field }}<span v-if="entry.crop" class="quiet">, {{ entry.crop }}</span></span
              >
              <span class="quiet ground"
                >{{
                  [
                    groundOf(entry),
                    entry.lot,
                    entry.population && `seeds/ac ${entry.population}`,
                    ...entry.products,
                    entry.note,
                  ]
                    .filter((part) => part)
                    .join(' · ')
                }}<span v-if="entry.off_map !== null" class="due">
                  · the counter shows {{ Math.abs(Math.round(100 * entry.off_map)) }}%
                  {{ entry.off_map > 0 ? 'more' : 'less' }} than the map</span
                ><template v-if="entry.set"><br />Set to: {{ entry.set }}</template></span
              >
            </button>
          </li>
        </ul>
      </section>
    </div>
    <acres-form
      v-if="editing && acres.data.value && face"
      :line="editing === 'new' ? undefined : editing"
      :severities="acres.data.value.severities"
      :row-count="face.planter.row_count"
      :sections="face.planter.sections"
      :parked="face.planter.parked_rows"
      :lots="lots"
      :problem="problem"
      :busy="busy"
      @save="save"
      @take-back="editing && editing !== 'new' && takeBack(editing)"
      @close="((editing = undefined), (refusal = null))"
    />
  </planter-page>
</template>

<style scoped>
.acres {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: var(--gap);
  max-width: 1000px;
  margin: 0 auto;
}
.quick {
  display: grid;
  grid-template-columns: 1fr 180px auto;
  gap: 12px;
  align-items: start;
  margin: 10px 0;
}
.quick + p {
  margin-bottom: 8px;
}
.more,
.figures {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 28px;
}
ul {
  list-style: none;
  padding: 0;
}
li .line {
  display: grid;
  grid-template-columns: 110px 90px minmax(0, 1fr) minmax(0, 2fr);
  align-items: center;
  gap: 8px;
  width: 100%;
  min-height: var(--touch);
  text-align: left;
  border-top: 1px solid var(--line);
}
.around,
.field {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  align-items: center;
  gap: 4px 16px;
  min-height: var(--touch);
  border-top: 1px solid var(--line);
}
.field {
  grid-template-columns: 1fr 1.2fr 1fr 1.6fr;
}
.due {
  color: var(--ochre);
}
.size {
  text-align: right;
  padding-right: 10px;
}
@media (max-width: 700px) {
  .quick {
    grid-template-columns: 1fr;
  }
  li .line {
    grid-template-columns: 100px 80px 1fr;
  }
  .field {
    grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  }
  .ground {
    grid-column: 1 / -1;
    padding-bottom: 6px;
  }
}
</style>
