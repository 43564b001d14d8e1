<script setup lang="ts">
import { v7 as uuid } from 'uuid'
import { computed, ref } from 'vue'
import { api, body } from '@/api/client'
import { queries } from '@/api/queries'
import type { Disc, SeedLot, StockMove } from '@/api/types'
import AppBar from '@/components/AppBar.vue'
import { fullDate } from '@/dates'
import LoadProblem from '@/components/LoadProblem.vue'
import { useMarked } from '@/composables/useAsked'
import { useMoney } from '@/composables/useMoney'
import { useUnits } from '@/composables/useUnits'
import { useOnce } from '@/composables/useOnce'
import MoveDialog from '@/parts/MoveDialog.vue'
import { useSession } from '@/session'
import DiscDialog from './DiscDialog.vue'
import LotDialog from './LotDialog.vue'
import { seedKey, useSeed } from '@/bench/queries'
import { sayField, sayFit, sayMeant, sayMixture, shortOf } from './seed'

/** Lots of seed against what the fields of the season take, and the discs that they go through. */
const session = useSession()
const seed = useSeed()
const { money } = useMoney()
const { units } = useUnits()
const once = useOnce()
const lots = computed(() => seed.data.value?.lots ?? [])
const discs = computed(() => seed.data.value?.discs ?? [])
const lot = ref<SeedLot | 'new'>()
const disc = ref<Disc | 'new'>()
const moving = ref<SeedLot>()
const marked = useMarked('lot', lots)
const again = () => queries.invalidateQueries({ queryKey: seedKey })

async function move(kind: StockMove['kind'], units: number): Promise<void> {
  const typed = { seed_lot_id: moving.value?.id as number, kind, units }
  const move = once.of(typed, () => ({ ...typed, id: uuid(), happened_at: new Date().toISOString() }))
  await body(api.POST('/api/seed/moves', { body: { moves: [move] } }))
  once.taken()
  await again()
}
async function saved(): Promise<void> {
  ;[lot.value, disc.value] = [undefined, undefined]
  await again()
}
function short(of: SeedLot): string {
  const units = shortOf(of)
  return units === null || of.needed === 0 ? '' : units === 0 ? 'enough' : `${units} short`
}
const onOrder = ({ to_come, due_on, ordered_from }: SeedLot) =>
  [`${to_come} on order`, ordered_from && `from ${ordered_from}`, due_on && `due ${fullDate(due_on)}`]
    .filter(Boolean)
    .join(', ')
</script>

