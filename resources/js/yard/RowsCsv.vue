<script setup lang="ts">
import { ref } from 'vue'
import { api, body } from '@/api/client'
import type { PlanterRows } from '@/api/types'
import { useSend } from '@/composables/useSend'

/** What the rows have, out to a spreadsheet and back into the form. Nothing is saved until the form is. */
const { planterId } = defineProps<{ planterId: number }>()
const emit = defineEmits<{ read: [table: PlanterRows] }>()
const { send, refusal, busy } = useSend()
const done = ref('')

async function read(event: Event): Promise<void> {
  const input = event.target as HTMLInputElement
  const file = input.files?.[0]
  if (!file) return
  done.value = ''
  const data = new FormData()
  data.append('file', file)
  await send(async () => {
    const params = { path: { planter: planterId } }
    const bodySerializer = (of: unknown) => of as FormData
    emit('read', await body(api.POST('/api/planters/{planter}/rows', { params, body: data as never, bodySerializer })))
    done.value = `Filled in from ${file.name}. Look it over, then save.`
  })
  input.value = ''
}
</script>

<template>
  <section aria-label="Rows as a table">
    <div class="line">
      <span>All rows in a spreadsheet:</span>
      <a :href="`/api/planters/${planterId}/rows.csv`" download>Export CSV</a>
      <label class="file">
        <input type="file" accept=".csv,text/csv" :disabled="busy" @change="read" /><span>Fill from CSV</span>
      </label>
    </div>
    <p v-if="refusal" class="change" role="alert">{{ refusal.about('file') ?? refusal.message }}</p>
    <p v-if="done" role="status">{{ done }}</p>
  </section>
</template>

<style scoped>
.line {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px 16px;
}
a,
.file span {
  display: inline-flex;
  align-items: center;
  min-height: var(--touch);
  font-weight: 700;
  color: var(--accent);
  text-decoration: underline;
  text-underline-offset: 3px;
}
.file {
  position: relative;
  cursor: pointer;
}
.file input {
  position: absolute;
  inset: 0;
  opacity: 0;
  cursor: pointer;
}
.file:focus-within span {
  outline: 3px solid var(--accent);
  outline-offset: 2px;
}
</style>
