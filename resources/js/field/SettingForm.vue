<script setup lang="ts">
import { v7 as uuid } from 'uuid'
import { computed, reactive } from 'vue'
import type { SettingEntry, Settings } from '@/api/types'
import NumberField from '@/components/NumberField.vue'
import { useNumbers } from '@/composables/useNumbers'
import { useOnce } from '@/composables/useOnce'
import { useUnits } from '@/composables/useUnits'
import { readRows } from '@/walk/rows'
import { say } from '@/words'
import type { Ground } from './queries'

/** One line of what was set: what, on which rows, to what. */
const { keys, rowCount, ground, busy, keep } = defineProps<{
  keys: Settings['keys']
  rowCount: number
  ground: Ground
  busy: boolean
  keep: (entries: SettingEntry[], said: string) => Promise<boolean>
}>()
const { units } = useUnits()
const once = useOnce()
const numbers = useNumbers()
const form = reactive({
  key: 'downforce' as SettingEntry['key'],
  rows: '',
  value: '',
  figure: null as number | null,
  note: '',
})
const key = computed(() => keys.find((one) => one.key === form.key))
const rows = computed(() =>
  !key.value?.of_rows || form.rows.trim() === '' ? [0] : (readRows(form.rows, rowCount) ?? null),
)

async function save(): Promise<void> {
  if (rows.value === null || numbers.complain() > 0) return
  const value = key.value?.unit === null ? { value: form.value } : { figure: form.figure, units: units.value }
  const said = key.value?.unit === null ? form.value : `${form.figure ?? ''} ${key.value?.unit ?? ''}`
  const typed = rows.value.map((row) => ({ key: form.key, row, ...value, ...ground, note: form.note }))
  const entries = once.of(typed, () => {
    const happened_at = new Date().toISOString()
    return typed.map((one) => ({ ...one, id: uuid(), happened_at }))
  })
  if (!(await keep(entries, `Saved: ${say(`setting.${form.key}`)} ${said}`))) return
  once.taken()
  form.value = form.note = ''
  form.figure = null
}
</script>

<template>
  <form novalidate aria-label="A setting" @submit.prevent="save">
    <v-select
      v-model="form.key"
      label="What"
      :items="keys.map((one) => ({ value: one.key, title: say(`setting.${one.key}`) }))"
    />
    <v-text-field
      v-model="form.rows"
      label="Rows"
      placeholder="all"
      :disabled="!key?.of_rows"
      :error-messages="rows === null ? `Rows from 1 to ${rowCount}, such as 3, 9-12.` : []"
    />
    <v-text-field v-if="key?.unit == null" v-model="form.value" label="Set to" maxlength="80" />
    <number-field
      v-else
      v-model="form.figure"
      :label="key.unit ? `Set to, ${key.unit}` : 'Set to'"
      :unit="key.unit"
      :low="-1e6"
    />
    <v-text-field v-model="form.note" class="note" label="How it went" maxlength="300" />
    <v-btn
      type="submit"
      variant="outlined"
      size="large"
      :loading="busy"
      :disabled="rows === null || (key?.unit == null ? form.value === '' : form.figure === null)"
      >Save</v-btn
    >
  </form>
</template>

<style scoped>
form {
  display: grid;
  grid-template-columns: minmax(0, 1.3fr) minmax(0, 0.8fr) minmax(0, 1fr);
  gap: 8px 12px;
}
.note {
  grid-column: 1 / 3;
}
@media (max-width: 700px) {
  form {
    grid-template-columns: repeat(2, minmax(0, 1fr));
  }
  .note {
    grid-column: auto;
  }
}
</style>
