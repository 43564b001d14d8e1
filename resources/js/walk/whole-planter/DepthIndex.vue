<script setup lang="ts">
import { computed } from 'vue'
import { api, body } from '@/api/client'
import { useDepthIndex } from '@/plan/queries'
import FractionText from '@/components/FractionText.vue'
import LoadProblem from '@/components/LoadProblem.vue'
import { useSend } from '@/composables/useSend'
import { useUnits } from '@/composables/useUnits'
import BlocksDrawing from '@/drawings/BlocksDrawing.vue'
import { say } from '@/words'
import { useSession } from '@/session'

const session = useSession()
/** The rows' depth stops against each other: what each row carries or is moved by, and what is won by it. */
const { planterId, walk } = defineProps<{ planterId: number; walk: string; rows: number }>()
const { length } = useUnits()
const query = useDepthIndex(() => walk)
const index = computed(() => query.data.value)
/** What a shop can do about rows that do not lift alike. */
const schools = ['handle', 'reindex'] as const
const { send, refusal } = useSend()
const choose = (depth_school: (typeof schools)[number]) =>
  send(async () => {
    await body(api.PATCH('/api/workshop', { body: { depth_school } }))
    await query.refetch()
  })
const setOf = computed(() => new Map(index.value?.set.map((row) => [row.row, row])))
/** What is set now, and where it belongs if that is elsewhere. */
function wordSet(row: number): string {
  const set = setOf.value.get(row)
  if (!set) return ''
  return set.aim === null || Math.abs(set.notch - set.aim) <= 0.5
    ? `set at ${set.notch}`
    : `set at ${set.notch}: belongs at ${set.aim}`
}
const isOut = (row: number) => wordSet(row).includes('belongs')
const missing = computed(() => index.value?.missing.join(', ') ?? '')
const toMove = computed(() => index.value?.rows.filter((row) => row.move !== 0) ?? [])
const furthest = computed(() => Math.max(2, ...(index.value?.rows.map((row) => Math.abs(row.offset)) ?? [])))
/** Whole and half notches, as they are said. */
function notches(count: number): string {
  const far = Math.abs(count)
  const figure = far % 1 === 0 ? `${far}` : `${Math.floor(far) || ''}½`
  return `${figure} ${far > 0 && far <= 1 ? 'notch' : 'notches'}`
}
function wordOf(move: number): string {
  const far = notches(move)
  if (index.value?.school === 'handle') return `${far} ${move > 0 ? 'higher' : 'lower'}`
  return `scale ${move > 0 ? 'up' : 'down'} ${far}`
}
</script>

<template>
  <section class="sheet">
    <h2>Depth index</h2>
    <load-problem :error="query.error.value" @again="query.refetch()" />
    <template v-if="index">
      <template v-if="index.median === null">
        <blocks-drawing />
        <p v-if="index.blades.length > 0">
          From blade wear only, until measured:
          <strong v-for="{ row, move } in index.blades" :key="row" class="blades"
            >row {{ row }} {{ notches(move) }} {{ move > 0 ? 'higher' : 'lower' }}</strong
          >. A worn blade cuts shallower by half the diameter it has lost.
        </p>
        <p v-if="index.set.some(({ row }) => isOut(row))" class="change">
          <strong v-for="{ row } in index.set.filter((one) => isOut(one.row))" :key="row" class="blades"
            >Row {{ row }} {{ wordSet(row) }}</strong
          >
        </p>
        <p>Put equal blocks under all gauge wheels. Record the notch where each row’s wheels just lift.</p>
        <p v-if="index.missing.length < rows">Measure most rows to get advice. Missing: rows {{ missing }}.</p>
        <v-btn
          v-if="session.may('record')"
          variant="outlined"
          :to="{ name: 'walk', params: { planter: planterId }, query: { row: 1, check: 'depth_stop_notch' } }"
          >Read the notches</v-btn
        >
      </template>
      <template v-else>
        <p v-if="index.missing.length > 0" class="quiet">Not measured yet: rows {{ missing }}.</p>
        <div class="segments" role="group" aria-label="Rows that lift differently">
          <button
            v-for="value in schools"
            :key="value"
            type="button"
            :aria-pressed="index.school === value"
            :disabled="!session.may('set')"
            @click="choose(value)"
          >
            {{ say(`depth_school.${value}`) }}
          </button>
        </div>
        <p v-if="refusal" class="change" role="alert">{{ refusal.message }}</p>
        <p>
          The rows’ wheels lift at notch <strong>{{ index.median }}</strong> in the middle. A row that lifts higher
          plants shallower at the same notch; one notch is <fraction-text :text="length(index.notch_mm)" />.
        </p>
        <ol class="rows">
          <li
            v-for="row in index.rows"
            :key="row.row"
            :class="{ change: row.move !== 0 && index.school === 'reindex' }"
          >
            <span class="row">{{ row.row }}</span>
            <span class="bar" aria-hidden="true"
              ><span
                :style="{
                  left: `${50 + (Math.min(0, row.offset) / furthest) * 50}%`,
                  width: `${(Math.abs(row.offset) / furthest) * 50}%`,
                }"
            /></span>
            <span class="notch">{{ row.notch }}</span>
            <strong class="move">{{ row.move === 0 ? '' : wordOf(row.move) }}</strong>
            <span :class="['set', isOut(row.row) ? 'change' : 'quiet']">{{ wordSet(row.row) }}</span>
          </li>
        </ol>
        <p v-if="toMove.length === 0">Nothing to correct: set all rows to the same notch.</p>
        <template v-else>
          <p v-if="index.school === 'handle'">
            Always set these rows that much higher or lower than the rest; each row’s card shows its notch. With all
            rows at the same notch, depth differs by
            {{ notches(index.spread_before ?? 0) }}; set this way, by {{ notches(index.spread_after ?? 0) }}.
          </p>
          <p v-else>
            Move the depth stops by this much, then measure again. A row within {{ notches(index.tolerance) }} can stay.
            Depth differs by {{ notches(index.spread_before ?? 0) }} now, by
            {{ notches(index.spread_after ?? 0) }} after it.
          </p>
        </template>
      </template>
    </template>
  </section>
</template>

<style scoped>
.rows {
  list-style: none;
  padding: 0;
  margin: 8px 0;
}
li {
  display: grid;
  grid-template-columns: 30px minmax(60px, 1fr) 34px minmax(0, 130px) minmax(0, 170px);
  align-items: center;
  gap: 8px;
  min-height: 26px;
}
.row {
  font-weight: 700;
}
.bar {
  position: relative;
  height: 12px;
  border-left: 1px solid var(--line);
  border-right: 1px solid var(--line);
  background: linear-gradient(var(--ink-2), var(--ink-2)) center / 1px 100% no-repeat;
}
.bar span {
  position: absolute;
  inset: 2px auto;
  background: currentColor;
  border-radius: 2px;
}
@media (max-width: 700px) {
  li {
    grid-template-columns: 24px minmax(30px, 1fr) 28px minmax(0, 110px) minmax(0, 110px);
  }
}
.blades + .blades::before {
  content: ', ';
}
.notch {
  text-align: right;
}
</style>
