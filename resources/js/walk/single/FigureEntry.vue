<script setup lang="ts">
import { computed, nextTick, useTemplateRef, watch } from 'vue'
import type { Band, Check, Doubt, WalkStep } from '@/api/types'
import { placeKey } from '@/api/types'
import FractionText from '@/components/FractionText.vue'
import ScaleStrip from '@/components/ScaleStrip.vue'
import VerdictGlyph from '@/components/VerdictGlyph.vue'
import { useUnits } from '@/composables/useUnits'
import { wordDoubts } from '@/measure/bands'
import { say, sayCheck, sayOwn, sayRow } from '@/words'
import TouchKeypad from './TouchKeypad.vue'
import OffSides from '../OffSides.vue'
import { useFigure } from '../useFigure'

/** A figure: typed by keyboard or keypad, judged as it is typed, doubted once where it is hard to believe. */
const { step, check, bands, doubts, held } = defineProps<{
  step: WalkStep
  check: Check
  bands: Band[]
  doubts: Doubt[]
  others: number[]
  held: boolean
}>()
const emit = defineEmits<{ store: [typed: string, confirmed: boolean] }>()

const { units, quantity, beside, unitName, sayInUnit } = useUnits()
const field = useTemplateRef<HTMLInputElement>('field')
const { typed, complaint, unit, value, judgement, reasons, last, sinceLast, raised, aim, marks, ...figure } = useFigure(
  () => ({ step, check, bands, doubts }),
)

/** What the reading is held against, and where that figure comes from. */
const basis = computed(() => {
  if (aim.value !== null) return `Set this row to ${quantity(aim.value, unit.value)}.`
  const { low, high, limit } = check.marks
  const source = Object.values(check.figures)[0]?.source
  if (low !== undefined && high !== undefined)
    return `${quantity(low, unit.value)} to ${quantity(high, unit.value)}: ${source}.`
  return limit === undefined ? '' : `${sayOwn('figure.limit', check.key)} ${quantity(limit, unit.value)}: ${source}.`
})
const example = computed(() => (unit.value === 'mm' ? (units.value === 'in' ? '14 3/8' : '365') : '18'))

function enter(): void {
  const entered = figure.enter()
  if (entered) emit('store', entered.typed, entered.confirmed)
}

/** Whether the key was for the figure. */
function takeKey(event: KeyboardEvent): boolean {
  if (event.key === 'Enter' && event.target === field.value) {
    enter()
    return true
  }
  if (event.key === 'Escape') figure.clear()
  // A figure is for the field, wherever the last tap has left the focus; the key itself still arrives.
  if (/^[\d.,/-]$/.test(event.key) && !(event.target instanceof HTMLInputElement))
    field.value?.focus({ preventScroll: true })
  return false
}

watch(
  () => [placeKey(step), held],
  ([place], before) => {
    if (place !== before?.[0]) figure.clear()
    if (!held) void nextTick(() => field.value?.focus({ preventScroll: true }))
  },
  { immediate: true },
)

defineExpose({ takeKey, isEmpty: computed(() => typed.value === '') })
</script>

<template>
  <div class="figure">
    <div class="figure-line">
      <input
        ref="field"
        v-model="typed"
        class="field"
        type="text"
        inputmode="none"
        autocomplete="off"
        enterkeyhint="next"
        :aria-label="`${sayRow(step.row)}, ${sayCheck(step)}${sayInUnit(unit) && `, ${sayInUnit(unit)}`}`"
        :placeholder="step.now?.value != null ? quantity(step.now.value, unit) : unitName(unit)"
      />
      <off-sides v-if="check.chips.length > 0" :typed="typed" @off="figure.sayOff($event)" />
      <span class="big"
        ><template v-if="value !== null"
          ><fraction-text :text="quantity(value, unit)" />{{ ' '
          }}<fraction-text v-if="unit === 'mm'" class="beside" :text="beside(value)" /></template
        ><template v-else-if="step.now && typed === ''">{{ say(`result.${step.now.result}`) }}</template></span
      >
      <span v-if="judgement.verdict !== 'unchecked'" :class="['chip', judgement.verdict]">
        <verdict-glyph :verdict="judgement.verdict" :size="22" silent />{{ say(`verdict.${judgement.verdict}`) }}
      </span>
    </div>
    <scale-strip
      :unit="unit"
      :bands="bands"
      :marks="marks"
      :now="value"
      :verdict="judgement.verdict"
      :last="last"
      :last-label="step.last ? String(step.last.season) : ''"
      :others="others"
      :largest="check.marks.new ?? null"
    />
    <div class="words" aria-live="polite">
      <p v-if="complaint" class="change" role="alert">{{ complaint }}</p>
      <div v-else-if="raised.length > 0" class="really" role="alert">
        <strong>Is this right?</strong> <fraction-text :text="wordDoubts(raised, value, units)" /> Press Enter again to
        save it, or measure again.
      </div>
      <p v-else-if="value !== null || step.now">
        <fraction-text :text="reasons" /> <fraction-text :text="sinceLast" />
      </p>
      <p v-else class="quiet">
        <fraction-text v-if="last !== null" :text="`${step.last?.season}: ${quantity(last, unit)}. `" />
        <fraction-text :text="basis" />
        <span class="hint"> Type the figure, for example {{ example }}, then Enter; ? shows all keys.</span>
      </p>
    </div>
    <touch-keypad v-model="typed" :check="check" @next="enter" />
  </div>
</template>

<style scoped>
.figure {
  display: grid;
  gap: 8px;
}
.figure-line {
  display: grid;
  grid-template-columns: 170px 1fr auto;
  align-items: center;
  gap: 14px;
  min-height: 64px;
}
.field {
  min-height: 60px;
  padding: 0 12px;
  font-size: 1.75rem;
  border: 2px solid var(--accent);
  border-radius: 8px;
  background: var(--paper);
  color: var(--ink);
  width: 100%;
}
.field::placeholder {
  color: var(--ink-2);
  opacity: 1;
  font-size: 1.25rem;
}
.big {
  font-size: 2.25rem;
  font-weight: 700;
  line-height: 1.1;
  white-space: nowrap;
}
.beside {
  font-size: 1.125rem;
  font-weight: 400;
  color: var(--ink-2);
}
.words {
  min-height: 48px;
  font-size: 1.0625rem;
}
.really {
  border-left: 5px solid var(--watch);
  padding-left: 10px;
}
@media (max-width: 700px) {
  .figure {
    gap: 4px;
  }
  .hint {
    display: none;
  }
  .figure-line {
    grid-template-columns: 112px 1fr auto;
    gap: 8px;
    min-height: 56px;
  }
  .field {
    font-size: 1.375rem;
    min-height: 52px;
  }
  .big {
    font-size: 1.375rem;
  }
  .beside {
    display: none;
  }
  .chip {
    font-size: 1rem;
    padding: 6px 8px;
    gap: 5px;
  }
}
</style>
