<script setup lang="ts">
import { mdiBackspaceOutline } from '@mdi/js'
import { computed, ref } from 'vue'
import type { Check } from '@/api/types'
import FractionText from '@/components/FractionText.vue'
import { useUnits } from '@/composables/useUnits'
import { NM_PER_INCH, fromMm } from '@/measure/length'
import { putFraction, putWhole } from './keypad'

/** Keys for a gloved finger: likely whole inches and the fractions of a tape, or plain digits. */
const typed = defineModel<string>({ required: true })
const { check, withoutNext = false } = defineProps<{
  check: Check
  /** The card around it has its own way on. */
  withoutNext?: boolean
}>()
defineEmits<{ next: [] }>()

const { units } = useUnits()
const sixteenths = ref(false)
const digits = ref(false)
const isLength = computed(() => check.unit === 'mm')
const plain = computed(() => digits.value || units.value === 'mm' || !isLength.value)

/** The whole inches that readings of this check are likely to begin with. */
const wholes = computed(() => {
  const inches = Object.values(check.marks).map((mm) => Math.floor(fromMm(mm) / NM_PER_INCH))
  const top = check.marks.new === undefined ? Math.max(0, ...inches) + 1 : Math.max(...inches)
  const from = Math.max(0, Math.min(top, ...inches) - 1)
  return Array.from({ length: Math.min(6, top - from + 1) }, (_, index) => from + index)
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
      <button v-if="check.unit === 'deg'" type="button" aria-label="Minus" @click="typed += '-'">−</button>
      <button v-if="units === 'in' && isLength" type="button" class="quiet-key" @click="digits = false">14 ⅜</button>
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
    <button v-if="!withoutNext" type="button" class="next" @click="$emit('next')">Next</button>
  </div>
</template>

<style scoped>
.pad {
  display: grid;
  gap: 8px;
}
.keys {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(48px, 1fr));
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
.next {
  background: var(--accent);
  color: var(--on-accent);
  border-color: var(--accent);
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
    grid-template-columns: repeat(6, 1fr);
  }
}
</style>
