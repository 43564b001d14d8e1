<script setup lang="ts">
import FormDialog from '@/components/FormDialog.vue'
import { ref } from 'vue'
import type { StockMove } from '@/api/types'
import NumberField from '@/components/NumberField.vue'
import { useSend } from '@/composables/useSend'
import { say, wordsOf } from '@/words'

/** What came or went of one thing, or how much of it there is. */
const { title, unit, keep } = defineProps<{
  title: string
  /** Where it is not counted by the piece. */
  unit?: string
  keep: (kind: StockMove['kind'], quantity: number) => Promise<unknown>
}>()
const emit = defineEmits<{ close: [] }>()
const { send, refusal, busy } = useSend()
const kind = ref<StockMove['kind']>('counted')
const quantity = ref<number | null>(null)

async function take(): Promise<void> {
  if (await send(() => keep(kind.value, quantity.value ?? 0))) emit('close')
}
</script>

<template>
  <form-dialog
    :label="title"
    width="480"
    :refusal="refusal"
    :busy="busy"
    back="Back"
    @save="take"
    @close="emit('close')"
  >
    <template #title>{{ title }}</template>
    <div class="segments" role="group" aria-label="What happened">
      <button
        v-for="one in wordsOf('stock_move') as StockMove['kind'][]"
        :key="one"
        type="button"
        :aria-pressed="kind === one"
        @click="kind = one"
      >
        {{ say(`stock_move.${one}`) }}
      </button>
    </div>
    <number-field
      v-model="quantity"
      :label="`${kind === 'counted' ? 'Counted' : 'How many'}${unit ? `, ${unit}` : ''}`"
      :unit="unit"
      required
      :whole="!unit"
      :high="100_000"
      autofocus
    />
    <template #save>Save</template>
  </form-dialog>
</template>
