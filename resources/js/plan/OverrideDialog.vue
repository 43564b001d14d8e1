<script setup lang="ts">
import { computed, ref } from 'vue'
import NumberField from '@/components/NumberField.vue'
import { useNumbers } from '@/composables/useNumbers'
import { useUnits } from '@/composables/useUnits'
import { say, sayCheck, wordsOf } from '@/words'
import { type Line, sayRows } from './findings'
import type { Choice } from './useDecisions'

/** What a person does instead of what is proposed, and why. */
const { lines } = defineProps<{ lines: Line[] }>()
const emit = defineEmits<{ choose: [choice: Choice]; close: [] }>()
const { areaUnit } = useUnits()
const numbers = useNumbers()
const actions = wordsOf('action') as Choice['action'][]
const reasons = wordsOf('override') as NonNullable<Choice['reason']>[]
const looks = ['next_walk', 'first_rain', 'acres'] as const

const first = computed(() => lines[0] as Line)
const action = ref<Choice['action']>(first.value.proposal.action === 'carry_over' ? 'change' : 'carry_over')
const reason = ref<NonNullable<Choice['reason']>>()
const words = ref('')
const look = ref<(typeof looks)[number]>('next_walk')
const acres = ref<number | null>(null)
const isOther = computed(() => lines.some(({ proposal }) => proposal.action !== action.value))
const missing = computed(() => {
  if (isOther.value && reason.value === undefined && words.value.trim() === '')
    return 'Choose a reason, or write your own.'
  if (action.value === 'carry_over' && look.value === 'acres' && acres.value === null)
    return 'Enter at how many acres of the season to look again.'
  return ''
})
const tried = ref(false)

function choose(): void {
  tried.value = true
  if (numbers.complain() > 0 || missing.value !== '') return
  const carried = action.value === 'carry_over'
  emit('choose', {
    action: action.value,
    reason: isOther.value ? (reason.value ?? null) : null,
    words: words.value.trim(),
    look_when: carried ? look.value : null,
    look_acres: carried && look.value === 'acres' ? acres.value : null,
  })
}
</script>

<template>
  <v-dialog :model-value="true" max-width="620" aria-label="Override" @update:model-value="emit('close')">
    <form class="sheet asks" novalidate @submit.prevent="choose">
      <h2>{{ sayRows(lines.map(({ row }) => row)) }}: {{ sayCheck(first).toLowerCase() }}</h2>
      <p class="quiet">Proposed: {{ say(`action.${first.proposal.action}`) }}.</p>
      <div class="choices" role="group" aria-label="What to do">
        <button v-for="one in actions" :key="one" type="button" :aria-pressed="action === one" @click="action = one">
          {{ say(`action.${one}`) }}
        </button>
      </div>
      <template v-if="action === 'carry_over'">
        <h3>Look again</h3>
        <div class="choices" role="group" aria-label="Look again">
          <button v-for="one in looks" :key="one" type="button" :aria-pressed="look === one" @click="look = one">
            {{ one === 'acres' ? 'at this many acres' : say(`look.${one}`) }}
          </button>
        </div>
        <number-field
          v-if="look === 'acres'"
          v-model="acres"
          :label="`At this many ${areaUnit()} of the season`"
          kind="area"
          :low="1"
          :high="100_000"
          :places="1"
        />
      </template>
      <template v-if="isOther">
        <h3>Why</h3>
        <div class="choices" role="group" aria-label="Why">
          <button
            v-for="one in reasons"
            :key="one"
            type="button"
            :aria-pressed="reason === one"
            @click="reason = reason === one ? undefined : one"
          >
            {{ say(`override.${one}`) }}
          </button>
        </div>
      </template>
      <v-text-field v-model="words" :label="isOther ? 'Or write your own' : 'Note (optional)'" maxlength="300" />
      <p v-if="tried && missing" class="change" role="alert">{{ missing }}</p>
      <div class="buttons">
        <v-btn type="submit" color="primary" size="large">Decide</v-btn>
        <v-btn variant="text" size="large" @click="emit('close')">Back</v-btn>
      </div>
    </form>
  </v-dialog>
</template>

<style scoped>
.choices {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
.choices button {
  min-height: var(--touch);
  padding: 6px 14px;
  border: 1px solid var(--line);
  border-radius: 8px;
  background: var(--paper);
}
.choices [aria-pressed='true'] {
  border: 2px solid var(--accent);
  background: var(--accent-weak);
  font-weight: 700;
}
.buttons {
  display: flex;
  gap: 8px;
}
</style>
