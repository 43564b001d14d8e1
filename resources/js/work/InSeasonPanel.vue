<script setup lang="ts">
import { computed } from 'vue'
import { useWorkInSeason } from '@/work/queries'
import { useMoney } from '@/composables/useMoney'
import { useUnits } from '@/composables/useUnits'
import { say } from '@/words'

/** What to carry into the season with its odds, and at which acres to stop, on the season's own line. */
const { planterId } = defineProps<{ planterId: number }>()
const query = useWorkInSeason(() => planterId)
const season = computed(() => query.data.value)
const { wholeMoney } = useMoney()
const { area } = useUnits()
const carried = computed(() => (season.value?.spares ?? []).filter(({ carry }) => carry > 0))
const percent = (share: number) => (share > 0.994 && share < 1 ? '99%' : `${Math.round(100 * share)}%`)
const at = (acres: number) => (100 * acres) / Math.max(1, season.value?.acres ?? 1)
</script>

<template>
  <section v-if="season" class="sheet half" aria-label="In the season">
    <h2>Spares to carry</h2>
    <p v-if="season.no_stop_cost">
      Say in <router-link :to="{ name: 'shop' }">Shop figures</router-link> what a stop costs to compare a trip with
      carrying a spare.
    </p>
    <table v-else-if="carried.length > 0">
      <thead>
        <tr>
          <td />
          <th scope="col">Carry</th>
          <th scope="col">Enough</th>
          <th scope="col">One fewer</th>
          <th scope="col">One more</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="spare in carried" :key="spare.part_type_id">
          <th scope="row">{{ spare.name }}</th>
          <td>{{ spare.carry }}</td>
          <td>{{ percent(spare.enough) }}</td>
          <td>{{ spare.enough_fewer === null ? '' : percent(spare.enough_fewer) }}</td>
          <td>{{ percent(spare.enough_more) }}</td>
        </tr>
      </tbody>
    </table>
    <p v-else>A trip costs less than carrying any spare.</p>
    <p v-if="season.unpriced > 0" class="quiet">
      {{ season.unpriced === 1 ? 'One part type has' : `${season.unpriced} part types have` }} no price and
      {{ season.unpriced === 1 ? 'is' : 'are' }} left out.
    </p>
    <h2>Stops in the season</h2>
    <p v-if="season.acres === null">
      Say in <router-link :to="{ name: 'season', params: { planter: planterId } }">Season</router-link> how many acres
      are planned.
    </p>
    <p v-else-if="season.no_stop_cost || season.stops.length === 0">
      {{
        season.no_stop_cost
          ? 'Also needs what a stop costs.'
          : 'Nothing is expected to come due before the season ends.'
      }}
    </p>
    <template v-else>
      <div class="line" aria-hidden="true">
        <span class="done" :style="{ width: `${at(season.done)}%` }" />
        <span v-for="stop in season.stops" :key="stop.acres" class="stop" :style="{ left: `${at(stop.acres)}%` }" />
      </div>
      <ul>
        <li v-for="stop in season.stops" :key="stop.acres">
          <strong>{{ area(stop.acres) }}</strong>:
          {{ stop.items.map((item) => `${item.parts} × ${say(`slot.${item.slot}`)}`).join(', ') }}
        </li>
      </ul>
      <p class="quiet">
        of {{ area(season.acres) }} · {{ wholeMoney(season.stop_cost ?? 0) }} of stops, work and wasted life<template
          v-if="!season.best"
          >; no plan can cost less than {{ wholeMoney(season.stops_at_least ?? 0) }}</template
        >
      </p>
    </template>
  </section>
</template>

<style scoped>
h2 {
  font-size: 1.0625rem;
}
h2 ~ h2 {
  margin-top: 12px;
}
table {
  width: 100%;
  border-collapse: collapse;
}
th,
td {
  padding: 3px 8px 3px 0;
  border-top: 1px solid var(--line);
  text-align: left;
}
td {
  white-space: nowrap;
}
thead th,
thead td {
  border: 0;
  font-weight: 400;
  color: var(--ink-2);
}
p {
  margin: 4px 0;
}
ul {
  margin: 4px 0;
  padding-left: 20px;
}
.line {
  position: relative;
  height: 12px;
  margin: 10px 0 6px;
  border-radius: 6px;
  background: var(--line);
}
.done {
  position: absolute;
  inset: 0 auto 0 0;
  border-radius: 6px;
  background: var(--ink-2);
}
.stop {
  position: absolute;
  top: -5px;
  bottom: -5px;
  width: 4px;
  margin-left: -2px;
  border-radius: 2px;
  background: var(--ochre);
}
a {
  color: var(--accent);
}
</style>
