<script setup lang="ts">
import { v7 as uuid } from 'uuid'
import { ref } from 'vue'
import { api, body } from '@/api/client'
import type { WatchSetUp } from '@/api/types'
import NumberField from '@/components/NumberField.vue'
import RefusalList from '@/components/RefusalList.vue'
import { useOnce } from '@/composables/useOnce'
import { useSend } from '@/composables/useSend'
import { say, wordsOf } from '@/words'
import { watched } from './queries'

/** Has a planter watched: by its row monitor, or on a made-up field. */
const { planterId, usualAcres } = defineProps<{ planterId: number; usualAcres: number }>()
const { send, refusal, busy } = useSend()
const once = useOnce()
const field = ref('')
const acres = ref<number | null>(usualAcres)
const practice = ref(false)
const fault = ref<NonNullable<WatchSetUp['fault']>>('plugged')
const faults = wordsOf('practice_fault').map((value) => ({ value, title: say(`practice_fault.${value}`) }))

async function start(): Promise<void> {
  const typed = {
    field: field.value,
    acres: acres.value ?? 0,
    ...(practice.value ? { practice: true, fault: fault.value } : {}),
  }
  const sent = once.of(typed, () => ({ ...typed, id: uuid() }))
  const params = { path: { planter: planterId } }
  if (
    await send(async () =>
      watched(planterId, await body(api.POST('/api/planters/{planter}/watch', { params, body: sent }))),
    )
  )
    once.taken()
}
</script>

<template>
  <form class="sheet asks" novalidate aria-label="Start row watch" @submit.prevent="start">
    <h1>Start row watch</h1>
    <p class="quiet">
      The row monitor reports each row every second. Ustrel compares each row with its own past and with the other rows.
      When rows that share a part change together, it names that part.
    </p>
    <div class="pair">
      <v-text-field v-model="field" label="Field" maxlength="80" hide-details />
      <number-field
        v-model="acres"
        label="One false alarm per"
        suffix="ac"
        required
        :low="50"
        :high="100_000"
        hide-details
      />
      <v-checkbox v-model="practice" label="Practice on a simulated field" hide-details />
      <v-select v-if="practice" v-model="fault" :items="faults" label="Fault" hide-details />
    </div>
    <refusal-list :refusal="refusal" />
    <div class="actions">
      <v-btn type="submit" color="primary" size="large" :loading="busy">Watch</v-btn>
    </div>
  </form>
</template>