<template>
  <app-bar />
  <main class="page">
    <h1>Seed and discs</h1>
    <load-problem :error="seed.error.value" @again="seed.refetch()" />
    <section class="sheet scroll" aria-label="Seed lots">
      <h2>Seed lots</h2>
      <p v-if="seed.data.value && lots.length === 0" class="quiet">
        Add each lot. Choose it in the season’s fields to see how many units you need.
      </p>
      <table v-else>
        <thead>
          <tr>
            <th scope="col">Lot</th>
            <th scope="col" class="number">On hand, units</th>
            <th scope="col" class="number">Needed</th>
            <th scope="col">Discs</th>
            <th scope="col" class="number wide">Per 1,000 seeds</th>
            <th scope="col" class="number wide">Per acre</th>
            <td />
          </tr>
        </thead>
        <tbody>
          <tr v-for="of in lots" :id="`lot-${of.id}`" :key="of.id" :class="{ marked: marked === `${of.id}` }">
            <th scope="row">
              {{ of.name }}
              <span class="quiet">{{
                [of.crop, sayMixture(of), of.size_class, of.shape, of.treatment]
                  .filter((text) => text !== '')
                  .join(', ')
              }}</span>
            </th>
            <td class="number" data-label="On hand, units">
              {{ of.on_hand ?? 'not counted'
              }}<span v-if="of.miscount" class="due"> count again: more went out than was there</span>
            </td>
            <td class="number" data-label="Needed">
              {{ of.needed || '' }}
              <span v-if="of.boxes" class="quiet">{{ of.boxes }} {{ of.boxes === 1 ? 'box' : 'boxes' }}</span>
              <span :class="shortOf(of) ? 'due' : 'quiet'">{{ short(of) }}</span>
              <span v-if="of.to_come > 0" class="quiet">{{ onOrder(of) }}</span>
              <span v-if="of.unknown > 0" class="due">{{ of.unknown }} fields without population</span>
            </td>
            <td class="fit">
              {{ sayFit(of, undefined, discs) }}
              <details v-if="of.fields.length > 0">
                <summary>{{ of.fields.length === 1 ? '1 field' : `${of.fields.length} fields` }}</summary>
                <ul>
                  <li v-for="field in of.fields" :key="`${field.planter} ${field.field}`">
                    {{ sayField(field, units) }}
                  </li>
                </ul>
              </details>
            </td>
            <td class="number wide">{{ of.price_a_thousand === null ? 'not known' : money(of.price_a_thousand) }}</td>
            <td class="number wide">{{ of.cost_an_acre === null ? '' : money(of.cost_an_acre) }}</td>
            <td class="buttons">
              <v-btn
                v-if="session.may('record')"
                variant="text"
                :aria-label="`Count or move: ${of.name}`"
                @click="moving = of"
                >Count</v-btn
              >
              <v-btn v-if="session.may('set')" variant="text" :aria-label="`Change ${of.name}`" @click="lot = of"
                >Change</v-btn
              >
            </td>
          </tr>
        </tbody>
      </table>
      <v-btn v-if="session.may('set')" variant="outlined" size="large" @click="lot = 'new'">Add seed lot</v-btn>
    </section>
    <section class="sheet scroll" aria-label="Discs and plates">
      <h2>Discs and plates</h2>
      <p v-if="seed.data.value && discs.length === 0" class="quiet">
        Add discs and plates with the seed sizes they fit. Ustrel then warns when seed and disc do not match.
      </p>
      <table v-else>
        <thead>
          <tr>
            <th scope="col">Disc</th>
            <th scope="col" class="number">Cells</th>
            <th scope="col" class="number">Hole</th>
            <th scope="col" class="number">Seed</th>
            <th scope="col">Winter storage</th>
            <td />
          </tr>
        </thead>
        <tbody>
          <tr v-for="of in discs" :key="of.id">
            <th scope="row">{{ of.name }}</th>
            <td class="number" data-label="Cells">{{ of.cells }}</td>
            <td class="number" data-label="Hole">{{ of.hole === null ? '' : `${of.hole} mm` }}</td>
            <td class="number" data-label="Seed">
              {{ sayMeant(of) }}
            </td>
            <td data-label="Winter storage">{{ of.kept_in }}</td>
            <td class="buttons">
              <v-btn v-if="session.may('set')" variant="text" :aria-label="`Change ${of.name}`" @click="disc = of"
                >Change</v-btn
              >
            </td>
          </tr>
        </tbody>
      </table>
      <v-btn v-if="session.may('set')" variant="outlined" size="large" @click="disc = 'new'">Add disc</v-btn>
    </section>
    <move-dialog v-if="moving" :title="moving.name" unit="units" :keep="move" @close="moving = undefined" />
    <lot-dialog v-if="lot" :lot="lot === 'new' ? undefined : lot" @saved="saved" @close="lot = undefined" />
    <disc-dialog v-if="disc" :disc="disc === 'new' ? undefined : disc" @saved="saved" @close="disc = undefined" />
  </main>
</template>

<style scoped>
.page {
  display: grid;
  gap: 14px;
  max-width: 1100px;
  margin: 0 auto;
  padding: 14px;
}
.scroll {
  overflow-x: auto;
}
table {
  width: 100%;
  margin-bottom: 10px;
  border-collapse: collapse;
}
th,
td {
  padding: 6px 12px 6px 0;
  text-align: left;
  vertical-align: top;
  border-top: 1px solid var(--line);
}
thead th,
thead td {
  border: 0;
  font-weight: 400;
  color: var(--ink-2);
}
th .quiet,
td .quiet,
td .due {
  display: block;
  font-weight: 400;
}
.number {
  text-align: right;
  font-variant-numeric: tabular-nums;
}
.fit {
  min-width: 160px;
}
summary {
  display: flex;
  align-items: center;
  min-height: var(--touch);
  font-weight: 700;
  color: var(--accent);
  cursor: pointer;
}
ul {
  margin: 0;
  padding: 0 0 6px;
  list-style: none;
}
.due {
  color: var(--ochre);
}
.buttons {
  white-space: nowrap;
}
@media (max-width: 700px) {
  .wide {
    display: none;
  }
  thead {
    display: none;
  }
  tr {
    display: block;
    padding: 6px 0;
    border-top: 1px solid var(--line);
  }
  th,
  td {
    display: block;
    padding: 2px 0;
    border: 0;
  }
  .number {
    text-align: left;
  }
  td[data-label]::before {
    content: attr(data-label) ': ';
    color: var(--ink-2);
  }
  td .quiet,
  td .due {
    display: inline;
  }
}
</style>
