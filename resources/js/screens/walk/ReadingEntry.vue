<script setup lang="ts">
import { useEventListener } from '@vueuse/core'
import { computed, nextTick, ref, useTemplateRef, watch } from 'vue'
import type { Check, Doubt, WalkStep } from '@/api/types'
import { placeKey } from '@/api/types'
import FractionText from '@/components/FractionText.vue'
import ScaleStrip from '@/components/ScaleStrip.vue'
import VerdictGlyph from '@/components/VerdictGlyph.vue'
import { useUnits } from '@/composables/useUnits'
import { doubtsAbout, judgeByBands, wordReasons } from '@/measure/bands'
import { fromMm, readLength } from '@/measure/length'
import { say, sayCheck } from '@/words'
import TouchKeypad from './TouchKeypad.vue'

/** One reading: typed by keyboard or keypad, judged as it is typed, doubted once where it is hard to believe. */
const { step, check, doubts, held } = defineProps<{
  step: WalkStep
  check: Check
  rowCount: number
  doubts: Doubt[]
  others: number[]
  canUndo: boolean
  /** A dialog is open over the walk: keys are not for the reading. */
  held: boolean
}>()
const emit = defineEmits<{
  store: [typed: string, confirmed: boolean]
  sameAsLast: []
  notFitted: []
  key: [key: string]
}>()

const { units, figure, length, beside, difference } = useUnits()
const field = useTemplateRef<HTMLInputElement>('field')
const typed = ref('')
const complaint = ref('')
/** The text that was doubted; entering it again confirms it. */
const doubted = ref<string | null>(null)

const read = computed(() => readLength(typed.value, units.value))
/** What is being typed, or else what stands here. */
const nm = computed(() => {
  if ('nm' in read.value) return read.value.nm
  return typed.value === '' && step.now?.mm != null ? fromMm(step.now.mm) : null
})
const judgement = computed(() => {
  if (nm.value !== null) return judgeByBands(step.bands, nm.value)
  return typed.value === '' && step.now ? step.now : { verdict: 'unchecked' as const, reasons: [] }
})
const mm = computed(() => (nm.value === null ? null : nm.value / 1_000_000))
const reasons = computed(() => wordReasons('reason', judgement.value.reasons, nm.value, units.value))
const sinceLast = computed(() => {
  if (mm.value === null || !step.last) return ''
  const change = mm.value - step.last.mm
  if (Math.abs(change) < 0.000001) return `Same as in ${step.last.season}.`
  return `${difference(change)} ${change < 0 ? 'less' : 'more'} than in ${step.last.season} (${length(step.last.mm)}).`
})
const raised = computed(() => (doubted.value === null || nm.value === null ? [] : doubtsAbout(doubts, nm.value)))

/** What the reading is held against, and where that figure comes from. */
const basis = computed(() => {
  const { limit, low, high } = check.figures
  if (limit) return `Limit ${length(limit.mm)}: ${limit.source}.`
  return low && high ? `Window ${figure(low.mm)} to ${length(high.mm)}: ${low.source}.` : ''
})

const MARKS: Record<string, string> = { limit: 'limit', low: 'from', high: 'to', aim: 'aim' }
const marks = computed(() =>
  Object.entries(check.figures)
    .filter(([name]) => name in MARKS)
    .map(([name, { mm }]) => ({ mm, label: MARKS[name] as string })),
)

function enter(): void {
  if (!('nm' in read.value)) {
    complaint.value = say(`length.${read.value.fault}`, { typed: typed.value })
    return
  }
  const isDoubtful = doubtsAbout(doubts, read.value.nm).length > 0
  if (isDoubtful && doubted.value !== typed.value) {
    doubted.value = typed.value
    return
  }
  const text = typed.value
  clear()
  emit('store', text, isDoubtful)
}

function clear(): void {
  typed.value = ''
  complaint.value = ''
  doubted.value = null
}

const ANYWHERE = ['[', ']', '{', '}', '?']
const WHEN_EMPTY = ['n', 'u', 'h', '=']

function onKey(event: KeyboardEvent): void {
  if (held || event.ctrlKey || event.metaKey || event.altKey) return
  if (ANYWHERE.includes(event.key) || (typed.value === '' && WHEN_EMPTY.includes(event.key))) {
    event.preventDefault()
    emit('key', event.key)
  } else if (event.key === 'Enter' && event.target === field.value) {
    event.preventDefault()
    enter()
  } else if (event.key === 'Escape') {
    clear()
  } else if (/^[\d.,/]$/.test(event.key) && !(event.target instanceof HTMLInputElement)) {
    // A figure is for the field, wherever the last tap has left the focus.
    field.value?.focus()
  }
}

