<script setup lang="ts">
import { useLocalStorage } from '@vueuse/core'
import { v7 as uuid } from 'uuid'
import { onMounted, ref, useTemplateRef } from 'vue'
import NumberField from '@/components/NumberField.vue'
import RefusalList from '@/components/RefusalList.vue'
import { useDays } from '@/composables/useDays'
import { useOnce } from '@/composables/useOnce'
import { useSend } from '@/composables/useSend'
import { useUnits } from '@/composables/useUnits'
import { useOutbox } from '@/offline/outbox'

/** Plants counted on a marked length, one row after the other; what stays the same stays typed. */
const { planterId, rowCount } = defineProps<{ planterId: number; rowCount: number }>()
const row = defineModel<number>('row', { required: true })
const { today } = useDays()
const { units } = useUnits()
const outbox = useOutbox()
const once = useOnce()
const { send, refusal, busy } = useSend()
const same = useLocalStorage(`ustrel.stand-count-${planterId}`, {
  field: '',
  planted_on: '',
  length: null as number | null,
  population: null as number | null,
  germination: null as number | null,
})
const plants = ref<number | null>(null)
const done = ref('')
/** At once, and again after each row; Vuetify's autofocus comes late and takes the focus from where one is typing already. */
const counted = useTemplateRef<{ focus: () => void }>('counted')
onMounted(() => counted.value?.focus())

async function save(): Promise<void> {
  done.value = ''
  const { field, planted_on, length, population, germination } = same.value
  const typed = {
    row: row.value,
    field,
    planted_on,
    plants: plants.value ?? -1,
    length: length ?? 0,
    units: units.value,
    population,
    germination,
  }
  const body = once.of(typed, () => ({ ...typed, id: uuid(), happened_at: new Date().toISOString() }))
  if (!(await send(() => outbox.deliver({ what: 'standCount', id: body.id, planter: planterId, body })))) return
  once.taken()
  done.value = `Row ${typed.row}: ${typed.plants} plants, saved.`
  // Whoever has gone on meanwhile keeps what they typed.
  if (plants.value === typed.plants) plants.value = null
  if (row.value === typed.row) row.value = Math.min(rowCount, row.value + 1)
  counted.value?.focus()
}
</script>

<template>
  <form class="sheet asks" novalidate aria-label="A count" @submit.prevent="save">
    <h1>Count row {{ row }}</h1>
    <p class="quiet">
      Mark the same length on each row, count plants that are up, and come back each day. 1/1000 acre is 17 ft 5 in at
      30 in.
    </p>
    <div class="pair">
      <number-field ref="counted" v-model="plants" label="Plants up" required whole :high="100_000" hide-details />
      <number-field
        v-model="same.length"
        :label="units === 'in' ? 'Length counted, ft' : 'Length counted, m'"
        :kind="units === 'in' ? 'feet' : 'meters'"
        required
        :low="0.1"
        :high="1000"
        hide-details
      />
      <v-text-field v-model="same.field" label="Field" maxlength="80" hide-details />
      <v-text-field v-model="same.planted_on" type="date" label="Planted on" :max="today()" hide-details />
      <number-field
        v-model="same.population"
        label="Planted, seeds/ac"
        kind="seeds"
        whole
        :low="500"
        :high="2_000_000"
        hide-details
      />
      <number-field
        v-model="same.germination"
        label="Germination, %"
        kind="share"
        :low="0.01"
        :high="1"
        :places="3"
        hide-details
      />
    </div>
    <refusal-list :refusal="refusal" />
    <p v-if="done" role="status">{{ done }}</p>
    <div class="actions">
      <v-btn type="submit" color="primary" size="large" :loading="busy">Save row {{ row }}</v-btn>
    </div>
  </form>
</template>

<style scoped>
form {
  max-height: none;
}
</style>
