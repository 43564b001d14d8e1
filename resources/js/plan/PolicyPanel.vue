<script setup lang="ts">
import { v7 as uuid } from 'uuid'
import { computed, defineAsyncComponent, ref } from 'vue'
import { api, body } from '@/api/client'
import { keys, queries, refreshPlan, useShop } from '@/api/queries'
import { usePolicies } from '@/plan/queries'
import type { PolicyLine } from '@/api/types'
import DropMenu from '@/components/DropMenu.vue'
import MenuLine from '@/components/MenuLine.vue'
import { useMoney } from '@/composables/useMoney'
import { useSend } from '@/composables/useSend'
import { useUnits } from '@/composables/useUnits'
import { useSession } from '@/session'
import { say } from '@/words'
import { at, axisOf, nearestTurns, sayTurn } from './policies'

/** What each policy would cost on this planter: a strip from one run in ten to nine in ten, the middle marked. */
const { planterId } = defineProps<{ planterId: number }>()
const OwnPolicy = defineAsyncComponent(() => import('./OwnPolicy.vue'))
const session = useSession()
const seasons = ref<1 | 3 | 5>(3)
const query = usePolicies(() => planterId, seasons)
const policies = computed(() => query.data.value)
const table = computed(() => policies.value?.table)
const axis = computed(() => axisOf(table.value?.lines ?? []))
const { money, wholeMoney } = useMoney()
const { area, length } = useUnits()
const { send, refusal, busy } = useSend()
const isSetting = ref(false)
const shop = useShop(isSetting)

function told(line: PolicyLine): string {
  const most = [...line.parts].sort((a, b) => b.count - a.count)[0]
  return [
    most && most.count >= 0.1 ? `${Math.round(10 * most.count) / 10} × ${say(`slot.${most.slot}`)}` : '',
    `${line.hours} h`,
    `${Math.round(10 * line.stops) / 10} stops`,
    `depth lost ${length(line.lost_worst)}, mean ${length(line.lost_mean)}`,
    line.waste >= 0.5 ? `${wholeMoney(line.waste)} of life wasted` : '',
    line.unpriced > 0 ? `at least: ${line.unpriced} parts without a price` : '',
  ]
    .filter(Boolean)
    .join(' · ')
}
const slots = computed(() => [
  ...new Set(table.value?.lines.flatMap(({ parts }) => parts.map(({ slot }) => slot)) ?? []),
])

async function choose(school: PolicyLine['school'], slot: PolicyLine['parts'][number]['slot'] | null): Promise<void> {
  await send(async () => {
    const params = { path: { planter: planterId } }
    await body(
      api.POST('/api/planters/{planter}/policy', {
        params,
        body: { id: uuid(), school, slot, happened_at: new Date().toISOString() },
      }),
    )
    await queries.invalidateQueries({ queryKey: keys.policies(planterId) })
    await refreshPlan(planterId)
  })
}

async function saved(): Promise<void> {
  isSetting.value = false
  await queries.invalidateQueries({ queryKey: keys.policies(planterId) })
}
</script>

