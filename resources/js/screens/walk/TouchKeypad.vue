<script setup lang="ts">
import { mdiBackspaceOutline } from '@mdi/js'
import { computed, ref } from 'vue'
import type { Check, Figure } from '@/api/types'
import FractionText from '@/components/FractionText.vue'
import { useUnits } from '@/composables/useUnits'
import { NM_PER_INCH, fromMm } from '@/measure/length'
import { putFraction, putWhole } from './keypad'

/** Keys for a gloved finger: likely whole inches and the fractions of a tape, or plain digits. */
const typed = defineModel<string>({ required: true })
const { check } = defineProps<{ check: Check; canSame: boolean; canUndo: boolean }>()
defineEmits<{ next: []; sameAsLast: []; notFitted: []; undo: []; howTo: [] }>()

const { units } = useUnits()
const sixteenths = ref(false)
const digits = ref(false)
const plain = computed(() => digits.value || units.value === 'mm')

/** The whole inches that readings of this check are likely to begin with. */
const wholes = computed(() => {
  const inches = (figure?: Figure) => Math.floor(fromMm(figure?.mm ?? 0) / NM_PER_INCH)
  const { new: size, limit, high } = check.figures
  const from = size ? inches(limit) - 1 : 0
  const to = size ? inches(size) : inches(high) + 1
  return Array.from({ length: to - from + 1 }, (_, index) => from + index)
})
const fractions = computed(() =>
  sixteenths.value
    ? [1, 3, 5, 7, 9, 11, 13, 15].map((top) => `${top}/16`)
    : ['1/8', '1/4', '3/8', '1/2', '5/8', '3/4', '7/8'],
)

function back(): void {
  typed.value = typed.value.replace(/\s?\S*$/, (end) => (end.includes('/') ? '' : end.slice(0, -1))).trimEnd()
}
</script>

<template>
  <div class="pad">
    <div v-if="plain" :class="['keys', 'digits', units]">
      <button v-for="digit in '1234567890'" :key="digit" type="button" @click="typed += digit">{{ digit }}</button>
      <button type="button" aria-label="Decimal point" @click="typed += '.'">.</button>
      <button v-if="units === 'in'" type="button" class="quiet-key" @click="digits = false">14 ⅜</button>
      <button type="button" aria-label="Delete" @click="back"><v-icon :icon="mdiBackspaceOutline" size="22" /></button>
    </div>
    <template v-else>
      <div class="keys">
        <button v-for="whole in wholes" :key="whole" type="button" @click="typed = putWhole(typed, whole)">
          {{ whole }}
        </button>
        <button type="button" class="quiet-key" @click="digits = true">0–9</button>
        <button type="button" aria-label="Delete" @click="back">
          <v-icon :icon="mdiBackspaceOutline" size="22" />
        </button>
      </div>
      <div class="keys fractions">
        <button
          v-for="fraction in fractions"
          :key="fraction"
          type="button"
          @click="typed = putFraction(typed, fraction)"
        >
          <fraction-text :text="fraction" />
        </button>
        <button type="button" class="quiet-key" :aria-pressed="sixteenths" @click="sixteenths = !sixteenths">
          {{ sixteenths ? '8ths' : '16ths' }}
        </button>
      </div>
    </template>
    <div class="keys actions">
      <button type="button" class="quiet-key" :disabled="!canSame" @click="$emit('sameAsLast')">= last time</button>
      <button type="button" class="quiet-key" @click="$emit('notFitted')">Not fitted</button>
      <button type="button" class="quiet-key" :disabled="!canUndo" @click="$emit('undo')">Undo</button>
      <button type="button" class="quiet-key how" @click="$emit('howTo')">How to</button>
      <button type="button" class="next" @click="$emit('next')">Next</button>
    </div>
  </div>
</template>

<style scoped>
.pad {
  display: grid;
  gap: 8px;
}
.keys {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(56px, 1fr));
  gap: 8px;
}
button {
  min-height: 52px;
  border: 1px solid var(--line);
  border-radius: 8px;
  background: var(--paper);
  font-size: 1.1875rem;
  font-weight: 600;
}
button:active {
  background: var(--accent-weak);
}
.quiet-key {
  font-size: 1rem;
  font-weight: 400;
  background: none;
}
button:disabled {
  color: var(--ink-2);
  opacity: 0.55;
}
.digits {
  grid-template-columns: repeat(7, 1fr);
}
.digits.mm {
  grid-template-columns: repeat(6, 1fr);
}
.actions {
  grid-template-columns: repeat(4, auto) minmax(110px, 1.4fr);
}
.next {
  background: var(--accent);
  color: var(--on-accent);
  border-color: var(--accent);
}
@media (min-width: 701px) {
  .how {
    display: none;
  }
  .actions {
    grid-template-columns: repeat(3, auto) minmax(140px, 1.6fr);
  }
}
@media (max-width: 1020px) {
  .fractions {
    grid-template-columns: repeat(4, 1fr);
  }
}
@media (max-width: 700px) {
  .keys {
    gap: 6px;
  }
  .digits,
  .digits.mm {
    grid-template-columns: repeat(5, 1fr);
  }
  .actions {
    grid-template-columns: repeat(4, auto);
  }
  .next {
    grid-column: 1 / -1;
    order: -1;
  }
  .actions .quiet-key {
    font-size: 0.9375rem;
  }
}
</style>
