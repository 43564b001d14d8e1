<script setup lang="ts">
import { computed } from 'vue'
import { useHands } from '@/work/queries'
import type { Hands } from '@/api/types'
import RefusalList from '@/components/RefusalList.vue'
import { useDays } from '@/composables/useDays'
import { say, sayRow } from '@/words'
import { sayMinutes } from './plan'
import { sayTarget } from './target'
import { useHandsEntries } from './useHandsEntries'
import { weekDate } from '@/dates'

/** What was done and what could not be: by whom, how long it took; taken back with the parts that were written down with it. */
const { planterId } = defineProps<{ planterId: number }>()
const hands = useHands(() => planterId)
const { dayOf } = useDays()
const { waiting, deliver, refusal, busy } = useHandsEntries(() => planterId)
type Done = Hands['done'][number]
const SHOWN = 20

/** Without those whose taking back waits on this device. */
const done = computed(() => {
  const back = new Set(waiting.value.flatMap(({ body }) => body.events.map(({ supersedes }) => supersedes)))
  return (hands.data.value?.done ?? []).filter(({ id }) => !back.has(id)).slice(0, SHOWN)
})
const what = ({ targets, title }: Done) => title ?? targets.map(sayTarget).join(', ')
const told = (one: Done) => {
  const { kind, reason, words, minutes, seized_minutes: seized, lubricant } = one
  return [
    what(one),
    kind === 'could_not' &&
      `could not be done: ${[reason && say(`could_not.${reason}`), words].filter(Boolean).join(', ')}`,
    minutes !== null && sayMinutes(minutes),
    seized > 0 && `of that ${sayMinutes(seized)} for a seized joint`,
    lubricant,
    kind === 'finished' && words,
  ]
    .filter(Boolean)
    .join(' · ')
}

const takeBack = ({ id, kind, ledger }: Done) =>
  deliver([
    {
      kind,
      supersedes: id,
      withdrawn: true,
      ledger: ledger.map((supersedes) => ({ kind: 'withdrawn' as const, supersedes })),
    },
  ])
</script>

<template>
  <section v-if="done.length > 0" class="sheet" aria-label="Done">
    <h2>Done</h2>
    <refusal-list :refusal="refusal" />
    <ul>
      <li v-for="one in done" :key="one.id">
        <span>
          {{ sayRow(one.row) }}: {{ told(one) }}
          <span class="quiet">· {{ one.by }}, {{ weekDate(dayOf(one.happened_at)) }}</span>
        </span>
        <v-btn
          variant="text"
          :disabled="busy"
          :aria-label="`Undo: ${sayRow(one.row)}, ${what(one)}`"
          @click="takeBack(one)"
          >Undo</v-btn
        >
      </li>
    </ul>
  </section>
</template>

<style scoped>
h2 {
  font-size: 1.0625rem;
}
ul {
  margin: 0;
  padding: 0;
  list-style: none;
}
li {
  display: flex;
  align-items: center;
  justify-content: space-between;
  gap: 10px;
  border-top: 1px solid var(--line);
}
</style>
