<script setup lang="ts">
import { computed, ref } from 'vue'
import { api, body } from '@/api/client'
import { useFace, useYard } from '@/api/queries'
import { useWork } from '@/work/queries'
import type { PlannedPiece, WorkPiece, WorkPlan } from '@/api/types'
import DropMenu from '@/components/DropMenu.vue'
import MenuLine from '@/components/MenuLine.vue'
import PlanterPage from '@/components/PlanterPage.vue'
import RefusalList from '@/components/RefusalList.vue'
import { useAsked } from '@/composables/useAsked'
import { useSend } from '@/composables/useSend'
import { say } from '@/words'
import DayList from './DayList.vue'
import DoneList from './DoneList.vue'
import { closedBy, withoutClosed } from './hands'
import InSeasonPanel from './InSeasonPanel.vue'
import KeptNote from './KeptNote.vue'
import OwnJob from './OwnJob.vue'
import PlanLanes from './PlanLanes.vue'
import { apart, arrivalsOf, dayOf, sayApart, sayInTime, sayMinutes, sayPiece } from './plan'
import RainPanel from './RainPanel.vue'
import SetByHand from './SetByHand.vue'
import { useHandsEntries } from './useHandsEntries'
import WorkCard from './WorkCard.vue'
import { weekDate } from '@/dates'

/** What was decided as a plan: who does what when, what settles the end, and what would change it. */
const { planterId } = defineProps<{ planterId: number }>()
const { data: face } = useFace(() => planterId)
const { data: yard } = useYard()
const together = ref(false)
const query = useWork(() => planterId, together)
const { waiting } = useHandsEntries(() => planterId)
/** As it will be once what waits on this device has gone up: what is finished is no longer in it. */
const plan = computed(() => query.data.value && withoutClosed(query.data.value, closedBy(waiting.value)))
const arrivals = computed(() => arrivalsOf(plan.value?.pieces ?? []))
/** Part types that something waits for, each once. */
const late = computed(() => [
  ...new Map(arrivals.value.filter(({ id }) => id !== null).map((part) => [part.id, part])).values(),
])
const { send, refusal, busy } = useSend()
const answer = ref('')
const card = ref<WorkPiece[]>()
const adding = ref(false)
const moved = ref<PlannedPiece>()

const pieces = computed(() => [...(plan.value?.pieces ?? []), ...(plan.value?.undated ?? [])])
useAsked(
  'card',
  (key) => {
    const piece = pieces.value.find((one) => one.key === key)
    card.value = piece && [piece]
  },
  pieces,
)

const ready = computed(() => {
  const now = plan.value
  if (!now) return ''
  if (now.pieces.length === 0) return now.undated.length === 0 ? 'No work decided' : 'Nothing can be scheduled yet'
  return `Ready on ${weekDate(dayOf(now.ends ?? ''))}${now.planting ? `, ${sayPlanting(now)}` : ''}`
})
function sayPlanting({ late, planting, ends }: WorkPlan): string {
  if (late !== null && late > 0) return `${sayApart(late)} too late for planting`
  const days = Math.max(0, Math.ceil(apart(ends ?? '', `${planting}T00:00`) / 1440))
  return days === 0 ? 'and planting has begun' : `${days} ${days === 1 ? 'day' : 'days'} before planting`
}
const people = computed(() => plan.value?.people.length ?? 0)
const chain = computed(() => {
  const pieces = new Map(plan.value?.pieces.map((piece) => [piece.key, piece]))
  return (plan.value?.chain ?? []).slice(-3).flatMap(({ key, cause }) => {
    const piece = pieces.get(key)
    return piece ? [{ key, said: sayPiece(piece), cause: say(`cause.${cause}`) }] : []
  })
})
const manyPlanters = computed(() => (yard.value ?? []).length > 1)

