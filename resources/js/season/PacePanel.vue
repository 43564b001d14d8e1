<script setup lang="ts">
import { watchDebounced } from '@vueuse/core'
import { computed, ref } from 'vue'
import { api, body, type Refusal } from '@/api/client'
import type { Season } from '@/api/types'
import NumberField from '@/components/NumberField.vue'
import { useMoney } from '@/composables/useMoney'
import { useUnits } from '@/composables/useUnits'
import { weekDate } from '@/dates'
import { SPEED_UNIT, speedText } from '@/measure/area'
import type { Typed } from './season'

/** How long planting takes: the window, the pace, the fills, the days, and what a day's delay costs. */
const { planterId, season, refusal } = defineProps<{ planterId: number; season: Season; refusal: Refusal | null }>()
const form = defineModel<Typed>('form', { required: true })
const { units, area, areaUnit } = useUnits()
const { money, currency } = useMoney()
const claim = ref<number | null>(null)
const speed = ref<number | null>()

/** The speed that a claimed pace would need, as the server has it. */
watchDebounced(
  claim,
  async (acres) => {
    speed.value = undefined
    if (acres === null) return
    const params = { path: { planter: planterId }, query: { acres_an_hour: acres } }
    const told = await body(api.GET('/api/planters/{planter}/season/speed', { params })).catch(() => undefined)
    if (told && acres === claim.value) speed.value = told.mph
  },
  { debounce: 300 },
)
const claimed = computed(() =>
  speed.value === undefined
    ? ''
    : speed.value === null
      ? 'not possible at any speed: fills alone take longer'
      : `needs ${speedText(speed.value, units.value)} ${SPEED_UNIT[units.value].name}`,
)
/** Of the fields as they are typed: a tank belongs to one of them, or to all. */
const crops = computed(() => [...new Set(form.value.fields.map(({ crop }) => crop.trim()).filter((crop) => crop))])
const cropsOf = (own: string) => [...new Set([...crops.value, ...(own ? [own] : [])])]
const chance = computed(() =>
  season.in_window === null ? '' : `${Math.round(100 * season.in_window)}% chance to finish in the window`,
)
</script>

