<script setup lang="ts">
import { useIntervalFn } from '@vueuse/core'
import { computed, ref, toRef, watch } from 'vue'
import { useRouter } from 'vue-router'
import { api, body } from '@/api/client'
import { askForNews, editGuide } from '@/api/queries'
import type { PlaceRef, Walk, WalkGuide } from '@/api/types'
import PlanterPage from '@/components/PlanterPage.vue'
import { say } from '@/words'
import FinishWalk from './FinishWalk.vue'
import HowTo from './HowTo.vue'
import KeysHelp from './KeysHelp.vue'
import OrderChoice from './OrderChoice.vue'
import PlaceRemarks from './PlaceRemarks.vue'
import ReadingEntry from './ReadingEntry.vue'
import RemarkDialog from './RemarkDialog.vue'
import RowStations from './RowStations.vue'
import StationChoice from './StationChoice.vue'
import { useWalk } from './useWalk'
import WalkProgress from './WalkProgress.vue'

/** An open walk: one reading at a time, big. */
const props = defineProps<{ planterId: number; guide: WalkGuide; startAt?: PlaceRef }>()
const NEWS_EVERY_MS = 4_000

const router = useRouter()
const walk = useWalk(props.planterId, toRef(props, 'guide'))
const { steps, current, check, unchecked } = walk
const open = computed(() => props.guide.walk as Walk)

// Another's readings on the same planter come in by themselves.
useIntervalFn(() => void askForNews(props.planterId, open.value.id), NEWS_EVERY_MS)

const dialog = ref<'none' | 'keys' | 'how-to' | 'remark' | 'stations' | 'finish'>('none')
const close = () => (dialog.value = 'none')
const order = computed({ get: () => open.value.order, set: (order) => void change({ order }) })

async function change(edit: Partial<Pick<Walk, 'order' | 'checks'>>): Promise<void> {
  editGuide(props.planterId, (guide) => ({ ...guide, walk: guide.walk && { ...guide.walk, ...edit } }))
  try {
    await body(api.PATCH('/api/walks/{walk}', { params: { path: { walk: open.value.id } }, body: edit }))
  } catch {
    // Without a signal the choice holds on this device until the walk is read again.
  }
}

// The place asked for in the address counts once; coming back resumes at the next unchecked.
watch(
  () => props.startAt,
  (place) => {
    if (!place) return
    // A check that is not walked today is asked for all the same: from now on it is.
    if (!open.value.checks.includes(place.check)) void change({ checks: [...open.value.checks, place.check] })
    walk.goTo(place)
    void router.replace({ query: {} })
  },
  { immediate: true },
)

function onKey(key: string): void {
  const actions: Record<string, () => void> = {
    '[': () => walk.moveRow(-1),
    ']': () => walk.moveRow(1),
    '{': () => walk.moveStation(-1),
    '}': () => walk.moveStation(1),
    n: walk.recordNotFitted,
    u: walk.undo,
    h: () => (dialog.value = 'how-to'),
    m: () => (dialog.value = 'remark'),
    R: walk.recordRestOfRow,
    S: walk.recordRestOfStation,
    '?': () => (dialog.value = 'keys'),
    '=': () => current.value.last && walk.recordSameAsLast(),
  }
  actions[key]?.()
}
</script>

<template>
  <planter-page :planter-id="planterId" :of="guide" :selected="current.row" :select="walk.goToRow">
    <div class="desk">
      <row-stations
        class="stations"
        :steps="walk.ofRow.value"
        :current="current"
        :check-of="walk.checkOf"
        @go="walk.goTo"
      />
      <div class="middle">
        <!-- Where the how-to has no room, the caution still stands where the hand is. -->
        <button type="button" class="mind" @click="dialog = 'how-to'">{{ say(`caution.${check.station}`) }}</button>
        <place-remarks :guide="guide" :place="current" :station="check.station" />
        <reading-entry
          :step="current"
          :check="check"
          :row-count="open.row_count"
          :bands="walk.bands.value"
          :doubts="walk.doubts.value"
          :others="walk.others.value"
          :can-undo="walk.canUndo.value"
          :rest-of-row="walk.restOfRow.value.length"
          :rest-of-station="walk.restOfStation.value.length"
          :held="dialog !== 'none'"
          @store="walk.recordTyped"
          @state="walk.recordState"
          @same-as-last="walk.recordSameAsLast"
          @not-fitted="walk.recordNotFitted"
          @key="onKey"
        />
      </div>
      <how-to class="how-to" tabindex="0" :check="check" />
    </div>
    <walk-progress
      v-model:order="order"
      :done="steps.length - unchecked.length"
      :places="steps.length"
      :seconds-a-reading="guide.seconds_a_reading"
      @stations="dialog = 'stations'"
      @finish="dialog = 'finish'"
    />
    <keys-help v-if="dialog === 'keys'" @close="close" />
    <v-dialog
      v-if="dialog === 'how-to'"
      model-value
      aria-label="How to measure"
      max-width="460"
      @update:model-value="close"
    >
      <how-to :check="check" />
    </v-dialog>
    <remark-dialog v-if="dialog === 'remark'" :planter-id="planterId" :walk="open.id" :place="current" @close="close" />
    <v-dialog
      v-if="dialog === 'stations'"
      model-value
      aria-label="Stations today"
      max-width="620"
      scrollable
      @update:model-value="close"
    >
      <div class="sheet asks">
        <h2>Stations today</h2>
        <p class="quiet">What was read at the others stays.</p>
        <order-choice v-model="order" />
        <station-choice
          :model-value="open.checks"
          :checks="guide.checks"
          @update:model-value="change({ checks: $event as Walk['checks'] })"
        />
        <v-btn color="primary" block @click="close">Carry on</v-btn>
      </div>
    </v-dialog>
    <finish-walk
      v-if="dialog === 'finish'"
      :walk="open"
      :planter-id="planterId"
      :unchecked="unchecked"
      @close="close"
      @finished="router.push({ name: 'findings', params: { planter: planterId } })"
    />
  </planter-page>
</template>

<style scoped>
.desk {
  display: grid;
  grid-template-columns: 250px minmax(0, 1fr) 270px;
  gap: var(--gap);
  align-items: start;
  max-width: 1500px;
  margin: 0 auto;
  /* With the phase's own, room for the line at the foot. */
  padding-bottom: 46px;
}
.middle {
  display: grid;
  gap: 10px;
}
/* Between ribbon and foot, so that the page itself stays where it is. */
.how-to {
  max-height: calc(100dvh - 230px);
  overflow-y: auto;
}
.mind {
  display: none;
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
    padding-bottom: 110px;
  }
  .how-to {
    display: none;
  }
  .mind {
    display: block;
    min-height: var(--touch);
    padding: 3px 10px;
    border-left: 5px solid var(--ochre);
    background: var(--card);
    font-size: 0.8125rem;
    line-height: 1.35;
    text-align: left;
  }
  .middle {
    gap: 6px;
  }
}
</style>
