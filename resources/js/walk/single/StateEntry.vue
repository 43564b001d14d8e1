<script setup lang="ts">
import { computed, defineAsyncComponent, ref, watch } from 'vue'
import type { Answer, Check, Chip, State, Verdict, WalkStep } from '@/api/types'
import { placeKey } from '@/api/types'
import FractionText from '@/components/FractionText.vue'
import VerdictGlyph from '@/components/VerdictGlyph.vue'
import { useUnits } from '@/composables/useUnits'
import { judgeState, wordReasons } from '@/measure/bands'
import { say } from '@/words'
import { stateKeys } from '../station/stationKeys'

/** A touch, a condition or a yes: one key or one tap, and for a condition the reasons ticked. */
const { step, check } = defineProps<{ step: WalkStep; check: Check }>()
const emit = defineEmits<{ state: [answer: Pick<Answer, 'state' | 'chips'>] }>()
const { units } = useUnits()

const HowToLine = defineAsyncComponent(() => import('./HowToLine.vue'))
const state = ref<State | null>(null)
const chips = ref<Chip[]>([])

const isCondition = computed(() => check.kind === 'condition')
/** What is being said, or else what stands here. */
const said = computed(() =>
  state.value === null ? step.now : judgeState(check, { state: state.value, chips: chips.value }),
)
const reasons = computed(() => (said.value ? wordReasons(check.key, said.value.reasons, null, units.value) : ''))
const lastTime = computed(() => {
  if (!step.last?.state) return ''
  const ticked = step.last.chips.map((chip) => say(`chip.${chip}`)).join(', ')
  return `${step.last.season}: ${say(`state.${step.last.state}`)}${ticked && ` (${ticked})`}.`
})
const shown = computed(() => state.value ?? (step.now?.result === 'recorded' ? step.now.state : null))
const ticked = computed(() => (state.value === null ? (step.now?.chips ?? []) : chips.value))

/** Trouble is asked for its reasons; the rest is stored at once. */
function choose(chosen: State): void {
  if (isCondition.value && chosen !== 'sound' && check.chips.length > 0 && state.value !== chosen) {
    if (state.value === null) chips.value = []
    state.value = chosen
    return
  }
  store(chosen)
}

function tick(chip: Chip, verdict: Verdict): void {
  chips.value = chips.value.includes(chip) ? chips.value.filter((one) => one !== chip) : [...chips.value, chip]
  // A reason ticked first says what it amounts to.
  state.value ??= check.states.find((candidate) => candidate.verdict === verdict)?.state ?? null
}

function store(chosen: State): void {
  const answer = { state: chosen, chips: chosen === 'sound' ? [] : chips.value }
  clear()
  emit('state', answer)
}

function clear(): void {
  state.value = null
  chips.value = []
}

/** Whether the key was for the state. */
function takeKey(event: KeyboardEvent): boolean {
  const chosen = check.states.find((candidate) => stateKeys[candidate.state] === event.key)
  const chip = /^[1-9]$/.test(event.key) ? check.chips[Number(event.key) - 1] : undefined
  if (chosen) choose(chosen.state)
  else if (chip) tick(chip.chip, chip.verdict)
  else if (event.key === 'Enter' && state.value !== null) store(state.value)
  else if (event.key === 'Escape') clear()
  else return false
  return true
}

watch(() => placeKey(step), clear)

defineExpose({ takeKey, isEmpty: computed(() => state.value === null) })
</script>

<template>
  <div class="state-entry">
    <div class="states" role="group" :aria-label="say(`check.${check.key}`)">
      <button
        v-for="option in check.states"
        :key="option.state"
        type="button"
        :class="['state', option.verdict]"
        :aria-pressed="shown === option.state"
        @click="choose(option.state)"
      >
        <verdict-glyph :verdict="option.verdict" :size="22" silent />
        <span class="name">{{ say(`state.${option.state}`) }}</span>
        <kbd>{{ stateKeys[option.state] }}</kbd>
      </button>
    </div>
    <template v-if="isCondition">
      <p class="quiet">{{ state === null ? 'Reasons' : 'Choose reasons, then Enter' }}</p>
      <div class="chips" role="group" aria-label="Reasons">
        <button
          v-for="({ chip, verdict }, index) in check.chips"
          :key="chip"
          type="button"
          class="tick"
          :aria-pressed="ticked.includes(chip)"
          @click="tick(chip, verdict)"
        >
          {{ say(`chip.${chip}`) }} <kbd>{{ index + 1 }}</kbd>
        </button>
      </div>
    </template>
    <div class="words" aria-live="polite">
      <p v-if="said">
        <span :class="['chip', said.verdict]">
          <verdict-glyph :verdict="said.verdict" :size="20" silent />{{ say(`verdict.${said.verdict}`) }} </span
        >{{ ' ' }}<fraction-text :text="reasons" /> <span class="quiet">{{ lastTime }}</span>
      </p>
      <p v-else class="quiet">{{ lastTime }} <how-to-line :check="check.key" /></p>
    </div>
    <v-btn v-if="state !== null" color="primary" size="large" block @click="store(state)">Save, next</v-btn>
  </div>
</template>

<style scoped>
.state-entry {
  display: grid;
  gap: 10px;
  min-height: 290px;
  align-content: start;
}
.states {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(120px, 1fr));
  gap: 10px;
}
.state {
  min-height: 84px;
  display: grid;
  grid-template-columns: auto auto;
  place-content: center;
  align-items: center;
  gap: 8px;
  border: 1px solid var(--line);
  border-radius: 10px;
  background: var(--paper);
  font-size: 1.1875rem;
  font-weight: 700;
}
.state .name {
  color: var(--ink);
}
.state kbd {
  grid-column: 1 / -1;
  justify-self: center;
}
.state[aria-pressed='true'] {
  border: 3px solid currentColor;
  background: color-mix(in srgb, currentColor 12%, var(--card));
}
kbd {
  font-family: var(--font-figures);
  font-size: 0.8125rem;
  font-weight: 400;
  color: var(--ink-2);
  border: 1px solid var(--line);
  border-radius: 4px;
  padding: 0 5px;
}
.chips {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
.tick {
  min-height: var(--touch);
  padding: 0 14px;
  border: 1px solid var(--line);
  border-radius: 24px;
}
.tick[aria-pressed='true'] {
  background: var(--accent);
  color: var(--on-accent);
  border-color: var(--accent);
}
.tick[aria-pressed='true'] kbd {
  color: inherit;
}
.words {
  min-height: 40px;
  font-size: 1.0625rem;
}
/* Four go two by two, not three and one. */
@media (max-width: 1150px) {
  .states:has(> :nth-child(4):last-child) {
    grid-template-columns: repeat(2, 1fr);
  }
}
@media (max-width: 700px) {
  .state-entry {
    min-height: 300px;
    gap: 6px;
  }
  .states {
    grid-template-columns: repeat(2, 1fr);
    gap: 8px;
  }
  .state {
    min-height: 68px;
  }
  kbd {
    display: none;
  }
}
</style>
