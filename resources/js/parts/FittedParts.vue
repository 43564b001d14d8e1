<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Fitting, Ledger, PlaceForecast, RowRecord, Side, Slot } from '@/api/types'
import FractionText from '@/components/FractionText.vue'
import { useDays } from '@/composables/useDays'
import { useUnits } from '@/composables/useUnits'
import { fullDate } from '@/dates'
import { sayOdds } from '@/measure/odds'
import { printLeft } from '@/wear/life'
import { say } from '@/words'
import { useSession } from '@/session'

const session = useSession()
/** What is fitted in each slot of a row: since when, how far it has run, how long it will last. */
const { record, ledger } = defineProps<{ record: RowRecord; ledger: Ledger }>()
const emit = defineEmits<{
  change: [at: { slot: Slot; side?: Side }]
  move: [part: Fitting]
  correct: [part: Fitting]
  wear: [place: PlaceForecast]
}>()
const { distance, length, units } = useUnits()
const { dayOf } = useDays()
const all = ref(false)

type Line = { slot: Slot; side: Side; fitting?: Fitting; forecast?: PlaceForecast }

const lines = computed<Line[]>(() =>
  ledger.slots
    .filter(({ rows }) => rows === null || rows.includes(record.row))
    .flatMap(({ slot, sides, check }) =>
      sides.map((side) => ({
        slot,
        side,
        fitting: record.fittings.find((one) => one.slot === slot && one.side === side && one.removed_at === null),
        forecast: record.forecast.places.find((place) => place.check === check && place.side === side),
      })),
    ),
)
const shown = computed(() =>
  all.value ? lines.value : lines.value.filter(({ fitting, forecast }) => fitting || forecast),
)
const shelf = computed(() => ledger.shelf.filter((part) => part.row === record.row))
</script>

<template>
  <section class="sheet fitted">
    <div class="head">
      <h2>Fitted parts</h2>
      <v-btn v-if="session.may('record')" color="primary" @click="emit('change', { slot: 'opener_blade' })"
        >Change parts</v-btn
      >
    </div>
    <p class="quiet">This row has run {{ distance(record.run_m) }} of furrow, by the acres logged.</p>
    <ul>
      <li v-for="{ slot, side, fitting, forecast } in shown" :key="`${slot} ${side}`">
        <div>
          <strong>{{ say(`slot.${slot}`) }} {{ say(`side.${side}`) }}</strong>
          <template v-if="fitting">
            <span class="quiet">{{ fitting.part ?? 'part not named' }}{{ fitting.used ? ', used' : '' }}</span>
            <span class="quiet"
              >since {{ fullDate(dayOf(fitting.fitted_at)) }} by {{ fitting.fitted_by }},
              {{ distance(fitting.part_ran_m) }} of furrow<fraction-text
                v-if="fitting.size_mm !== null"
                :text="`, fitted at ${length(fitting.size_mm)}`"
            /></span>
          </template>
          <span v-else class="quiet">not recorded</span>
          <span v-if="forecast" class="left">
            {{ printLeft(forecast.left_acres, forecast.thin, units) }} left<template
              v-if="forecast.chance !== null && forecast.left_m.p50 !== 0"
              >; {{ sayOdds(forecast.chance) }} to reach the limit this season</template
            >
          </span>
        </div>
        <div class="does">
          <v-btn v-if="forecast" variant="text" @click="emit('wear', forecast)">Wear</v-btn>
          <template v-if="session.may('record')">
            <v-btn v-if="fitting" variant="text" @click="emit('move', fitting)">Move</v-btn>
            <v-btn v-if="fitting" variant="text" @click="emit('correct', fitting)">Correct</v-btn>
            <v-btn variant="text" @click="emit('change', { slot, side })">Change</v-btn>
          </template>
        </div>
      </li>
      <li v-for="part in shelf" :key="part.id">
        <div>
          <strong>On the shelf: {{ part.part ?? say(`slot.${part.slot}`) }}</strong>
          <span class="quiet"
            >removed {{ fullDate(dayOf(part.removed_at ?? part.fitted_at)) }} after
            {{ distance(part.part_ran_m) }}</span
          >
        </div>
        <div class="does"><v-btn variant="text" @click="emit('move', part)">Fit it</v-btn></div>
      </li>
    </ul>
    <v-btn v-if="!all && shown.length < lines.length" variant="outlined" @click="all = true"
      >All {{ lines.length }} slots</v-btn
    >
  </section>
</template>

<style scoped>
.head {
  display: flex;
  justify-content: space-between;
  align-items: center;
}
ul {
  list-style: none;
  padding: 0;
  margin-bottom: 8px;
}
li {
  display: flex;
  flex-wrap: wrap;
  justify-content: space-between;
  align-items: center;
  gap: 4px 8px;
  padding: 8px 0;
  border-top: 1px solid var(--line);
}
li > div:first-child {
  display: grid;
  flex: 1 1 220px;
}
.fitted strong::first-letter {
  text-transform: uppercase;
}
.left {
  font-weight: 700;
}
.does {
  display: flex;
  flex-wrap: wrap;
  margin-left: auto;
}
</style>