useEventListener('keydown', onKey)
watch(typed, () => (complaint.value = ''))
watch(
  () => [placeKey(step), held],
  ([place], before) => {
    if (place !== before?.[0]) clear()
    if (!held) void nextTick(() => field.value?.focus({ preventScroll: true }))
  },
  { immediate: true },
)
</script>

<template>
  <section class="sheet entry">
    <header>
      <h1>
        Row {{ step.row }}<span class="of"> of {{ rowCount }}</span> · {{ say(`station.${check.station}`) }}
        <template v-if="say(`side.${step.side}`)"> · {{ say(`side.${step.side}`) }}</template>
      </h1>
      <span class="quiet measure">{{ say(`measure.${check.key}`) }}</span>
    </header>
    <div class="figure-line">
      <input
        ref="field"
        v-model="typed"
        class="field"
        type="text"
        inputmode="none"
        autocomplete="off"
        enterkeyhint="next"
        :aria-label="`Row ${step.row}, ${sayCheck(step)}, in ${units}`"
        :placeholder="step.now?.mm != null ? length(step.now.mm) : units"
      />
      <span class="big"
        ><template v-if="mm !== null"
          ><fraction-text :text="length(mm)" /> <fraction-text class="beside" :text="beside(mm)" /></template
      ></span>
      <span v-if="judgement.verdict !== 'unchecked'" :class="['chip', judgement.verdict]">
        <verdict-glyph :verdict="judgement.verdict" :size="22" silent />{{ say(`verdict.${judgement.verdict}`) }}
      </span>
    </div>
    <scale-strip
      :bands="step.bands"
      :marks="marks"
      :now="mm"
      :verdict="judgement.verdict"
      :last="step.last?.mm ?? null"
      :last-label="step.last ? String(step.last.season) : ''"
      :others="others"
      :largest="check.figures.new?.mm ?? null"
    />
    <div class="words" aria-live="polite">
      <p v-if="complaint" class="change" role="alert">{{ complaint }}</p>
      <div v-else-if="raised.length > 0" class="really" role="alert">
        <strong>Really?</strong> <fraction-text :text="wordReasons('doubt', raised, nm, units)" /> Enter again keeps it;
        or measure again and type.
      </div>
      <p v-else-if="nm !== null || step.now"><fraction-text :text="reasons" /> <fraction-text :text="sinceLast" /></p>
      <p v-else class="quiet">
        <fraction-text v-if="step.last" :text="`${step.last.season}: ${length(step.last.mm)}. `" />
        <fraction-text :text="basis" />
        <span class="hint">
          Type the figure, such as {{ units === 'in' ? '14 3/8' : '365' }}, then Enter; ? shows all keys.</span
        >
      </p>
    </div>
    <touch-keypad
      v-model="typed"
      :check="check"
      :can-same="step.last !== null"
      :can-undo="canUndo"
      @next="enter"
      @same-as-last="$emit('sameAsLast')"
      @not-fitted="$emit('notFitted')"
      @undo="$emit('key', 'u')"
      @how-to="$emit('key', 'h')"
    />
  </section>
</template>

<style scoped>
.entry {
  display: grid;
  gap: 8px;
  padding: 14px 18px;
}
header {
  display: flex;
  justify-content: space-between;
  align-items: baseline;
  gap: 8px;
}
.of {
  font-weight: 400;
  color: var(--ink-2);
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
  font-size: 2.5rem;
  font-weight: 700;
  line-height: 1.1;
  white-space: nowrap;
}
.beside {
  font-size: 1.125rem;
  font-weight: 400;
  color: var(--ink-2);
}
.chip {
  display: inline-flex;
  align-items: center;
  gap: 10px;
  padding: 10px 16px;
  border-radius: 10px;
  font-size: 1.375rem;
  font-weight: 700;
  background: color-mix(in srgb, currentColor 12%, var(--card));
}
.chip.sound {
  font-size: 1.125rem;
  background: none;
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
  .entry {
    padding: 10px;
    gap: 4px;
  }
  h1 {
    font-size: 1.125rem;
  }
  .measure,
  .hint {
    display: none;
  }
  .figure-line {
    grid-template-columns: 128px 1fr;
    gap: 8px;
    min-height: 104px;
    align-content: start;
  }
  .field {
    font-size: 1.5rem;
    min-height: 52px;
  }
  .big {
    font-size: 2rem;
    order: 3;
    grid-column: 1 / -1;
    min-height: 40px;
  }
  .chip {
    justify-self: start;
    padding: 8px 12px;
  }
}
</style>
