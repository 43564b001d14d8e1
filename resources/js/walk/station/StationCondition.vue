<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import type { Answer, Check, Chip, State, WalkStep } from '@/api/types'
import { placeKey } from '@/api/types'
import VerdictGlyph from '@/components/VerdictGlyph.vue'
import { useUnits } from '@/composables/useUnits'
import { judgeState, wordReasons } from '@/measure/bands'
import { say } from '@/words'
import { stateKeys } from './stationKeys'

/** One line of a station that is sound unless said: opened by its key or a tap, then what is wrong with it. */
const { step, check, letter, open } = defineProps<{ step: WalkStep; check: Check; letter: string; open: boolean }>()
const emit = defineEmits<{ open: []; close: []; say: [answer: Pick<Answer, 'state' | 'chips'>] }>()
const { units, reading } = useUnits()

const chips = ref<Chip[]>([])
const state = ref<State | null>(null)
/** What can be said is what is not sound; once something is said, also that it is after all. */
const choices = computed(() => check.states.filter(({ verdict }) => verdict !== 'sound' || state.value !== null))
const name = computed(() => [say(`measure.${check.key}`), say(`side.${step.side}`)].filter(Boolean).join(', '))
const said = computed(() =>
  state.value === null ? step.now : judgeState(check, { state: state.value, chips: chips.value }),
)
const verdict = computed(() => said.value?.verdict ?? 'unchecked')
const words = computed(() => {
  if (said.value === null || verdict.value === 'sound') return step.now ? reading(step.now, check) : ''
  return wordReasons(check.key, said.value.reasons, null, units.value)
})

function choose(chosen: State): void {
  state.value = chosen
  if (judgeState(check, { state: chosen, chips: [] }).verdict === 'sound') chips.value = []
  send()
}

function tick(chip: Chip): void {
  chips.value = chips.value.includes(chip) ? chips.value.filter((one) => one !== chip) : [...chips.value, chip]
  // A reason ticked says what it amounts to.
  const worst = check.chips.find((one) => one.chip === chip)?.verdict
  if (state.value === null) state.value = check.states.find((one) => one.verdict === worst)?.state ?? null
  send()
}

/** Each thing said is on record at once: what is interrupted is not lost. */
function send(): void {
  if (state.value !== null) emit('say', { state: state.value, chips: chips.value })
}

/** Whether the key was for this line, which is open. */
function takeKey(key: string): boolean {
  const chosen = choices.value.find((one) => stateKeys[one.state] === key)
  const chip = /^[1-9]$/.test(key) ? check.chips[Number(key) - 1] : undefined
  if (chip) tick(chip.chip)
  else if (chosen) choose(chosen.state)
  else return false
  return true
}

watch(
  () => [placeKey(step), open] as const,
  ([place, isOpen], before) => {
    if (place === before?.[0] && isOpen === before[1]) return
    const stands = isOpen && step.now?.result === 'recorded' && verdict.value !== 'sound'
    state.value = stands ? (step.now?.state ?? null) : null
    chips.value = stands ? [...(step.now?.chips ?? [])] : []
  },
)

defineExpose({ place: computed(() => placeKey(step)), takeKey, isSaid: computed(() => state.value !== null) })
</script>

<template>
  <div :class="['line', { open }]">
    <!-- The focus stays where figures are typed: Enter goes on, it does not press this again. -->
    <button
      type="button"
      class="head"
      :aria-expanded="open"
      @mousedown.prevent
      @click="open ? emit('close') : emit('open')"
    >
      <kbd>{{ letter }}</kbd>
      <verdict-glyph :verdict="verdict" :size="verdict === 'sound' || verdict === 'unchecked' ? 13 : 17" silent />
      <span :class="['name', { said: verdict !== 'sound' && verdict !== 'unchecked' }]">{{ name }}</span>
      <span class="words quiet">{{ open ? '' : words }}</span>
    </button>
    <div v-if="open" class="choices" role="group" :aria-label="`${name}: what is wrong`">
      <button
        v-for="({ chip, verdict: weight }, index) in check.chips"
        :key="chip"
        type="button"
        :class="['choice', weight]"
        :aria-pressed="chips.includes(chip)"
        @mousedown.prevent
        @click="tick(chip)"
      >
        {{ say(`chip.${chip}`) }} <kbd>{{ index + 1 }}</kbd>
      </button>
      <button
        v-for="choice in choices"
        :key="choice.state"
        type="button"
        :class="['choice', 'plain', choice.verdict]"
        :aria-pressed="state === choice.state"
        @mousedown.prevent
        @click="choose(choice.state)"
      >
        <verdict-glyph :verdict="choice.verdict" silent /> {{ say(`state.${choice.state}`) }}
        <kbd>{{ stateKeys[choice.state] }}</kbd>
      </button>
    </div>
  </div>
</template>

<style scoped>
.line {
  border-top: 1px solid var(--line);
}
.head {
  display: flex;
  align-items: center;
  gap: 8px;
  width: 100%;
  min-height: 40px;
  padding: 0 16px;
  text-align: left;
}
.open .head,
.said {
  font-weight: 700;
}
.open {
  background: color-mix(in srgb, var(--accent-weak) 45%, transparent);
}
.name {
  display: inline-block;
}
.name::first-letter {
  text-transform: uppercase;
}
.words {
  margin-left: auto;
  font-weight: 400;
  font-size: 0.9375rem;
}
kbd {
  font-family: var(--font-figures);
  font-size: 0.8125rem;
  font-weight: 400;
  min-width: 24px;
  text-align: center;
  color: var(--ink-2);
  border: 1px solid var(--line);
  border-radius: 4px;
  padding: 0 5px;
}
.choices {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  padding: 0 16px 8px 48px;
}
.choice {
  display: inline-flex;
  align-items: center;
  gap: 6px;
  min-height: 44px;
  padding: 0 14px;
  border: 1px solid var(--line);
  border-radius: 24px;
  background: var(--card);
  color: var(--ink);
}
.choice.plain {
  border-radius: 8px;
}
.choice[aria-pressed='true'] {
  border: 2px solid currentColor;
  font-weight: 700;
}
.choice.watch[aria-pressed='true'] {
  color: var(--watch);
}
.choice.change[aria-pressed='true'] {
  color: var(--change);
}
.choice.failed[aria-pressed='true'] {
  color: var(--failed);
}
@media (pointer: coarse) {
  .head,
  .choice {
    min-height: var(--touch);
  }
  kbd {
    display: none;
  }
}
@media (max-width: 700px) {
  .head {
    padding: 0 10px;
  }
  .choices {
    padding: 0 10px 8px;
  }
}
</style>
