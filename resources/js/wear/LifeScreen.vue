<script setup lang="ts">
import { computed, ref } from 'vue'
import { api, body } from '@/api/client'
import { refreshRecord, useForecast, useLedger } from '@/api/queries'
import type { CheckKey, PlaceForecast } from '@/api/types'
import PlanterPage from '@/components/PlanterPage.vue'
import WaitingList from '@/components/WaitingList.vue'
import { usePlanterBoard } from '@/composables/usePlanterBoard'
import { useSend } from '@/composables/useSend'
import { say } from '@/words'
import ChangeParts from '@/parts/ChangeParts.vue'
import LifeMap from './LifeMap.vue'
import { willNotLast } from './life'
import OddsList from './OddsList.vue'
import WearDialog from './WearDialog.vue'

/** How long everything that wears will last: the planter by one measure, and what will not make the season. */
const { planterId } = defineProps<{ planterId: number }>()
const { board, checkOf, toRow } = usePlanterBoard(() => planterId)
const forecast = useForecast(() => planterId)
const ledger = useLedger(() => planterId)

const check = ref<CheckKey>('opener_blade_diameter')
const opened = ref<PlaceForecast>()
const changing = ref<PlaceForecast[]>()
const { send, refusal } = useSend()

const places = computed(() => forecast.data.value?.places ?? [])
const watchChance = computed(() => forecast.data.value?.watch_chance ?? 0.2)
const checks = computed(() => board.value?.checks.filter(({ figures }) => 'life' in figures) ?? [])
const shown = computed(() => places.value.filter((place) => place.check === check.value))
const odds = computed(() => willNotLast(places.value))
const plan = computed(() => forecast.data.value?.plan)
/** Those of the chosen measure that will not last, to be changed in one go. */
const toChange = computed(() => odds.value.filter((place) => place.check === check.value && place.slot !== null))

const rowsOf = (of: PlaceForecast[]) => [...new Set(of.map(({ row }) => row))].sort((a, b) => a - b)
const rowsToChange = computed(() => rowsOf(toChange.value))

const setWatchChance = (percent: string) =>
  send(async () => {
    await body(api.PATCH('/api/workshop', { body: { watch_chance: Number(percent) / 100 } }))
    await refreshRecord(planterId)
  })
</script>

<template>
  <planter-page :planter-id="planterId" :of="board" :error="forecast.error.value" @again="forecast.refetch()">
    <div v-if="board && forecast.data.value" class="life">
      <waiting-list :planter-id="planterId" what="ledger" />
      <section class="sheet">
        <div class="head">
          <h1>Life left</h1>
          <v-select
            v-model="check"
            class="measure"
            label="Measure"
            density="compact"
            :items="checks.map(({ key }) => ({ value: key, title: say(`check.${key}`) }))"
          />
          <v-btn v-if="toChange.length > 0 && ledger.data.value" color="primary" @click="changing = toChange">
            Change {{ rowsToChange.length }} {{ rowsToChange.length === 1 ? 'row' : 'rows' }} that will not last
          </v-btn>
        </div>
        <p v-if="plan" class="quiet">
          Season {{ board.season }}: {{ Math.round(plan.done).toLocaleString('en') }} of
          {{ Math.round(plan.acres).toLocaleString('en') }} acres planted{{
            plan.planned ? '' : ', taken from last season; set the acres in the planter’s form'
          }}. Acres left are acres of this planter.
        </p>
        <p v-else>
          Nobody has said how many acres the season brings, so there are no odds.
          <router-link :to="{ name: 'edit-planter', params: { planter: planterId } }">Set the acres</router-link>
          or <router-link :to="{ name: 'acres', params: { planter: planterId } }">log what was planted</router-link>.
        </p>
        <life-map
          :places="shown"
          :check="checkOf({ check })"
          :row-count="board.planter.row_count"
          :sections="board.planter.sections"
          @open="opened = $event"
        />
      </section>
      <section class="sheet">
        <div class="head">
          <h2>What will not make the season</h2>
          <label class="chance">
            Watched over
            <select
              :value="Math.round(100 * watchChance)"
              @change="setWatchChance(($event.target as HTMLSelectElement).value)"
            >
              <option v-for="percent in [5, 10, 15, 20, 25, 30, 40, 50]" :key="percent" :value="percent">
                {{ percent }}%
              </option>
            </select>
          </label>
        </div>
        <p v-if="refusal" class="change" role="alert">{{ refusal.message }}</p>
        <odds-list :places="odds" :check-of="checkOf" @open="opened = $event" />
      </section>
    </div>
    <wear-dialog
      v-if="opened"
      :planter-id="planterId"
      :place="opened"
      :check="checkOf(opened)"
      @row="toRow(opened.row)"
      @change="((changing = [opened]), (opened = undefined))"
      @close="opened = undefined"
    />
    <change-parts
      v-if="changing?.[0]?.slot && ledger.data.value && board"
      :planter-id="planterId"
      :ledger="ledger.data.value"
      :row-count="board.planter.row_count"
      :start="{
        slot: changing[0].slot,
        rows: rowsOf(changing),
        side: changing.length === 1 ? changing[0].side : undefined,
      }"
      @close="changing = undefined"
    />
  </planter-page>
</template>

<style scoped>
.life {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: var(--gap);
  max-width: 1300px;
  margin: 0 auto;
}
.head {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 10px 16px;
  margin-bottom: 8px;
}
.measure {
  max-width: 320px;
}
.chance {
  margin-left: auto;
}
select {
  min-height: var(--touch);
  padding: 0 10px;
  border: 1px solid var(--line);
  border-radius: 8px;
  background: var(--card);
  color: inherit;
}
</style>
