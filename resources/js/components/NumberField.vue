<script setup lang="ts">
import { computed, ref, useTemplateRef, watch } from 'vue'
import { useMoney } from '@/composables/useMoney'
import { useNumberField } from '@/composables/useNumbers'
import { type Kind, type Shown, shownAs } from '@/measure/kinds'
import { readNumber, writeNumber } from '@/measure/number'
import { useSession } from '@/session'
import { sayFault } from '@/words'

/**
 * The one field for a number. It holds the number in the API's unit, or null where nothing is typed; what cannot be read
 * stays in the field with what is wrong, and keeps its form from being sent.
 */
defineOptions({ inheritAttrs: false })
const {
  label,
  kind = 'plain',
  unit,
  low = 0,
  high = 1e9,
  whole = false,
  places = 6,
  required = false,
  bare = false,
  errorMessages,
} = defineProps<{
  label: string
  kind?: Kind
  /** The unit of a plain number, where it goes by none of the kinds. */
  unit?: string | null
  /** In the API's unit, as is the highest. */
  low?: number
  high?: number
  whole?: boolean
  /** Decimal places that the API takes. */
  places?: number
  required?: boolean
  /** Inside a table: the field alone, with its label for screen readers. */
  bare?: boolean
  errorMessages?: string | string[]
}>()
const model = defineModel<number | null>({ default: null })
const session = useSession()
const { currency } = useMoney()
const field = useTemplateRef<{ focus: () => void }>('field')
defineExpose({ focus: () => field.value?.focus() })

const typed = ref('')
const shown = computed((): Shown => {
  if (unit) return { name: unit, units: { [unit.toLowerCase()]: 1 }, factor: 1 }
  return shownAs(kind, session.units, currency.value)
})
const style = computed(() => session.me?.number_style ?? null)
/** What was turned from another unit has no more places than the API takes; what was typed is never rounded, but judged. */
const isTurned = () => shown.value.factor !== 1 || /[\p{L}%"'°/]/u.test(typed.value)
const tidy = (value: number) => Number(value.toFixed(isTurned() ? places : 6))
const write = (value: number | null) =>
  value === null ? '' : writeNumber(Number((value / shown.value.factor).toFixed(Math.min(places, 3))), style.value)
typed.value = write(model.value)
const isLeft = ref(false)

const read = computed(() => {
  const { name, units, factor, decimalOnly, bareFraction } = shown.value
  return readNumber(typed.value, {
    units,
    low: low / factor,
    high: high / factor,
    whole,
    name,
    style: style.value,
    ...(decimalOnly ? { decimalOnly } : {}),
    ...(bareFraction ? { bareFraction } : {}),
  })
})
const fault = computed(() => {
  const now = read.value
  return 'value' in now || (now.fault === 'empty' && !required) ? null : `${label}: ${sayFault(now)}`
})
const complaint = computed(() => (isLeft.value && fault.value !== null ? fault.value : errorMessages))

function type(text: string): void {
  typed.value = text
  model.value = 'value' in read.value ? tidy(read.value.value * shown.value.factor) : null
}
// Set from outside: a form that is emptied or filled in, another unit.
watch([model, shown, style], ([value], [before, as]) => {
  const isOwn = 'value' in read.value && value !== null && tidy(read.value.value * shown.value.factor) === value
  if (isOwn || (value === null && before === null && as === shown.value)) return
  if (value === null && fault.value !== null && typed.value !== '') return
  typed.value = write(value)
  isLeft.value = false
})
useNumberField({
  complain: () => {
    isLeft.value = true
    return fault.value
  },
})
</script>

<template>
  <span v-if="bare" class="bare" :class="$attrs.class">
    <input
      :value="typed"
      v-bind="{ ...$attrs, class: undefined }"
      :inputmode="whole ? 'numeric' : 'decimal'"
      :aria-label="label"
      :aria-invalid="complaint !== undefined && complaint.length > 0"
      @input="type(($event.target as HTMLInputElement).value)"
      @blur="isLeft = true"
    />
    <span v-if="complaint?.length" class="change" role="alert">{{ complaint }}</span>
  </span>
  <v-text-field
    v-else
    ref="field"
    :model-value="typed"
    v-bind="$attrs"
    :label="label"
    :inputmode="whole ? 'numeric' : 'decimal'"
    :error-messages="complaint"
    :hide-details="complaint?.length ? false : ($attrs['hide-details'] as boolean)"
    @update:model-value="type"
    @blur="isLeft = true"
  />
</template>

<style scoped>
.bare {
  display: block;
  min-width: 0;
}
.bare input {
  width: 100%;
  min-width: 0;
  min-height: 38px;
  padding: 0 8px;
  border: 1px solid var(--line);
  border-radius: 6px;
  background: var(--paper);
  color: var(--ink);
  font: inherit;
  text-align: inherit;
}
.bare input[aria-invalid='true'] {
  border: 2px solid var(--change);
}
@media (pointer: coarse) {
  .bare input {
    min-height: var(--touch);
  }
}
</style>
