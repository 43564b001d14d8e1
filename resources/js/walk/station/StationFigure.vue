<script setup lang="ts">
import { computed, useTemplateRef } from 'vue'
import type { Band, Check, Doubt, WalkStep } from '@/api/types'
import { placeKey } from '@/api/types'
import FractionText from '@/components/FractionText.vue'
import ScaleStrip from '@/components/ScaleStrip.vue'
import VerdictGlyph from '@/components/VerdictGlyph.vue'
import { useUnits } from '@/composables/useUnits'
import { wordDoubts } from '@/measure/bands'
import { say, sayCheck, sayRow } from '@/words'
import OffSides from '../OffSides.vue'
import { useFigure } from '../useFigure'

/** One figure of a station: typed, judged as it is typed, doubted once where it is hard to believe. */
const { step, check, bands, doubts } = defineProps<{
  step: WalkStep
  check: Check
  bands: Band[]
  doubts: Doubt[]
  others: number[]
  /** The card has keys of its own: the device need not show its keyboard. */
  keypad?: boolean
}>()
const emit = defineEmits<{
  store: [typed: string, confirmed: boolean]
  /** Entered with nothing typed. */
  pass: []
  reach: []
}>()
const { units, quantity, unitName, sayInUnit } = useUnits()
const field = useTemplateRef<HTMLInputElement>('field')
const figure = useFigure(() => ({ step, check, bands, doubts }))
const { typed, complaint, unit, value, judgement, reasons, last, sinceLast, raised, aim, marks } = figure

const name = computed(() => [say(`measure.${check.key}`), say(`side.${step.side}`)].filter(Boolean).join(', '))
const spoken = computed(
  () => `${sayRow(step.row)}, ${sayCheck(step)}${sayInUnit(unit.value) && `, ${sayInUnit(unit.value)}`}`,
)

/** Whether what is typed, if anything, is on its way: else the reason is said beside the field. */
function enter(): boolean {
  if (typed.value === '') return true
  const entered = figure.enter()
  if (entered === null) return false
  emit('store', entered.typed, entered.confirmed)
  return true
}

defineExpose({
  typed,
  place: computed(() => placeKey(step)),
  enter,
  focus: () => {
    field.value?.focus({ preventScroll: true })
    // With what is said of it below, above the keys of a phone.
    field.value?.parentElement?.scrollIntoView({ block: 'nearest' })
  },
  isEmpty: computed(() => typed.value === ''),
  clear: figure.clear,
})
</script>

<template>
  <div class="line">
    <div class="name">
      {{ name }}
      <off-sides v-if="check.chips.length > 0" :typed="typed" @off="figure.sayOff($event)" />
    </div>
    <input
      ref="field"
      v-model="typed"
      type="text"
      :inputmode="keypad ? 'none' : 'text'"
      autocomplete="off"
      enterkeyhint="next"
      :aria-label="spoken"
      :placeholder="step.now?.value != null ? quantity(step.now.value, unit) : unitName(unit)"
      @focus="emit('reach')"
    />
    <scale-strip
      class="strip"
      compact
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
      <p v-else-if="raised.length > 0" class="really" role="alert">
        <strong>Is this right?</strong> <fraction-text :text="wordDoubts(raised, value, units)" /> Press Enter again to
        save it.
      </p>
      <template v-else-if="judgement.verdict !== 'unchecked'">
        <span :class="['verdict', judgement.verdict]">
          <verdict-glyph :verdict="judgement.verdict" silent />{{ say(`verdict.${judgement.verdict}`) }}
          <fraction-text v-if="value !== null" :text="quantity(value, unit)" />
        </span>
        <fraction-text :text="reasons" /> <fraction-text class="quiet" :text="sinceLast" />
      </template>
      <span v-else class="quiet"
        ><template v-if="aim !== null">Belongs at {{ quantity(aim, unit) }}. </template
        ><fraction-text v-if="last !== null" :text="`${step.last?.season}: ${quantity(last, unit)}`"
      /></span>
    </div>
  </div>
</template>

<style scoped>
.line {
  display: grid;
  grid-template-columns: 150px 124px minmax(120px, 1fr) minmax(180px, 1.1fr);
  align-items: center;
  gap: 2px 14px;
  padding: 5px 16px;
  min-height: 62px;
}
.line:focus-within {
  background: color-mix(in srgb, var(--accent-weak) 45%, transparent);
}
.name {
  font-weight: 600;
}
.name::first-letter {
  text-transform: uppercase;
}
input {
  width: 100%;
  min-height: var(--touch);
  padding: 0 12px;
  font-size: 1.25rem;
  border: 2px solid var(--line);
  border-radius: 8px;
  background: var(--paper);
  color: var(--ink);
}
input:focus {
  border-color: var(--accent);
  outline: none;
}
input::placeholder {
  color: var(--ink-2);
  opacity: 1;
  font-size: 1rem;
}
.words {
  font-size: 0.9375rem;
  line-height: 1.3;
}
.verdict {
  display: inline-flex;
  align-items: center;
  gap: 5px;
  margin-right: 6px;
  font-weight: 700;
}
.really {
  border-left: 5px solid var(--watch);
  padding-left: 8px;
}
@media (max-width: 1020px) {
  .line {
    grid-template-columns: 130px 110px 1fr;
  }
  .strip {
    display: none;
  }
}
@media (max-width: 700px) {
  .line {
    grid-template-columns: 1fr 120px;
    padding: 5px 10px;
  }
  .words {
    grid-column: 1 / -1;
  }
}
</style>