/** Asks for the plan as it would be, and says what that changes. */
async function ask(what: string, changed: Record<string, string>): Promise<void> {
  answer.value = ''
  await send(async () => {
    const query = { together: together.value ? ('1' as const) : ('0' as const), ...changed }
    const then = await body(
      api.GET('/api/planters/{planter}/work', { params: { path: { planter: planterId }, query } }),
    )
    const now = plan.value
    if (!now?.ends || !then.ends) return
    const sooner = apart(then.ends, now.ends)
    const moved =
      sooner === 0
        ? 'ready at the same time'
        : `ready on ${weekDate(dayOf(then.ends))}, ${sayApart(sooner)} ${sooner > 0 ? 'sooner' : 'later'}`
    answer.value = `${what}: ${moved}${then.planting ? `, ${sayPlanting(then)}` : ''}.`
  })
}
</script>

<template>
  <planter-page :planter-id="planterId" :of="face" :error="query.error.value" @again="query.refetch()">
    <div v-if="plan" class="work">
      <header>
        <div>
          <h1>{{ ready }}</h1>
          <p class="quiet">
            {{ sayMinutes(plan.minutes) }} of work, {{ people }} {{ people === 1 ? 'person' : 'people' }}
            <template v-if="plan.saved > 0"> · shared access saves {{ sayMinutes(plan.saved) }}</template>
            <template v-if="!plan.best && plan.end_over > 0">
              · no plan can finish more than {{ sayApart(plan.end_over) }} sooner</template
            >
          </p>
          <p v-if="!together" class="out">
            <a :href="`/api/planters/${planterId}/work/ready.pdf`" download>Sign-off sheet</a>
            <a v-if="plan.pieces.length > 0" :href="`/api/planters/${planterId}/work/cards.pdf`" download
              >Print cards</a
            >
            <a v-if="plan.pieces.length > 0" :href="`/api/planters/${planterId}/work/plan.ics`" download
              >Add to calendar</a
            >
            <a v-if="plan.pieces.length > 0" :href="`/api/planters/${planterId}/work/plan.csv`" download>Export CSV</a>
          </p>
        </div>
        <div class="asks-if">
          <div v-if="manyPlanters" class="segments" role="group" aria-label="What is planned">
            <button type="button" :aria-pressed="!together" @click="((together = false), (answer = ''))">
              This planter
            </button>
            <button type="button" :aria-pressed="together" @click="((together = true), (answer = ''))">
              All planters
            </button>
          </div>
          <v-btn variant="outlined" @click="adding = true">Add a job</v-btn>
          <template v-if="plan.pieces.length > 0">
            <v-btn variant="outlined" :loading="busy" @click="ask('With one more person', { more_people: '1' })"
              >One more person?</v-btn
            >
            <v-btn variant="outlined" :loading="busy" @click="ask('Planting five days sooner', { sooner: '5' })"
              >Planting 5 days sooner?</v-btn
            >
            <drop-menu v-if="late.length > 0">
              <template #button="opens">
                <v-btn variant="outlined" :loading="busy" v-bind="opens">A part a week late?</v-btn>
              </template>
              <menu-line
                v-for="part in late"
                :key="part.id ?? 0"
                :title="part.name"
                @click="ask(`${part.name} a week late`, { late_part: `${part.id}`, late_by: '7' })"
              />
            </drop-menu>
          </template>
        </div>
      </header>
      <p v-if="answer" class="answer" role="status">{{ answer }}</p>
      <refusal-list v-if="refusal" :refusal="refusal" />
      <p v-if="(plan.late ?? 0) > 0" class="due">{{ sayInTime(plan) }}</p>
      <p v-if="people === 0" class="due">
        No one has work hours. Set them in <router-link :to="{ name: 'shop' }">Shop figures</router-link> to get a plan.
      </p>
      <p v-if="plan.pieces.length === 0 && plan.undated.length === 0">
        Jobs you accept in
        <router-link :to="{ name: 'decide', params: { planter: planterId } }">Decide</router-link> show up here.
      </p>
      <kept-note
        v-if="plan.pieces.length > 0"
        :planter-id="planterId"
        :together="together"
        :plan="plan"
        class="sheet"
      />
      <plan-lanes v-if="plan.pieces.length > 0" :plan="plan" :arrivals="arrivals" />
      <section v-if="chain.length > 0 || arrivals.length > 0" class="sheet notes">
        <div v-if="chain.length > 0">
          <h2>What sets the finish date</h2>
          <ol>
            <li v-for="link in chain" :key="link.key">{{ link.said }}: {{ link.cause }}</li>
          </ol>
        </div>
        <div v-if="arrivals.length > 0">
          <h2>Parts on the way</h2>
          <ul>
            <li v-for="part in arrivals" :key="`${part.id} ${part.on} ${part.ordered}`">
              {{ part.count }} × {{ part.name }}: {{ part.ordered ? 'comes' : 'if ordered today,' }}
              {{ weekDate(part.on) }}
            </li>
          </ul>
          <router-link :to="{ name: 'store' }">Go to parts</router-link>
        </div>
      </section>
      <section v-if="plan.undated.length > 0" class="sheet undated" aria-label="Cannot be scheduled">
        <h2>Cannot be scheduled</h2>
        <p class="quiet">Parts have no date, or no part is chosen. If you have them, go ahead.</p>
        <ul>
          <li v-for="piece in plan.undated" :key="piece.key">
            {{ sayPiece(piece) }}
            <span
              v-for="part in piece.parts.filter((one) => !one.here && one.on === null)"
              :key="`${part.slot} ${part.side}`"
              class="quiet"
            >
              · {{ part.name ?? `no part chosen for ${say(`slot.${part.slot}`)}` }}</span
            >
            <v-btn variant="outlined" :aria-label="`Card: ${sayPiece(piece)}`" @click="card = [piece]">Card</v-btn>
          </li>
        </ul>
      </section>
      <day-list
        v-if="plan.pieces.length > 0"
        :plan="plan"
        :planters="together ? (yard ?? []) : []"
        @card="card = $event"
        @move="moved = $event"
      />
      <own-job
        v-if="adding && face"
        :planter-id="planterId"
        :row-count="face.planter.row_count"
        @close="adding = false"
      />
      <set-by-hand
        v-if="moved"
        :piece="moved"
        :plan="plan"
        :planter-id="planterId"
        :together="together"
        @close="moved = undefined"
      />
      <work-card
        v-if="card"
        :pieces="card"
        :planter="face?.planter.id === card[0]?.planter ? face?.planter : undefined"
        @close="card = undefined"
      />
      <done-list :planter-id="planterId" />
      <rain-panel :planter-id="planterId" />
      <in-season-panel :planter-id="planterId" />
    </div>
  </planter-page>
