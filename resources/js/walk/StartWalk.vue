<script setup lang="ts">
import { v7 as uuid } from 'uuid'
import { computed, ref } from 'vue'
import { editGuide, useBoard } from '@/api/queries'
import type { Walk, WalkGuide, WalkKind, WalkOrder } from '@/api/types'
import { useOutbox } from '@/offline/outbox'
import WalkActions from '@/walk/board/WalkActions.vue'
import { say } from '@/words'
import OrderChoice from './OrderChoice.vue'
import StationChoice from './StationChoice.vue'

/** Opens a walk, signal or not: the walk is made on the device and goes up like a reading. */
const { planterId, guide } = defineProps<{ planterId: number; guide: WalkGuide }>()
const outbox = useOutbox()
const board = useBoard(() => planterId)
const kinds: WalkKind[] = ['pre_season', 'first_pass', 'in_season', 'rain_day', 'season_end']
const kind = ref<WalkKind>('pre_season')
const order = ref<WalkOrder>('row_by_row')
const checks = ref<string[]>(guide.checks.map((check) => check.key))
const acknowledged = ref(false)

const finished = computed(() => (board.data.value?.walk?.finished_at ? board.data.value : undefined))
const places = computed(() => guide.steps.filter((step) => checks.value.includes(step.check)).length)

async function start(): Promise<void> {
  const chosen = checks.value.length === guide.checks.length ? null : checks.value
  const walk: Walk = {
    id: uuid(),
    season: guide.season,
    kind: kind.value,
    order: order.value,
    row_count: guide.planter.row_count,
    checks: checks.value as Walk['checks'],
    places: places.value,
    started_at: new Date().toISOString(),
    finished_at: null,
  }
  await outbox.add({
    what: 'start',
    id: walk.id,
    walk: walk.id,
    planter: planterId,
    body: { kind: walk.kind, order: walk.order, checks: chosen, started_at: walk.started_at },
  })
  editGuide(planterId, (guide) => ({ ...guide, walk }))
}
</script>

<template>
  <div class="start">
    <section v-if="finished?.walk" class="sheet box">
      <h2>{{ say(`walk_kind.${finished.walk.kind}`) }} {{ finished.season }} is finished</h2>
      <p class="quiet">Reopen it to correct or add readings, or start another walk below.</p>
      <walk-actions :board="finished" without-start />
    </section>
    <section class="sheet box">
      <h1>Start a walk of {{ guide.planter.name }}</h1>
      <v-select
        v-model="kind"
        label="Which walk"
        :items="kinds.map((value) => ({ value, title: say(`walk_kind.${value}`) }))"
      />
      <order-choice v-model="order" />
      <h2>Stations today</h2>
      <station-choice v-model="checks" :checks="guide.checks" />
      <p class="quiet">
        {{ places }} readings on {{ guide.planter.row_count }} rows. What the planter does not carry is not asked;
        <router-link :to="{ name: 'edit-planter', params: { planter: planterId } }">its equipment</router-link>.
      </p>
      <div class="caution">
        <h2>Before you reach under</h2>
        <p>{{ say('caution.lock_up') }}</p>
        <v-checkbox v-model="acknowledged" hide-details label="I have read this, and the planter is locked up" />
      </div>
      <v-btn color="primary" size="large" block :disabled="!acknowledged" @click="start">Start the walk</v-btn>
    </section>
  </div>
</template>

<style scoped>
.start {
  max-width: 760px;
  margin: 0 auto;
  display: grid;
  gap: var(--gap);
}
.box {
  display: grid;
  gap: var(--gap);
  padding: 24px;
}
@media (max-width: 700px) {
  .box {
    padding: 14px;
  }
}
</style>
