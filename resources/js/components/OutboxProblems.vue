<script setup lang="ts">
import { useRouter } from 'vue-router'
import { keys, queries, useYard } from '@/api/queries'
import { api, body } from '@/api/client'
import FractionText from '@/components/FractionText.vue'
import { useUnits } from '@/composables/useUnits'
import { wordDoubts } from '@/measure/bands'
import { readQuantity } from '@/measure/quantity'
import type { Waiting } from '@/offline/device'
import { isOf } from '@/offline/device'
import { kindOf } from '@/offline/kinds'
import { putInto } from '@/offline/kinds/start'
import { useOutbox } from '@/offline/outbox'

/** What the server would not take as it is; each waits, on every screen, for a person's word. */
const router = useRouter()
const yard = useYard()
const outbox = useOutbox()
const { units } = useUnits()

const planterOf = (item: Waiting) => yard.data.value?.find((planter) => planter.id === item.planter)?.name ?? ''

async function measureAgain(item: Waiting): Promise<void> {
  await outbox.discard(item.id)
  if (item.what !== 'reading') return
  const { row, check, side } = item.body
  await router.push({ name: 'walk', params: { planter: item.planter }, query: { row, check, side } })
}

/** What was recorded in a walk that could not be started goes into the one that is open. */
async function moveToOpenWalk(item: Waiting<'start'>): Promise<void> {
  await queries.invalidateQueries({ queryKey: keys.guide(item.planter) })
  const guide = await body(api.GET('/api/planters/{planter}/guide', { params: { path: { planter: item.planter } } }))
  if (guide.walk) await outbox.rewrite(putInto(item, guide.walk.id))
}

function why(item: Waiting): string {
  if (item.problem?.outcome !== 'doubtful' || item.what !== 'reading') return item.problem?.message ?? ''
  const unit = item.problem.doubts[0]?.unit
  const read = unit ? readQuantity(item.body.typed ?? '', unit, item.body.units ?? 'in') : undefined
  return wordDoubts(item.problem.doubts, read && 'value' in read ? read.value : null, units.value)
}
</script>

<template>
  <ul v-if="outbox.problems.length > 0 || outbox.notKept" class="problems" role="alert">
    <li v-if="outbox.notKept" class="sheet">
      <span class="text"
        ><strong>This device cannot store entries.</strong> It syncs while there is a signal. Do not close this page
        until it says saved.</span
      >
    </li>
    <li v-for="item in outbox.problems" :key="item.id" class="sheet">
      <span class="text">
        <strong>{{ planterOf(item) }}, <fraction-text :text="kindOf(item).title(item, outbox.waiting)" />.</strong>
        <fraction-text :text="` ${why(item)}`" />
      </span>
      <template v-if="item.problem?.outcome === 'doubtful'">
        <v-btn variant="outlined" @click="outbox.sendAgain(item.id, true)">Save</v-btn>
        <v-btn variant="outlined" @click="measureAgain(item)">Measure again</v-btn>
      </template>
      <template v-else>
        <v-btn v-if="isOf('start')(item)" variant="outlined" @click="moveToOpenWalk(item)">Move to the open walk</v-btn>
        <v-btn variant="outlined" @click="outbox.sendAgain(item.id, false)">Send again</v-btn>
        <v-btn variant="outlined" @click="outbox.discard(item.id)">Discard</v-btn>
      </template>
    </li>
  </ul>
</template>

<style scoped>
.problems {
  list-style: none;
  padding: 0;
  margin: 12px 24px;
  display: grid;
  gap: 8px;
}
li {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 10px;
  border-left: 5px solid var(--watch);
}
.text {
  flex: 1 1 260px;
}
</style>
