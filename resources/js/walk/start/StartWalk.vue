<script setup lang="ts">
import { v7 as uuid } from 'uuid'
import { computed, ref, useTemplateRef, watch } from 'vue'
import { editGuide } from '@/walk/guide'
import { useBoard } from '@/walk/queries'
import type { Pack, Walk, WalkGuide, WalkKind, WalkOrder } from '@/api/types'
import { useOutbox } from '@/offline/outbox'
import WalkActions from '@/walk/board/WalkActions.vue'
import { say } from '@/words'
import OrderChoice from './OrderChoice.vue'
import PackChoice from './PackChoice.vue'

/** Opens a walk, signal or not: the walk is made on the device and goes up like a reading. The last pack is proposed. */
const { planterId, guide } = defineProps<{ planterId: number; guide: WalkGuide }>()
const outbox = useOutbox()
const board = useBoard(() => planterId)
const kinds: WalkKind[] = ['pre_season', 'first_pass', 'in_season', 'rain_day', 'season_end']
const kind = ref<WalkKind>('pre_season')
const order = ref<WalkOrder>('row_by_row')
const checks = ref<string[]>(guide.checks.map((check) => check.key))
const pack = ref<string | null>(null)
const acknowledged = ref(false)
const packs = useTemplateRef<InstanceType<typeof PackChoice>>('packs')

const finished = computed(() => (board.data.value?.walk?.finished_at ? board.data.value : undefined))
const chosen = computed(() => guide.steps.filter((step) => checks.value.includes(step.check)))
const places = computed(() => chosen.value.length)
/** How long it takes at the shop's own pace, to five minutes. */
const minutes = computed(() => {
  if (!guide.pace) return null
  const figures = new Set(guide.checks.filter(({ unit }) => unit !== null).map(({ key }) => key))
  const seconds = chosen.value.reduce(
    (sum, { check }) => sum + (guide.pace?.[figures.has(check) ? 'figure' : 'look'] ?? 0),
    0,
  )
  return Math.max(5, 5 * Math.round(seconds / 300))
})
const time = computed(() => {
  const [hours, left] = [Math.floor((minutes.value ?? 0) / 60), (minutes.value ?? 0) % 60]
  return [hours ? `${hours} h` : '', left ? `${left} min` : ''].filter(Boolean).join(' ')
})

function take(chosen: Pack): void {
  pack.value = chosen.name
  kind.value = chosen.kind
}

// The last pack of this planter, as soon as the packs are there; nothing that was chosen meanwhile is overruled.
watch(
  () => packs.value?.offered,
  (offered) => {
    if (pack.value !== null || !offered?.length) return
    const last = offered.find((one) => one.pack.name === guide.last_pack) ?? offered[0]
    if (last) packs.value?.choose(last.pack)
  },
)
watch(checks, (of) => {
  const named = packs.value?.offered.find((one) => one.checks.join() === of.join())
  pack.value = named?.pack.name ?? ''
})

async function start(): Promise<void> {
  const only = checks.value.length === guide.checks.length ? null : checks.value
  const walk: Walk = {
    id: uuid(),
    season: guide.season,
    kind: kind.value,
    order: order.value,
    row_count: guide.planter.row_count,
    checks: checks.value as Walk['checks'],
    pack: pack.value || null,
    places: places.value,
    started_at: new Date().toISOString(),
    finished_at: null,
  }
  await outbox.add({
    what: 'start',
    id: walk.id,
    walk: walk.id,
    planter: planterId,
    body: { kind: walk.kind, order: walk.order, checks: only, pack: walk.pack, started_at: walk.started_at },
  })
  editGuide(planterId, (guide) => ({ ...guide, walk }))
}
</script>

<template>
  <div class="start">
    <section v-if="finished?.walk" class="sheet finished">
      <p>
        <strong>{{ say(`walk_kind.${finished.walk.kind}`) }} {{ finished.season }} is finished.</strong>
        <span class="quiet"> Reopen it to correct or add readings, or start a new walk.</span>
      </p>
      <walk-actions :board="finished" without-start />
    </section>
    <section class="sheet box">
      <h1>Start a walk of {{ guide.planter.name }}</h1>
      <pack-choice ref="packs" v-model="checks" :checks="guide.checks" :kind="kind" @pack="take" />
      <div class="pair">
        <select v-model="kind" class="select" aria-label="Which walk">
          <option v-for="one in kinds" :key="one" :value="one">{{ say(`walk_kind.${one}`) }}</option>
        </select>
        <order-choice v-model="order" />
      </div>
      <p class="quiet">
        {{ places }} readings on {{ guide.planter.row_count === 1 ? 'one row' : `${guide.planter.row_count} rows`
        }}<template v-if="guide.pace"
          >, about <strong>{{ time }}</strong> at {{ guide.pace.own ? 'your pace' : 'a typical pace' }}</template
        >. Only what the planter has is asked;
        <router-link :to="{ name: 'edit-planter', params: { planter: planterId } }">its equipment</router-link>.
      </p>
      <div class="caution">
        <h2>Before you reach under</h2>
        <p>{{ say('caution.lock_up') }}</p>
        <v-checkbox v-model="acknowledged" hide-details label="I have read this. The planter is locked up." />
      </div>
      <v-btn color="primary" size="large" block :disabled="!acknowledged" @click="start">Start the walk</v-btn>
    </section>
  </div>
</template>

<style scoped>
.start {
  max-width: 860px;
  margin: 0 auto;
  display: grid;
  gap: 12px;
}
.finished {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  justify-content: space-between;
  gap: 8px 16px;
  padding: 10px 20px;
}
.box {
  display: grid;
  gap: 14px;
  padding: 20px;
}
.pair {
  display: flex;
  flex-wrap: wrap;
  gap: 12px;
}
@media (max-width: 700px) {
  .box {
    gap: 8px;
    padding: 10px 12px;
  }
}
</style>
