<script setup lang="ts">
import { computed, ref, toRef, watch } from 'vue'
import { useRouter } from 'vue-router'
import { api, body } from '@/api/client'
import { keys, queries } from '@/api/queries'
import type { PlaceRef, WalkGuide, WalkOrder } from '@/api/types'
import PlanterShell from '@/components/PlanterShell.vue'
import FinishWalk from './FinishWalk.vue'
import HowTo from './HowTo.vue'
import KeysHelp from './KeysHelp.vue'
import OrderChoice from './OrderChoice.vue'
import ReadingEntry from './ReadingEntry.vue'
import RowStations from './RowStations.vue'
import { useWalk } from './useWalk'

/** An open walk: one reading at a time, big. */
const props = defineProps<{ planterId: number; guide: WalkGuide; startAt?: PlaceRef }>()
const router = useRouter()
const walk = useWalk(props.planterId, toRef(props, 'guide'))
const { steps, current, checked, ofRow, doubts, canUndo } = walk

// The place asked for in the address counts once; coming back resumes at the next unchecked.
watch(
  () => props.startAt,
  (place) => {
    if (!place) return
    walk.goTo(place)
    void router.replace({ query: {} })
  },
  { immediate: true },
)

const dialog = ref<'none' | 'keys' | 'how-to' | 'finish'>('none')
const check = computed(() => props.guide.checks.find((candidate) => candidate.key === current.value.check))
const others = computed(() =>
  steps.value
    .filter((step) => step.check === current.value.check && step !== current.value && step.now?.mm != null)
    .map((step) => step.now?.mm as number),
)
const unchecked = computed(() => steps.value.filter((step) => step.now === null))
const order = computed({
  get: () => props.guide.walk.order,
  set: (value: WalkOrder) => void reorder(value),
})

async function reorder(value: WalkOrder): Promise<void> {
  const id = props.guide.walk.id
  queries.setQueryData<WalkGuide>(
    keys.walk(id),
    (guide) => guide && { ...guide, walk: { ...guide.walk, order: value } },
  )
  try {
    await body(api.PATCH('/api/walks/{walk}', { params: { path: { walk: id } }, body: { order: value } }))
  } catch {
    // Without a signal the order holds on this screen until the walk is read again.
  }
}

function onKey(key: string): void {
  const actions: Record<string, () => void> = {
    '[': () => walk.moveRow(-1),
    ']': () => walk.moveRow(1),
    '{': () => walk.moveStation(-1),
    '}': () => walk.moveStation(1),
    n: walk.recordNotFitted,
    u: walk.undo,
    h: () => (dialog.value = 'how-to'),
    '?': () => (dialog.value = 'keys'),
    '=': () => current.value.last && walk.recordSameAsLast(),
  }
  actions[key]?.()
}
</script>

<template>
  <planter-shell
    :planter-id="planterId"
    :ribbon="guide.ribbon"
    :sections="guide.planter.sections"
    :selected="current.row"
    @select="walk.goToRow"
  >
    <div class="desk">
      <row-stations class="stations" :steps="ofRow" :current="current" :checks="guide.checks" @go="walk.goTo" />
      <reading-entry
        v-if="check"
        class="entry"
        :step="current"
        :check="check"
        :row-count="guide.walk.row_count"
        :doubts="doubts"
        :others="others"
        :can-undo="canUndo"
        :held="dialog !== 'none'"
        @store="walk.recordTyped"
        @same-as-last="walk.recordSameAsLast"
        @not-fitted="walk.recordNotFitted"
        @key="onKey"
      />
      <how-to class="how-to" :step="current" />
    </div>
    <footer class="progress">
      <span class="count"
        ><strong>{{ checked }}</strong> of {{ steps.length }} readings</span
      >
      <v-progress-linear
        class="line"
        :model-value="(100 * checked) / steps.length"
        height="10"
        color="primary"
        rounded
        aria-label="Share of the walk that is done"
      />
      <order-choice v-model="order" class="order" />
      <v-btn
        :variant="unchecked.length === 0 ? 'flat' : 'outlined'"
        :color="unchecked.length === 0 ? 'primary' : undefined"
        @click="dialog = 'finish'"
        >Finish</v-btn
      >
    </footer>
    <keys-help v-if="dialog === 'keys'" @close="dialog = 'none'" />
    <v-dialog
      v-if="dialog === 'how-to'"
      model-value
      aria-label="How to measure"
      max-width="460"
      @update:model-value="dialog = 'none'"
    >
      <how-to :step="current" />
    </v-dialog>
    <finish-walk
      v-if="dialog === 'finish'"
      :walk="guide.walk"
      :planter-id="planterId"
      :unchecked="unchecked"
      @close="dialog = 'none'"
      @finished="router.push({ name: 'board', params: { planter: planterId } })"
    />
  </planter-shell>
</template>

<style scoped>
.desk {
  display: grid;
  grid-template-columns: 250px minmax(0, 1fr) 270px;
  gap: var(--gap);
  align-items: start;
  max-width: 1500px;
  margin: 0 auto;
}
.progress {
  position: fixed;
  inset: auto 0 0;
  z-index: 5;
  display: flex;
  align-items: center;
  gap: 16px;
  padding: 8px 24px;
  background: var(--card);
  border-top: 1px solid var(--line);
}
.count {
  white-space: nowrap;
}
.line {
  flex: 1;
  min-width: 60px;
}
.desk {
  padding-bottom: 72px;
}
@media (max-width: 1020px) {
  .desk {
    grid-template-columns: minmax(0, 1fr) 250px;
  }
  .stations {
    display: none;
  }
}
@media (max-width: 700px) {
  .desk {
    grid-template-columns: minmax(0, 1fr);
  }
  .progress {
    padding: 6px 10px;
    gap: 10px;
  }
  .order {
    display: none;
  }
}
</style>