<template>
  <section class="sheet panel" aria-label="What each policy costs">
    <header>
      <h2>What each policy costs</h2>
      <p class="quiet">
        <template v-if="table"
          >{{ policies?.seasons }} {{ policies?.seasons === 1 ? 'season' : 'seasons' }}, {{ area(table.acres) }} each,
          this planter’s own wear · per season</template
        >
      </p>
      <div class="segments" role="group" aria-label="Seasons to simulate">
        <button
          v-for="count in [1, 3, 5] as const"
          :key="count"
          type="button"
          :aria-pressed="seasons === count"
          @click="seasons = count"
        >
          {{ count }}
        </button>
      </div>
    </header>
    <p v-if="query.isLoading.value" class="quiet">Simulating …</p>
    <p v-else-if="query.error.value" class="quiet">Policy costs need a signal.</p>
    <p v-else-if="policies && !table">
      Say in <router-link :to="{ name: 'season', params: { planter: planterId } }">Season</router-link> how many acres
      are planned to compare policies.
    </p>
    <template v-if="table">
      <div class="axis" aria-hidden="true">
        <span v-for="tick in axis.ticks" :key="tick" :style="{ left: `${at(tick, axis)}%` }">{{
          wholeMoney(tick)
        }}</span>
      </div>
      <ul>
        <li v-for="line in table.lines" :key="line.school" :class="{ chosen: policies?.school === line.school }">
          <drop-menu>
            <template #button="opens">
              <button
                type="button"
                class="policy"
                v-bind="session.may('set') ? opens : {}"
                :disabled="busy"
                :aria-label="`${say(`school.${line.school}`)}: ${money(line.p50)} a season, median${policies?.school === line.school ? ', chosen' : ''}`"
              >
                <span class="name">
                  <strong>{{ say(`school.${line.school}`) }}</strong>
                  <span class="quiet">{{
                    policies?.school === line.school ? 'chosen' : say(`school_text.${line.school}`)
                  }}</span>
                </span>
                <span class="strip" aria-hidden="true">
                  <span
                    class="range"
                    :style="{
                      left: `${at(line.p10, axis)}%`,
                      width: `${Math.max(0.5, at(line.p90, axis) - at(line.p10, axis))}%`,
                    }"
                  />
                  <span class="middle" :style="{ left: `${at(line.p50, axis)}%` }" />
                </span>
                <span class="sum"
                  >{{ wholeMoney(line.p50) }}
                  <span class="quiet"
                    >{{ money(line.acre) }} an acre, {{ wholeMoney(line.p10) }} to {{ wholeMoney(line.p90) }}</span
                  ></span
                >
                <span class="told quiet">{{ told(line) }}</span>
              </button>
            </template>
            <menu-line title="Choose for this planter" @click="choose(line.school, null)" />
            <menu-line
              v-for="slot in slots"
              :key="slot"
              :title="`Only for each ${say(`slot.${slot}`)}`"
              @click="choose(line.school, slot)"
            />
          </drop-menu>
        </li>
      </ul>
      <div class="says">
        <p>
          <strong>{{ say(`school.${table.cheapest}`) }}</strong> is cheapest in
          {{ Math.round(100 * (table.lines.find(({ school }) => school === table?.cheapest)?.cheapest ?? 0)) }} of 100
          runs<template v-if="table.next"
            >, by {{ wholeMoney(table.ahead) }} a season before {{ say(`school.${table.next}`) }}</template
          >.
          <template v-for="turn in nearestTurns(table)" :key="turn.of + turn.school + turn.factor"
            >{{ ' ' }}<strong>{{ say(`school.${turn.school}`) }}</strong> {{ sayTurn(turn) }}</template
          >
        </p>
        <p v-if="table.thin.length > 0" class="quiet">
          Few readings of {{ table.thin.map((slot) => say(`slot.${slot}`)).join(', ') }}: typical lives are used, with
          wide ranges.
        </p>
        <p v-if="table.without_rate || table.without_stop_cost" class="due">
          {{
            table.without_rate && table.without_stop_cost
              ? 'Work and stops have no price'
              : table.without_rate
                ? 'Work has no price'
                : 'A stop has no price'
          }}
          yet, so they count as zero here.
          <router-link :to="{ name: 'shop' }">Set it</router-link>
        </p>
        <p v-if="refusal" class="change" role="alert">{{ refusal.message }}</p>
        <v-btn v-if="session.may('set')" variant="outlined" @click="isSetting = true">{{
          Object.keys(policies?.own ?? {}).length > 0 ? 'Edit your own policy' : 'Create your own policy'
        }}</v-btn>
      </div>
    </template>
    <own-policy
      v-if="isSetting && shop.data.value"
      :shop="shop.data.value"
      :slots="slots"
      @saved="saved"
      @close="isSetting = false"
    />
  </section>
</template>

<style scoped>
.panel {
  padding: 0;
  overflow: hidden;
}
header {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: 0 10px;
  padding: 10px 14px 4px;
}
header .segments {
  grid-row: 1 / 3;
  grid-column: 2;
  align-self: center;
}
p {
  margin: 0;
}
.panel > p {
  padding: 4px 14px 14px;
}
.axis {
  position: relative;
  height: 22px;
  margin: 0 34px 0 120px;
  font-size: 0.875rem;
  color: var(--ink-2);
}
.axis span {
  position: absolute;
  transform: translateX(-50%);
}
ul {
  list-style: none;
  padding: 0;
  margin: 0;
}
li {
  border-top: 1px solid var(--line);
}
.chosen {
  background: var(--accent-weak);
}
.policy {
  display: grid;
  grid-template-columns: 96px minmax(0, 1fr);
  gap: 0 10px;
  width: 100%;
  min-height: var(--touch);
  padding: 4px 34px 4px 14px;
  text-align: left;
}
.name {
  display: grid;
  grid-row: 1 / 4;
  align-content: start;
  font-size: 0.9375rem;
}
.strip {
  position: relative;
  height: 20px;
}
.range {
  position: absolute;
  top: 6px;
  height: 8px;
  border-radius: 4px;
  background: var(--accent);
  opacity: 0.35;
}
.middle {
  position: absolute;
  top: 1px;
  width: 4px;
  height: 18px;
  margin-left: -2px;
  background: var(--accent);
}
.sum {
  font-size: 0.9375rem;
}
.told {
  grid-column: 2;
  font-size: 0.875rem;
}
.says {
  display: grid;
  gap: 8px;
  justify-items: start;
  padding: 10px 14px 14px;
  border-top: 1px solid var(--line);
}
.due {
  color: var(--ochre);
}
</style>