</template>

<style scoped>
.work {
  display: grid;
  grid-template-columns: repeat(2, minmax(0, 1fr));
  align-items: start;
  gap: 14px;
  max-width: 1240px;
  margin: 0 auto;
}
.work > :deep(*) {
  grid-column: 1 / -1;
}
.work > :deep(.half) {
  grid-column: auto;
}
header {
  display: flex;
  flex-wrap: wrap;
  justify-content: space-between;
  gap: 8px 20px;
}
header p,
.answer {
  margin: 0;
}
.asks-if {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px;
}
.out {
  display: flex;
  flex-wrap: wrap;
  gap: 0 20px;
}
.out a {
  display: inline-flex;
  align-items: center;
  min-height: var(--touch);
}
.answer {
  font-weight: 700;
}
.notes {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(320px, 1fr));
  gap: 10px 24px;
}
ol,
ul {
  margin: 4px 0;
  padding-left: 20px;
}
h2 {
  font-size: 1.0625rem;
}
.undated p {
  margin: 0;
}
.undated ul {
  padding: 0;
  list-style: none;
}
.undated li {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px 10px;
  padding: 2px 0;
  border-top: 1px solid var(--line);
}
.undated li .v-btn {
  margin-left: auto;
}
.due {
  color: var(--ochre);
}
a {
  color: var(--accent);
}
@media (max-width: 1000px) {
  .work > :deep(.half) {
    grid-column: 1 / -1;
  }
}
</style>
