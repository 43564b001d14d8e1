<script setup lang="ts">
import { v7 as uuid } from 'uuid'
import { computed, onMounted, ref, useTemplateRef, watch } from 'vue'
import { api, body } from '@/api/client'
import type { Diagnosis, Symptom } from '@/api/types'
import RefusalList from '@/components/RefusalList.vue'
import { useSend } from '@/composables/useSend'
import { useOutbox } from '@/offline/outbox'
import { say, wordsOf } from '@/words'

/** What can be wrong with a row, by what is seen and by its own record: the likeliest first, and what to look at. */
const {
  planterId,
  row,
  walk,
  dug,
  first: known,
} = defineProps<{
  planterId: number
  row: number
  /** That is open. */
  walk?: string
  /** Changes when something new was dug. */
  dug: string
  /** What was told of the row already; by its last dig where nothing was. */
  first?: Symptom[]
}>()
const { send, refusal, busy } = useSend('The server does not answer. A diagnosis needs a signal.')
const outbox = useOutbox()
const panel = useTemplateRef('panel')
// Who asked from afar is led here.
onMounted(() => known && panel.value?.scrollIntoView({ block: 'nearest' }))
const told = ref<Diagnosis>()
const seen = ref<Symptom[]>([])
const put = ref('')
const name = (key: string) => say(`cause.${key}`)
const checks = (keys: string[]) => keys.map((key) => say(`check.${key}`).toLowerCase()).join(', ')

/** By the row's last dig where nothing is said by hand. */
async function ask(byHand?: Symptom[]): Promise<void> {
  put.value = ''
  const asked = row
  await send(async () => {
    const answer = await body(
      api.POST('/api/planters/{planter}/diagnosis', {
        params: { path: { planter: planterId } },
        body: {
          row: asked,
          ...(byHand ? { seen: byHand, absent: told.value?.absent.filter((one) => !byHand.includes(one)) } : {}),
        },
      }),
    )
    // Another row was chosen meanwhile.
    if (asked !== row) return
    told.value = answer
    seen.value = answer.seen
  })
  if (asked !== row) await ask()
}
watch(
  () => [row, dug],
  () => {
    told.value = undefined
    seen.value = []
    void ask(known)
  },
  { immediate: true },
)
async function toggle(symptom: Symptom): Promise<void> {
  seen.value = seen.value.includes(symptom) ? seen.value.filter((one) => one !== symptom) : [...seen.value, symptom]
  await ask(seen.value)
}
/** What can be put up: a condition that the row's record does not find amiss by itself already. */
const upFor = (cause: Diagnosis['causes'][number]) =>
  cause.looks.find((one) => !one.figure && !cause.record.includes(one.check))
/** Says on the board that it is to be seen to: Decide takes it from there. */
async function toDecide(cause: Diagnosis['causes'][number]): Promise<void> {
  const look = upFor(cause)
  if (!look || walk === undefined) return
  const taken_at = new Date().toISOString()
  const text = `Seen in the field: ${cause.because.map((one) => say(`symptom.${one}`)).join(', ')}. ${name(cause.key)}, ${Math.round(100 * cause.chance)}%.`
  // What you see of a row is seen of each of its sides until somebody looks.
  const places = cause.looks
    .filter((one) => one.check === look.check)
    .map(({ check, side, of_planter }) => ({
      row: of_planter ? 0 : row,
      check,
      side,
    }))
  const readings = places.map((place) => ({
    id: uuid(),
    ...place,
    units: 'in' as const,
    state: 'watch' as const,
    chips: [],
    taken_at,
  }))
  const notes = places.map((place) => ({
    id: uuid(),
    ...place,
    kind: 'note' as const,
    text: text.slice(0, 300),
    taken_at,
  }))
  await outbox.add(
    ...readings.map((body) => ({ what: 'reading' as const, id: body.id, walk, planter: planterId, body })),
    ...notes.map((body) => ({ what: 'note' as const, id: body.id, walk, planter: planterId, body })),
  )
  put.value = cause.key
}
const first = computed(() => told.value?.first)
</script>

