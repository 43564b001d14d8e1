<script setup lang="ts">
import { v7 as uuid } from 'uuid'
import { ref } from 'vue'
import type { SettingEntry } from '@/api/types'
import { useOnce } from '@/composables/useOnce'
import { useUnits } from '@/composables/useUnits'
import type { Ground } from './queries'

/** What was set, told as one line. */
const { ground, busy, keep } = defineProps<{
  ground: Ground
  busy: boolean
  keep: (entries: SettingEntry[], said: string) => Promise<boolean>
}>()
const { units } = useUnits()
const once = useOnce()
const line = ref('')

async function save(): Promise<void> {
  const told = { line: line.value.trim(), units: units.value, ...ground }
  const entries = once.of([told], () => [{ ...told, id: uuid(), happened_at: new Date().toISOString() }])
  if (!(await keep(entries, `Saved: ${told.line}`))) return
  once.taken()
  line.value = ''
}
</script>

<template>
  <form novalidate aria-label="Settings in one line" @submit.prevent="save">
    <v-text-field
      v-model="line"
      label="Type a setting"
      placeholder="downforce 180 lb rows 3-6, closing 2, air 18"
      hint="Setting, value, and rows if not all; “note …” for how it went"
      persistent-hint
      maxlength="500"
      enterkeyhint="done"
    />
    <v-btn type="submit" color="primary" size="large" :loading="busy" :disabled="line.trim() === ''">Save</v-btn>
  </form>
</template>

<style scoped>
form {
  display: flex;
  align-items: flex-start;
  gap: 8px 12px;
  margin-bottom: 14px;
}
</style>
