<script setup lang="ts">
import { mdiClose } from '@mdi/js'
import { computed } from 'vue'
import { useHistory } from '@/walk/queries'
import type { Cell, Check, HistoryReading } from '@/api/types'
import FractionText from '@/components/FractionText.vue'
import LoadProblem from '@/components/LoadProblem.vue'
import VerdictGlyph from '@/components/VerdictGlyph.vue'
import { useUnits } from '@/composables/useUnits'
import { dateAndTime } from '@/dates'
import { wordReasons } from '@/measure/bands'
import { say, sayCheck, sayRow } from '@/words'
import { useSession } from '@/session'

const session = useSession()
/** Everything that was ever recorded at one place, corrections included. */
const { planterId, cell, check, canWalk } = defineProps<{
  planterId: number
  cell: Cell
  check: Check
  canWalk: boolean
}>()
defineEmits<{ walk: []; close: [] }>()
const { answer, reading: print, beside, units } = useUnits()
const history = useHistory(
  () => planterId,
  () => cell,
)

const title = computed(() => `${sayRow(cell.row)}, ${sayCheck(cell).toLowerCase()}`)
const reasons = computed(() => {
  return cell.now ? wordReasons(cell.check, cell.now.reasons, cell.now.value, units.value) : ''
})

function value(reading: HistoryReading): string {
  if (reading.result !== 'recorded') return say(`result.${reading.result}`)
  const ticked = reading.chips.map((chip) => say(`chip.${chip}`)).join(', ')
  const also = check.unit === 'mm' && reading.value !== null ? beside(reading.value) : ticked
  return `${answer(reading, check)}${also && ` (${also})`}`
}

function remarks(reading: HistoryReading): string {
  const remarks = []
  if (reading.entry !== 'typed') remarks.push(say(`entry.${reading.entry}`))
  if (reading.confirmed) remarks.push('measured twice')
  if (!reading.holds) remarks.push('corrected since')
  return remarks.join(', ')
}
</script>

<template>
  <v-dialog model-value :aria-label="title" max-width="620" scrollable @update:model-value="$emit('close')">
    <div class="sheet panel">
      <div class="head">
        <h2>{{ title }}</h2>
        <v-btn :icon="mdiClose" variant="text" aria-label="Close" @click="$emit('close')" />
      </div>
      <p v-if="cell.now" class="now">
        <verdict-glyph :verdict="cell.now.verdict" :size="20" silent />
        <strong :class="cell.now.verdict">{{ say(`verdict.${cell.now.verdict}`) }}</strong>
        <fraction-text :text="`${print(cell.now, check)}.`" />
        <fraction-text :text="reasons" />
      </p>
      <p v-else class="now quiet">Not checked on this walk yet.</p>
      <load-problem :error="history.error.value" @again="history.refetch()" />
      <ol class="list">
        <li v-for="reading in history.data.value" :key="reading.id" :class="{ replaced: !reading.holds }">
          <span class="season">{{ reading.season }}</span>
          <span>
            <strong><fraction-text :text="value(reading)" /></strong>
            <span v-if="remarks(reading)" class="quiet"> {{ remarks(reading) }}</span>
            <br /><span class="quiet">{{ dateAndTime(reading.taken_at) }}, {{ reading.taken_by }}</span>
          </span>
          <verdict-glyph v-if="reading.verdict" :verdict="reading.verdict" />
        </li>
      </ol>
      <p v-if="history.data.value?.length === 0" class="quiet">Nothing measured here yet.</p>
      <v-btn v-if="canWalk && session.may('record')" color="primary" size="large" block @click="$emit('walk')">
        {{ cell.now ? 'Measure again' : 'Measure' }}
      </v-btn>
    </div>
  </v-dialog>
</template>

<style scoped>
.panel {
  display: grid;
  gap: 14px;
  padding: 20px;
}
.head {
  display: flex;
  justify-content: space-between;
  align-items: center;
}
.now {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px;
}
.list {
  list-style: none;
  padding: 0;
  max-height: 46vh;
  overflow-y: auto;
}
.list li {
  display: grid;
  grid-template-columns: 56px 1fr auto;
  align-items: center;
  padding: 8px 4px;
  border-top: 1px solid var(--line);
}
.season {
  font-weight: 700;
}
.replaced strong {
  text-decoration: line-through;
  font-weight: 400;
}
</style>
