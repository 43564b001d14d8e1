<script setup lang="ts">
import { computed } from 'vue'
import type { Planter, WorkPiece } from '@/api/types'
import { drawingOf } from '@/drawings'
import { say } from '@/words'

/** What to mind before hands come to it, and what to take along. */
const { pieces, planter } = defineProps<{ pieces: WorkPiece[]; planter?: Planter }>()

const all = (of: (piece: WorkPiece) => string[]) => [...new Set(pieces.flatMap(of))]
const parts = computed(() => {
  const counts = new Map<string, { count: number; here: boolean }>()
  for (const part of pieces.flatMap(({ parts }) => parts)) {
    const name = part.name ?? say(`slot.${part.slot}`)
    const known = counts.get(name) ?? { count: 0, here: true }
    counts.set(name, { count: known.count + 1, here: known.here && part.here })
  }
  return [...counts].map(([name, of]) => ({ name, ...of }))
})
const threads = computed(() => {
  if (!pieces.some(({ steps }) => steps.some(({ step }) => step === 'opener_blade'))) return ''
  const sheet = planter?.spec_sheet
  const torque = sheet?.torque ? say('threads.torque', { torque: sheet.torque }) : say('threads.torque_in_manual')
  return `${say(`threads.${sheet?.left_hand_thread ?? 'unknown'}`)} ${torque}`
})
const people = computed(() => Math.max(1, ...pieces.map((piece) => piece.people)))
const drawings = computed(() => [
  ...new Set(
    pieces.flatMap(({ jobs }) =>
      jobs.flatMap((job) => job.again.flatMap(({ check: key }) => drawingOf({ key }) ?? [])),
    ),
  ),
])
</script>

<template>
  <section class="caution">
    <p>{{ say('caution.first') }}</p>
    <p v-for="station in all((piece) => piece.stations)" :key="station">{{ say(`caution.${station}`) }}</p>
    <p v-if="threads">
      <strong>{{ threads }}</strong>
    </p>
    <p v-if="people > 1">
      <strong>{{ say('card.people', { count: people }) }}</strong>
    </p>
  </section>
  <section class="along">
    <p v-if="parts.length > 0">
      <strong>Take with you: </strong>
      <span v-for="part in parts" :key="part.name">
        {{ part.count }} × {{ part.name }}<span v-if="!part.here" class="due"> (not on the shelf)</span>
      </span>
    </p>
    <p v-if="all((piece) => piece.tools).length > 0" class="quiet">
      {{
        all((piece) => piece.tools)
          .map((tool) => say(`tool.${tool}`))
          .join(', ')
      }}
    </p>
    <details v-if="drawings.length > 0">
      <summary>Drawing</summary>
      <component :is="drawing" v-for="(drawing, index) in drawings" :key="index" />
    </details>
  </section>
</template>

<style scoped>
p {
  margin: 2px 0;
}
.caution {
  color: var(--ochre);
  font-size: 0.9375rem;
}
.along span + span::before {
  content: ', ';
}
summary {
  min-height: var(--touch);
  display: flex;
  align-items: center;
  cursor: pointer;
  color: var(--accent);
}
.due {
  color: var(--ochre);
}
</style>