<template>
  <section ref="panel" class="sheet" aria-label="Diagnosis">
    <h2>What’s wrong with row {{ row }}?</h2>
    <details :open="seen.length > 0 && !known">
      <summary>What you see</summary>
      <div class="seen" role="group" aria-label="What you see">
        <button
          v-for="one in wordsOf('symptom') as Symptom[]"
          :key="one"
          type="button"
          :disabled="busy"
          :aria-pressed="seen.includes(one)"
          @click="toggle(one)"
        >
          {{ say(`symptom.${one}`) }}
        </button>
      </div>
    </details>
    <refusal-list :refusal="refusal" />
    <p v-if="told && told.causes.length === 0" class="quiet">
      The last dig shows no problem, or there was none. Tap what you see on this row.
    </p>
    <template v-else-if="told">
      <p v-if="first">
        <strong>Check first: {{ name(first.key) }}.</strong>
        <span class="quiet first">{{ first.minutes }} min, best use of your time.</span>
      </p>
      <p v-if="told.apart" class="due">To tell the two most likely causes apart, check: {{ name(told.apart) }}.</p>
      <ol>
        <li v-for="cause in told.causes" :key="cause.key">
          <strong class="chance">{{ Math.round(100 * cause.chance) }}%</strong>
          <div>
            <span class="bar"><span :style="{ width: `${100 * cause.chance}%` }" /></span>
            <strong>{{ name(cause.key) }}</strong>
            <span class="line quiet">{{ cause.why }}</span>
            <span v-if="cause.because.length > 0" class="line"
              >Because: {{ cause.because.map((one) => say(`symptom.${one}`)).join(', ') }}.</span
            >
            <span v-if="cause.record.length > 0" class="line due">This row’s record: {{ checks(cause.record) }}.</span>
            <span v-if="cause.against.length > 0" class="line quiet"
              >Against it: {{ checks(cause.against) }} sound.</span
            >
            <span class="does">
              <v-btn
                v-for="look in cause.looks.slice(0, 1)"
                :key="look.check"
                variant="text"
                :to="{ name: 'walk', params: { planter: planterId }, query: { row, check: look.check } }"
                >Check: {{ say(`check.${look.check}`).toLowerCase() }}</v-btn
              >
              <v-btn
                v-if="walk && upFor(cause) && put !== cause.key"
                variant="text"
                :aria-label="`Send to Decide: ${name(cause.key)}`"
                @click="toDecide(cause)"
                >To Decide</v-btn
              >
              <span v-if="put === cause.key" role="status" class="quiet">Sent to Decide.</span>
            </span>
          </div>
        </li>
      </ol>
    </template>
  </section>
</template>

<style scoped>
h2,
p {
  margin: 4px 0;
}
summary {
  display: flex;
  align-items: center;
  min-height: var(--touch);
  font-weight: 700;
  cursor: pointer;
}
.seen {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
}
.seen button {
  min-height: var(--touch);
  padding: 2px 12px;
  font: inherit;
  color: inherit;
  background: none;
  border: 1px solid var(--line);
  border-radius: 6px;
  cursor: pointer;
}
.seen button[aria-pressed='true'] {
  font-weight: 700;
  color: var(--accent);
  background: var(--accent-weak);
  border-color: var(--accent);
}
ol {
  margin: 8px 0;
  padding: 0;
  list-style: none;
}
li {
  display: grid;
  grid-template-columns: 56px minmax(0, 1fr);
  gap: 10px;
  padding: 8px 0;
  border-top: 1px solid var(--line);
}
.chance {
  text-align: right;
}
.bar {
  display: block;
  height: 8px;
  margin: 8px 0 4px;
  background: var(--line);
  border-radius: 4px;
}
.bar > span {
  display: block;
  height: 100%;
  background: var(--accent);
  border-radius: 4px;
}
.line {
  display: block;
}
.first {
  margin-left: 8px;
}
.due {
  color: var(--ochre);
}
.does {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
}
</style>