<template>
  <section class="sheet pace" aria-label="Pace and dates">
    <h2>Finish</h2>
    <p v-if="season.finish" class="answer">
      <strong>{{ season.finish.p50 ? weekDate(season.finish.p50) : 'too late to tell' }}</strong>
      <span class="quiet">
        between {{ season.finish.p10 ? weekDate(season.finish.p10) : '…' }} and
        {{ season.finish.p90 ? weekDate(season.finish.p90) : 'too late to tell' }} in 8 years of 10</span
      >
      <span v-if="chance" :class="(season.in_window ?? 1) < 0.5 ? 'due' : 'quiet'">{{ chance }}</span>
    </p>
    <p class="quiet">
      {{ area(season.acres_an_hour) }}/h at that pace, {{ area(season.acres_a_day) }} on a fit day{{
        season.days_logged > 0 ? `, from ${season.days_logged} logged days` : ''
      }}. One hour of delay now costs {{ money(season.hour_cost) }}.
    </p>
    <div class="pair">
      <v-text-field
        v-model="form.planting_start"
        type="date"
        label="Planting starts"
        :error-messages="refusal?.about('planting_start')"
      />
      <v-text-field
        v-model="form.planting_end"
        type="date"
        label="Window ends"
        :error-messages="refusal?.about('planting_end')"
      />
      <number-field
        v-model="form.mph"
        :label="`Speed, ${SPEED_UNIT[units].name}`"
        kind="speed"
        :low="0.5"
        :high="20"
        :places="1"
        :placeholder="speedText(season.typical.mph, units)"
        :error-messages="refusal?.about('mph')"
        persistent-placeholder
      />
      <number-field
        v-model="form.efficiency"
        label="Efficiency, %"
        kind="share"
        :low="0.05"
        :high="1"
        :places="3"
        :placeholder="String(100 * (form.counts_fills ? season.typical.turning : season.typical.efficiency))"
        :error-messages="refusal?.about('efficiency')"
        persistent-placeholder
      />
      <number-field
        v-model="form.hours_a_day"
        label="Hours a day"
        kind="hours"
        :low="0.5"
        :high="24"
        :places="1"
        :placeholder="String(season.typical.hours_a_day)"
        :error-messages="refusal?.about('hours_a_day')"
        persistent-placeholder
      />
      <number-field
        v-model="form.fit_share"
        label="Days fit for fieldwork, %"
        kind="share"
        :low="0.01"
        :high="1"
        :places="3"
        :placeholder="String(100 * season.typical.fit_share)"
        :error-messages="refusal?.about('fit_share')"
        persistent-placeholder
      />
      <number-field
        v-model="form.planned_acres"
        :label="`Other ${areaUnit()}`"
        kind="area"
        :high="100_000"
        :places="2"
        :error-messages="refusal?.about('planned_acres')"
      />
      <number-field
        v-model="claim"
        :label="`Pace claimed, ${areaUnit()}/h`"
        kind="areaAnHour"
        :low="0.1"
        :high="1000"
        :places="1"
        :hint="claimed"
        persistent-hint
      />
    </div>
    <h3>Fills</h3>
    <p v-for="of in season.fills" :key="of.crop ?? ''" class="quiet">
      {{ season.fills.length > 1 ? `${of.crop ?? 'No crop'}, ${area(of.of)}: fill` : 'Fill' }} every
      {{ area(of.acres) }}, {{ of.a_day }} fills a day. First to run out: {{ of.first
      }}{{
        of.short
          ? `. With ${of.short.toLocaleString('en')} ${of.unit} more it would last as long as the next one.`
          : '.'
      }}
    </p>
    <div v-for="(tank, at) in form.tanks" :key="at" class="tank">
      <input v-model="tank.name" aria-label="Box or tank" placeholder="seed, liquid" maxlength="40" />
      <number-field v-model="tank.holds" bare label="Holds" :high="1_000_000" placeholder="holds" />
      <input v-model="tank.unit" aria-label="In" placeholder="gal" maxlength="12" />
      <number-field v-model="tank.rate" bare label="Per acre" :high="100_000" placeholder="per acre" />
      <button
        type="button"
        class="out"
        :aria-label="`Remove ${tank.name || 'this tank'} out`"
        @click="form.tanks.splice(at, 1)"
      >
        ×
      </button>
      <select v-if="crops.length > 1 || tank.crop" v-model="tank.crop" class="runs-in" aria-label="Runs in">
        <option value="">for all crops</option>
        <option v-for="crop in cropsOf(tank.crop)" :key="crop" :value="crop">for {{ crop }}</option>
      </select>
    </div>
    <div class="row">
      <v-btn
        variant="outlined"
        size="small"
        @click="form.tanks.push({ name: '', holds: null, rate: null, unit: '', crop: '' })"
        >Add a box or tank</v-btn
      >
      <label><input v-model="form.counts_fills" type="checkbox" /> Count fills separately</label>
    </div>
    <number-field
      v-if="form.counts_fills"
      v-model="form.fill_minutes"
      label="Minutes per fill"
      kind="minutes"
      :high="600"
      :places="1"
      :placeholder="String(season.typical.fill_minutes)"
      :error-messages="refusal?.about('fill_minutes')"
      persistent-placeholder
    />
    <h3>Cost of planting late</h3>
    <div class="pair">
      <number-field
        v-model="form.delay_price"
        :label="`Per acre and day late, ${currency}`"
        kind="money"
        :high="100_000"
        :places="2"
        :error-messages="refusal?.about('delay_price')"
      />
      <v-text-field
        v-model="form.delay_after"
        type="date"
        label="Late after"
        :error-messages="refusal?.about('delay_after')"
      />
    </div>
  </section>
</template>

<style scoped>
.pace {
  display: grid;
  gap: 8px;
  padding: 10px 14px;
}
p {
  margin: 0;
}
.answer {
  display: grid;
}
.answer strong {
  font-size: 1.375rem;
}
.due {
  color: var(--ochre);
}
.pair {
  display: grid;
  align-items: start;
  grid-template-columns: repeat(auto-fit, minmax(160px, 1fr));
  gap: 10px;
}
.tank {
  display: grid;
  grid-template-columns: 1.4fr 1fr 0.9fr 1fr auto;
  gap: 6px;
}
.tank .runs-in {
  grid-column: 1 / -2;
}
.tank input,
.tank select {
  width: 100%;
  min-width: 0;
  min-height: 38px;
  padding: 0 8px;
  border: 1px solid var(--line);
  border-radius: 6px;
  background: var(--paper);
  color: var(--ink);
  font: inherit;
}
.out {
  min-width: 40px;
  font-size: 1.25rem;
  color: var(--ink-2);
}
.row {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px 16px;
}
.row label {
  display: inline-flex;
  align-items: center;
  gap: 8px;
  min-height: var(--touch);
}
.row input {
  width: 22px;
  height: 22px;
}
</style>
