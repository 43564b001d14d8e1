<script setup lang="ts">
import { computed } from 'vue'
import type { PlannedPiece, WorkPlan } from '@/api/types'
import { useSession } from '@/session'
import { say } from '@/words'
import { sayParts, sayRows } from '@/plan/findings'
import { dayOf, sayJobs, sayMinutes, sayPiece } from './plan'
import { clock, weekDate } from '@/dates'

/** The same as a list: by day and person what is done, what is taken along, and what must not slip. */
const { plan, planters } = defineProps<{ plan: WorkPlan; planters: { id: number; name: string }[] }>()
defineEmits<{ card: [pieces: PlannedPiece[]]; move: [piece: PlannedPiece] }>()
const session = useSession()
const days = computed(() => {
  const days = new Map<string, Map<number, PlannedPiece[]>>()
  for (const piece of plan.pieces) {
    const day = days.get(dayOf(piece.starts)) ?? new Map<number, PlannedPiece[]>()
    days.set(dayOf(piece.starts), day)
    for (const person of [piece.person, ...piece.with]) day.set(person, [...(day.get(person) ?? []), piece])
  }
  return [...days].map(([day, people]) => ({ day, people: [...people].sort(([a], [b]) => a - b) }))
})
/** The same on several rows of a planter, which one card can hold. */
const alike = computed(() => {
  const kinds = new Map<string, PlannedPiece[]>()
  for (const piece of plan.pieces) {
    if (piece.jobs.length === 0) continue
    const kind = `${piece.planter} ${sayJobs(piece.jobs)}`
    kinds.set(kind, [...(kinds.get(kind) ?? []), piece])
  }
  return [...kinds.values()].filter((pieces) => pieces.length > 1)
})
const sayAlike = (pieces: PlannedPiece[]) =>
  `${sayRows(pieces.map(({ row }) => row))}, ${sayJobs(pieces[0]?.jobs ?? [])}`
const name = (person: number) => plan.people[person] || 'one more'
/** Who else is at it, and whether anybody is missing. */
const together = (piece: PlannedPiece, person: number) => {
  const others = [piece.person, ...piece.with].filter((of) => of !== person)
  const missing = piece.people - others.length - 1
  return [
    others.length > 0 ? `with ${others.map(name).join(' and ')}` : '',
    missing > 0 ? `takes ${piece.people} people: get help` : '',
  ].filter((said) => said !== '')
}
const planterOf = ({ planter }: PlannedPiece) => planters.find(({ id }) => id === planter)?.name
</script>

<template>
  <section class="sheet" aria-label="Day by day">
    <h2>Day by day</h2>
    <p class="quiet">{{ say('caution.lock_up') }}</p>
    <div v-if="alike.length > 0" class="alike" role="group" aria-label="One card for several rows">
      <span>One card for</span>
      <v-btn v-for="pieces in alike" :key="pieces[0]?.key" variant="outlined" @click="$emit('card', pieces)">{{
        sayAlike(pieces)
      }}</v-btn>
    </div>
    <details v-for="({ day, people }, index) in days" :key="day" :open="index === 0">
      <summary>{{ weekDate(day) }}</summary>
      <div v-for="[person, pieces] in people" :key="person" class="person">
        <h3>{{ name(person) }}</h3>
        <ol>
          <li v-for="piece in pieces" :key="piece.key">
            <span class="time">{{ clock(piece.starts) }}</span>
            <span>
              {{ sayPiece(piece) }}<span v-if="planterOf(piece)" class="quiet"> · {{ planterOf(piece) }}</span>
              <span v-if="piece.parts.length > 0" class="quiet">
                · take {{ sayParts(piece.parts.map((part) => ({ row: piece.row, ...part }))) }}</span
              >
            </span>
            <span class="quiet room">
              {{ sayMinutes(piece.minutes) }}
              <template v-for="said in together(piece, person)" :key="said"> · {{ said }}</template>
              <template v-if="piece.by_hand"> · set by hand</template>
              <span v-if="piece.too_early" class="due"> · too early: parts or earlier work missing</span>
              <template v-else-if="piece.jobs.length > 0">
                · {{ piece.slack === 0 ? 'critical' : `start by ${weekDate(dayOf(piece.latest))}` }}</template
              >
            </span>
            <v-btn
              v-if="session.may('set')"
              variant="text"
              class="move"
              :aria-label="`Move: ${sayPiece(piece)}`"
              @click="$emit('move', piece)"
              >Move</v-btn
            >
            <v-btn
              v-if="piece.jobs.length > 0"
              variant="outlined"
              class="open"
              :aria-label="`Card: ${sayPiece(piece)}`"
              @click="$emit('card', [piece])"
              >Card</v-btn
            >
          </li>
        </ol>
      </div>
    </details>
  </section>
</template>

<style scoped>
h2 {
  font-size: 1.0625rem;
}
h3 {
  margin: 6px 0 0;
  font-size: 1rem;
}
p {
  margin: 0 0 6px;
  font-size: 0.9375rem;
}
summary {
  min-height: var(--touch);
  display: flex;
  align-items: center;
  font-weight: 700;
  cursor: pointer;
  border-top: 1px solid var(--line);
}
summary::before {
  content: '▸';
  margin-right: 8px;
}
details[open] summary::before {
  content: '▾';
}
ol {
  list-style: none;
  margin: 0;
  padding: 0;
}
li {
  display: grid;
  grid-template-columns: 56px minmax(0, 1fr) auto auto 76px;
  align-items: center;
  gap: 2px 10px;
  padding: 4px 0;
}
.due {
  color: var(--ochre);
}
.time {
  font-variant-numeric: tabular-nums;
}
.alike {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px;
  margin-bottom: 8px;
}
@media (max-width: 700px) {
  li {
    grid-template-columns: 50px minmax(0, 1fr) auto;
    border-top: 1px solid var(--line);
  }
  .room {
    grid-area: 2 / 2;
  }
  .open {
    grid-area: 1 / 3;
  }
  .move {
    grid-area: 2 / 3;
  }
}
</style>
