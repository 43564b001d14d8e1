<script setup lang="ts">
import { v7 as uuid } from 'uuid'
import { ref } from 'vue'
import { api, body } from '@/api/client'
import type { Meter, MeterMove, YardPlanter } from '@/api/types'
import NumberField from '@/components/NumberField.vue'
import RefusalList from '@/components/RefusalList.vue'
import { useOnce } from '@/composables/useOnce'
import { useSend } from '@/composables/useSend'
import { say, wordsOf } from '@/words'

/** Where a meter goes: into a row, on the shelf, or out to a stand elsewhere. */
const { meter, planters } = defineProps<{ meter: Meter; planters: YardPlanter[] }>()
const emit = defineEmits<{ saved: []; close: [] }>()
const { send, refusal, busy } = useSend()
const once = useOnce()
/** Where it came from, and mostly goes back to. */
const home = meter.stays.find(({ to }) => to === 'row')
const isIn = meter.stays[0]?.to === 'row'
const to = ref<MeterMove['to']>(isIn ? 'out' : 'row')
const planter = ref(home?.planter_id ?? planters[0]?.id)
const row = ref<number | null>(home?.row ?? null)
const place = ref('')

async function move(): Promise<void> {
  const typed = {
    meter_id: meter.id,
    to: to.value,
    place: place.value,
    ...(to.value === 'row' ? { planter_id: planter.value, row: row.value ?? 0 } : {}),
  }
  const sent = once.of(typed, () => ({ ...typed, id: uuid(), happened_at: new Date().toISOString() }))
  if (await send(() => body(api.POST('/api/meters/moves', { body: { moves: [sent] } })))) emit('saved')
}
</script>

<template>
  <v-dialog
    :model-value="true"
    max-width="520"
    :aria-label="`Meter ${meter.serial}`"
    @update:model-value="emit('close')"
  >
    <form class="sheet asks" novalidate @submit.prevent="move">
      <h2>Meter {{ meter.serial }}</h2>
      <div class="segments" role="group" aria-label="Where it goes">
        <button
          v-for="one in wordsOf('meter_to') as MeterMove['to'][]"
          :key="one"
          type="button"
          :aria-pressed="to === one"
          @click="to = one"
        >
          {{ say(`meter_to.${one}`) }}
        </button>
      </div>
      <p v-if="to === 'row'" class="caution">{{ say('caution.meter') }} {{ say('caution.first') }}</p>
      <div v-if="to === 'row'" class="pair">
        <v-select
          v-model="planter"
          label="Planter"
          :items="planters.map(({ id, name }) => ({ value: id, title: name }))"
        />
        <number-field v-model="row" label="Row" required whole :low="1" :high="64" />
      </div>
      <v-text-field v-else v-model="place" :label="to === 'out' ? 'Who has it' : 'Which shelf'" maxlength="120" />
      <p v-if="to === 'row' && home" class="quiet">Enter its test report on the planter’s Bench, or import it there.</p>
      <refusal-list :refusal="refusal" />
      <div class="actions">
        <v-btn variant="text" @click="emit('close')">Back</v-btn>
        <v-btn type="submit" color="primary" :loading="busy">Save</v-btn>
      </div>
    </form>
  </v-dialog>
</template>
