<script setup lang="ts">
import { useEventListener } from '@vueuse/core'
import { computed, useTemplateRef } from 'vue'
import type { Answer, Band, Check, Doubt, WalkStep } from '@/api/types'
import { say, sayRow } from '@/words'
import FigureEntry from './FigureEntry.vue'
import StateEntry from './StateEntry.vue'

/** One reading: which it is, the answer in the way of its kind, and what else can be said of it. */
const { step, check, held } = defineProps<{
  step: WalkStep
  check: Check
  rowCount: number
  bands: Band[]
  doubts: Doubt[]
  others: number[]
  canUndo: boolean
  /** How many readings "rest of this row sound" and "this station sound" would record. */
  restOfRow: number
  restOfStation: number
  /** A dialog is open over the walk: keys are not for the reading. */
  held: boolean
}>()
const emit = defineEmits<{
  store: [typed: string, confirmed: boolean]
  state: [answer: Pick<Answer, 'state' | 'chips'>]
  sameAsLast: []
  notFitted: []
  /** A key, or the button that does the same. */
  key: [key: string]
}>()

const entry = useTemplateRef<InstanceType<typeof FigureEntry> | InstanceType<typeof StateEntry>>('entry')
const title = computed(() => [say(`check.${check.key}`), say(`side.${step.side}`)].filter(Boolean).join(', '))

const ANYWHERE = ['[', ']', '{', '}', '?', 'R', 'S']
const WHEN_EMPTY = ['n', 'u', 'h', 'm', '=']

function onKey(event: KeyboardEvent): void {
  if (held || event.ctrlKey || event.metaKey || event.altKey || !entry.value) return
  if (entry.value.takeKey(event)) return event.preventDefault()
  if (ANYWHERE.includes(event.key) || (entry.value.isEmpty && WHEN_EMPTY.includes(event.key))) {
    event.preventDefault()
    emit('key', event.key)
  }
}

useEventListener('keydown', onKey)
</script>

<template>
  <section class="sheet entry">
    <header>
      <h1>
        {{ sayRow(step.row) }}<span v-if="step.row > 0" class="of"> of {{ rowCount }}</span> · {{ title }}
      </h1>
    </header>
    <component
      :is="check.unit === null ? StateEntry : FigureEntry"
      ref="entry"
      :step="step"
      :check="check"
      :bands="bands"
      :doubts="doubts"
      :others="others"
      :held="held"
      @store="(typed: string, confirmed: boolean) => $emit('store', typed, confirmed)"
      @state="(answer: Pick<Answer, 'state' | 'chips'>) => $emit('state', answer)"
    />
    <div class="actions">
      <button type="button" :disabled="step.last === null" @click="$emit('sameAsLast')">= last time</button>
      <button type="button" @click="$emit('notFitted')">Not fitted</button>
      <button type="button" :disabled="!canUndo" @click="$emit('key', 'u')">Undo</button>
      <button type="button" @click="$emit('key', 'm')">Note, photo</button>
      <button type="button" class="how" @click="$emit('key', 'h')">How to</button>
      <button type="button" class="wide" :disabled="restOfRow === 0" @click="$emit('key', 'R')">
        Rest of {{ step.row === 0 ? 'planter' : 'this row' }} sound ({{ restOfRow }})
      </button>
      <button v-if="step.row > 0" type="button" class="wide" :disabled="restOfStation === 0" @click="$emit('key', 'S')">
        This station sound on all remaining rows ({{ restOfStation }})
      </button>
    </div>
  </section>
</template>

<style scoped>
.entry {
  display: grid;
  gap: 8px;
  padding: 10px 18px;
}
.of {
  font-weight: 400;
  color: var(--ink-2);
}
.actions {
  display: grid;
  grid-template-columns: repeat(20, 1fr);
  gap: 8px;
}
.actions button {
  grid-column: span 5;
  min-height: var(--touch);
  border: 1px solid var(--line);
  border-radius: 8px;
  padding: 2px 6px;
  line-height: 1.15;
}
.actions .wide {
  grid-column: span 10;
}
.actions button:active {
  background: var(--accent-weak);
}
.actions button:disabled {
  color: var(--ink-2);
  opacity: 0.6;
}
.how {
  display: none;
}
@media (max-width: 700px) {
  .entry {
    padding: 10px;
    gap: 4px;
  }
  h1 {
    font-size: 1.125rem;
  }
  .of {
    display: none;
  }
  .actions {
    gap: 6px;
  }
  .actions button {
    grid-column: span 4;
    font-size: 0.9375rem;
  }
  .actions .how {
    display: block;
  }
}
</style>
