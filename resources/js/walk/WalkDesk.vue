<script setup lang="ts">
import { useIntervalFn, useMediaQuery } from '@vueuse/core'
import { computed, defineAsyncComponent, ref, toRef, watch } from 'vue'
import { useRouter } from 'vue-router'
import { api, body } from '@/api/client'
import { askForNews, editGuide } from '@/walk/guide'
import type { PlaceRef, Walk, WalkGuide, WalkStep } from '@/api/types'
import PlanterPage from '@/components/PlanterPage.vue'
import { say } from '@/words'
import OtherRows from './OtherRows.vue'
import PlaceRemarks from './PlaceRemarks.vue'
import ReadingEntry from './single/ReadingEntry.vue'
import RowStations from './RowStations.vue'
import { unitAt } from '@/unit/unitAt'
import StationCard from './station/StationCard.vue'
import { useStops } from './station/useStops'
import { useWalk } from './useWalk'
import { useWalkView } from './view'
import WalkProgress from './WalkProgress.vue'

/** An open walk: a station at a time, or one reading, big. */
const props = defineProps<{ planterId: number; guide: WalkGuide; startAt?: PlaceRef }>()
const NEWS_EVERY_MS = 4_000

// Not needed to begin with: loaded when opened, or where there is room for it beside the walk.
const FinishWalk = defineAsyncComponent(() => import('./FinishWalk.vue'))
const HowTo = defineAsyncComponent(() => import('./HowTo.vue'))
const HowToDialog = defineAsyncComponent(() => import('./HowToDialog.vue'))
const KeysHelp = defineAsyncComponent(() => import('./KeysHelp.vue'))
const RemarkDialog = defineAsyncComponent(() => import('./RemarkDialog.vue'))
const WalkChoice = defineAsyncComponent(() => import('./WalkChoice.vue'))

const router = useRouter()
const walk = useWalk(props.planterId, toRef(props, 'guide'))
const { steps, current, check, unchecked } = walk
const stops = useStops(toRef(props, 'guide'), walk)
const { stop } = stops
const view = useWalkView()
/** What of the station is being looked at. */
const reached = ref<WalkStep>()
const inHand = computed(() =>
  view.value === 'station' && reached.value && stops.isHere(reached.value) ? reached.value : current.value,
)
const open = computed(() => props.guide.walk as Walk)
const nth = computed(() => {
  const ofRow = stops.stops.value.filter(({ row }) => row === stop.value.row)
  const pack = open.value.pack ? ` · pack “${open.value.pack}”` : ''
  return `station ${ofRow.indexOf(stop.value) + 1} of ${ofRow.length}${pack}`
})

// Another's readings on the same planter come in by themselves.
useIntervalFn(() => void askForNews(props.planterId, open.value.id), NEWS_EVERY_MS)

/** On a phone there is no room beside the walk: how to measure is a tap away. */
const isWide = useMediaQuery('(min-width: 701px)')
const dialog = ref<'none' | 'keys' | 'how-to' | 'remark' | 'pack' | 'finish'>('none')
const close = () => (dialog.value = 'none')

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
    <div :class="['desk', view]">
      <row-stations
        v-if="view === 'single'"
        class="stations"
        :unit="unitAt(guide.planter, inHand.row)"
        :steps="walk.ofRow.value"
        :current="current"
        :check-of="walk.checkOf"
        @go="walk.goTo"
      />
      <div class="middle">
        <!-- Where the how-to has no room, the caution still stands where the hand is. -->
        <button type="button" class="mind" @click="dialog = 'how-to'">
          {{ say(check.running ? 'caution.running' : `caution.${check.station}`) }}
        </button>
        <place-remarks :guide="guide" :place="inHand" :station="check.station" />
        <station-card
          v-if="view === 'station'"
          :stop="stop"
          :check-of="walk.checkOf"
          :bands-of="walk.bandsOf"
          :doubts-of="walk.doubtsOf"
          :others-of="walk.othersOf"
          :row-count="open.row_count"
          :nth="nth"
          :next="stops.next.value"
          :can-undo="walk.canUndo.value"
          :held="dialog !== 'none'"
          @typed="stops.typed"
          @say="stops.say"
          @not-fitted="stops.notFitted"
          @same-as-last="stops.sameAsLast"
          @on="stops.restIsSound"
          @reach="reached = $event"
          @key="onKey"
        />
        <reading-entry
          v-else
          :step="current"
          :check="check"
          :row-count="open.row_count"
          :bands="walk.bandsOf(current)"
          :doubts="walk.doubtsOf(current)"
          :others="walk.othersOf(current)"
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
      <div v-if="isWide" class="how-to" tabindex="0">
        <how-to :planter-id="planterId" :check="walk.checkOf(inHand)" :sheet="guide.planter.spec_sheet" />
        <other-rows v-if="view === 'station'" :guide="guide" :place="inHand" :check="walk.checkOf(inHand)" />
      </div>
    </div>
    <template #foot>
      <walk-progress
        v-model:view="view"
        :planter-id="planterId"
        :done="steps.length - unchecked.length"
        :places="steps.length"
        :seconds-a-reading="guide.seconds_a_reading"
        @pack="dialog = 'pack'"
        @finish="dialog = 'finish'"
      />
    </template>
    <keys-help v-if="dialog === 'keys'" :view="view" @close="close" />
    <how-to-dialog
      v-if="dialog === 'how-to'"
      :planter-id="planterId"
      :check="walk.checkOf(inHand)"
      :sheet="guide.planter.spec_sheet"
      @close="close"
    />
    <remark-dialog v-if="dialog === 'remark'" :planter-id="planterId" :walk="open.id" :place="inHand" @close="close" />
    <walk-choice
      v-if="dialog === 'pack'"
      v-model:view="view"
      :walk="open"
      :checks="guide.checks"
      @change="change"
      @close="close"
    />
    <finish-walk
      v-if="dialog === 'finish'"
      :walk="open"
      :planter-id="planterId"
      :unchecked="unchecked"
      @close="close"
      @finished="router.push({ name: 'decide', params: { planter: planterId } })"
    />
  </planter-page>
</template>

<style scoped>
.desk {
  display: grid;
  grid-template-columns: 250px minmax(0, 1fr) 270px;
  grid-template-rows: minmax(0, 1fr);
  gap: var(--gap);
  align-items: start;
  max-width: 1500px;
  height: 100%;
  margin: 0 auto;
}
.desk.station {
  grid-template-columns: minmax(0, 1fr) 270px;
}
.middle {
  display: flex;
  flex-direction: column;
  gap: 10px;
  max-height: 100%;
  min-height: 0;
}
.single .middle {
  max-height: none;
}
.how-to {
  display: grid;
  gap: 12px;
  max-height: 100%;
  overflow-y: auto;
}
.mind {
  display: none;
}
@media (max-width: 1020px) {
  .desk.single {
    grid-template-columns: minmax(0, 1fr) 250px;
  }
  .desk.station {
    grid-template-columns: minmax(0, 1fr) 220px;
  }
  .stations {
    display: none;
  }
}
@media (max-width: 700px) {
  .desk.single,
  .desk.station {
    grid-template-columns: minmax(0, 1fr);
  }
  .mind {
    flex: none;
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
