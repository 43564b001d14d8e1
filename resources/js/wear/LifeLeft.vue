<script setup lang="ts">
import { computed, ref } from 'vue'
import { api, body } from '@/api/client'
import { refreshRecord } from '@/api/queries'
import { useForecast } from '@/wear/queries'
import { useLedger } from '@/parts/queries'
import type { Board, CheckKey, PlaceForecast } from '@/api/types'
import DropMenu from '@/components/DropMenu.vue'
import MenuLine from '@/components/MenuLine.vue'
import LoadProblem from '@/components/LoadProblem.vue'
import WaitingList from '@/components/WaitingList.vue'
import { useSend } from '@/composables/useSend'
import { useUnits } from '@/composables/useUnits'
import { checksAt } from '@/walk/checks'
import { say } from '@/words'
import ChangeParts from '@/parts/ChangeParts.vue'
import LifeMatrix from './LifeMatrix.vue'
import { willNotLast } from './life'
import OddsList from './OddsList.vue'
import WearDialog from './WearDialog.vue'
import { useSession } from '@/session'

const session = useSession()
/** How long everything that wears will last: the planter's stations by their odds, and what will not make the season. */
const { board, selectedRow } = defineProps<{ board: Board; selectedRow?: number }>()
const emit = defineEmits<{ select: [row: number]; row: [row: number] }>()
const planterId = board.planter.id
const forecast = useForecast(planterId)
const ledger = useLedger(planterId)
const { area } = useUnits()

const opened = ref<PlaceForecast>()
const changing = ref<PlaceForecast[]>()
const { send, refusal } = useSend()

const checkOf = computed(() => checksAt(board))
const watchChance = computed(() => forecast.data.value?.watch_chance ?? 0.2)
const odds = computed(() => willNotLast(forecast.data.value?.places ?? []))
const plan = computed(() => forecast.data.value?.plan)
/** Those of one measure that will not last, to be changed in one go. */
const toChange = computed(() => {
  const groups = new Map<CheckKey, PlaceForecast[]>()
  for (const place of odds.value) {
    if (place.slot !== null) groups.set(place.check, [...(groups.get(place.check) ?? []), place])
  }
  return [...groups].map(([check, places]) => ({ check, places, rows: rowsOf(places).length }))
})

function rowsOf(places: PlaceForecast[]): number[] {
  return [...new Set(places.map(({ row }) => row))].sort((a, b) => a - b)
}

const setWatchChance = (percent: string) =>
  send(async () => {
    await body(api.PATCH('/api/workshop', { body: { watch_chance: Number(percent) / 100 } }))
    await refreshRecord(planterId)
  })
</script>

<template>
  <load-problem :error="forecast.error.value" @again="forecast.refetch()" />
  <div v-if="forecast.data.value" class="life">
    <waiting-list :planter-id="planterId" what="ledger" />
    <p v-if="plan" class="quiet">
      Season {{ board.season }}: {{ area(plan.done) }} of {{ area(plan.acres) }} planted{{
        plan.planned ? '' : ', from last season. Set this season’s acres under Season'
      }}.
    </p>
    <p v-else>
      Enter the season’s acres under Season to see the odds.
      <router-link :to="{ name: 'edit-planter', params: { planter: planterId } }">Set the acres</router-link>
      or <router-link :to="{ name: 'field', params: { planter: planterId } }">log what was planted</router-link>.
    </p>
    <p v-for="key in forecast.data.value.grow_back" :key="key" class="watch" role="status">
      {{ say(`check.${key}`) }} reads larger than before on the whole planter. The tape reads long, or the spec sheet is
      wrong. Its odds mean little until that is fixed.
    </p>
    <life-matrix
      :planter="board.planter"
      :forecast="forecast.data.value"
      :board="board"
      :selected-row="selectedRow"
      @open="opened = $event"
      @select="emit('select', $event)"
    />
    <section class="sheet">
      <div class="head">
        <h2>What will not make the season</h2>
        <drop-menu v-if="toChange.length > 0 && ledger.data.value">
          <template #button="opens">
            <v-btn v-if="session.may('record')" color="primary" v-bind="opens">Change what will not last</v-btn>
          </template>
          <menu-line
            v-for="{ check, places, rows } in toChange"
            :key="check"
            :title="say(`check.${check}`)"
            :subtitle="rows === 1 ? '1 row' : `${rows} rows`"
            @click="changing = places"
          />
        </drop-menu>
        <label class="chance">
          Rows watched
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
    @row="emit('row', opened.row)"
    @change="((changing = [opened]), (opened = undefined))"
    @close="opened = undefined"
  />
  <change-parts
    v-if="changing?.[0]?.slot && ledger.data.value"
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
</template>

<style scoped>
.life {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 8px;
}
.head {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 10px 16px;
  margin-bottom: 8px;
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
