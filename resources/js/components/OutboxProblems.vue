<script setup lang="ts">
import { useRouter } from 'vue-router'
import { useYard } from '@/api/queries'
import type { Reading } from '@/api/types'
import FractionText from '@/components/FractionText.vue'
import { useUnits } from '@/composables/useUnits'
import { wordReasons } from '@/measure/bands'
import { printLength, readLength } from '@/measure/length'
import { useOutbox, type Waiting } from '@/outbox'
import { say, sayCheck } from '@/words'

/** Readings that the server would not take as they are; each waits, on every screen, for a person's word. */
const router = useRouter()
const yard = useYard()
const outbox = useOutbox()
const { units } = useUnits()

const planterOf = (item: Waiting) => yard.data.value?.find((planter) => planter.id === item.planter)?.name ?? ''

function measureAgain({ planter, reading }: Waiting): void {
  outbox.discard(reading.id)
  const { row, check, side } = reading
  void router.push({ name: 'walk', params: { planter }, query: { row, check, side } })
}

function nmOf({ typed, units: typedIn }: Reading): number | null {
  const read = readLength(typed ?? '', typedIn)
  return 'nm' in read ? read.nm : null
}

function value(reading: Reading): string {
  if (reading.result !== 'measured') return say(`result.${reading.result}`)
  if (reading.entry === 'same_as_last') return say('entry.same_as_last')
  const nm = nmOf(reading)
  return nm === null ? (reading.typed ?? '') : printLength(nm, units.value)
}

function why({ reading, problem }: Waiting): string {
  if (problem?.outcome !== 'doubtful') return problem?.message ?? ''
  return wordReasons('doubt', problem.doubts, nmOf(reading), units.value)
}
</script>

<template>
  <ul v-if="outbox.problems.length > 0" class="problems" role="alert">
    <li v-for="item in outbox.problems" :key="item.reading.id" class="sheet">
      <span class="text">
        <strong
          >{{ planterOf(item) }}, row {{ item.reading.row }}, {{ sayCheck(item.reading).toLowerCase() }}:
          <fraction-text :text="value(item.reading)" />.</strong
        >
        <fraction-text :text="` ${why(item)}`" />
      </span>
      <template v-if="item.problem?.outcome === 'doubtful'">
        <v-btn variant="outlined" @click="outbox.sendAgain(item.reading.id, true)">Keep it</v-btn>
        <v-btn variant="outlined" @click="measureAgain(item)">Measure again</v-btn>
      </template>
      <template v-else>
        <v-btn variant="outlined" @click="outbox.sendAgain(item.reading.id, false)">Send it again</v-btn>
        <v-btn variant="outlined" @click="outbox.discard(item.reading.id)">Drop it</v-btn>
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
