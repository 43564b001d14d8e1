<script setup lang="ts">
import { ref } from 'vue'
import type { Manual } from '@/api/types'
import { useSend } from '@/composables/useSend'
import { useSession } from '@/session'
import { addManual, fileOf, MOST_MEGABYTES, removeManual, saveManual } from './manuals'

/** Operator's manuals of a planter, or of all that go by a spec sheet. */
const { of, manuals } = defineProps<{
  of: { planter_id: number } | { spec_sheet_id: number }
  manuals: Manual[]
}>()
const session = useSession()
const { send, refusal, busy } = useSend()
const complaint = ref('')
const done = ref('')

const megabytes = (bytes: number) => `${Math.max(0.1, bytes / 1024 ** 2).toFixed(1)} MB`
/** Those of the sheet are changed there. */
const isOwn = (manual: Manual) => ('planter_id' in of ? manual.planter_id !== null : true)

async function add(event: Event): Promise<void> {
  const input = event.target as HTMLInputElement
  const file = input.files?.[0]
  if (!file) return
  complaint.value = done.value = ''
  if (file.size > MOST_MEGABYTES * 1024 ** 2) {
    complaint.value = `“${file.name}” has ${megabytes(file.size)}. A manual can have up to ${MOST_MEGABYTES} MB: split it, or save it with smaller pictures.`
  } else if (await send(() => addManual(file, of))) {
    done.value = `“${file.name}” is attached. Open it once on a phone and it opens there without a signal too.`
  }
  input.value = ''
}
async function rename(manual: Manual, event: Event): Promise<void> {
  const name = (event.target as HTMLInputElement).value.trim()
  if (name !== manual.name) await send(() => saveManual(manual, { name }))
}
</script>

<template>
  <section class="sheet" aria-label="Operator’s manuals">
    <h2>Operator’s manuals</h2>
    <p v-if="manuals.length === 0" class="quiet">
      Attach the manual as a PDF of up to {{ MOST_MEGABYTES }} MB. In the walk you can note its page at each check.
    </p>
    <ul v-else>
      <li v-for="manual in manuals" :key="manual.id">
        <v-text-field
          v-if="session.may('set') && isOwn(manual)"
          :model-value="manual.name"
          label="Name"
          maxlength="80"
          hide-details
          @change="rename(manual, $event)"
        />
        <span v-else>{{ manual.name }} <span v-if="!isOwn(manual)" class="quiet">with the spec sheet</span></span>
        <span class="quiet">{{ megabytes(manual.bytes) }}</span>
        <v-btn variant="outlined" :href="fileOf(manual.id)" target="_blank" rel="noopener">Open</v-btn>
        <v-btn
          v-if="session.may('set') && isOwn(manual)"
          variant="text"
          :aria-label="`Remove ${manual.name}`"
          :loading="busy"
          @click="send(() => removeManual(manual))"
          >Remove</v-btn
        >
      </li>
    </ul>
    <label v-if="session.may('set')" class="file">
      <input type="file" accept=".pdf,application/pdf" :disabled="busy" @change="add" /><span>{{
        busy ? 'Sending…' : 'Attach a manual'
      }}</span>
    </label>
    <p v-if="complaint || refusal" class="change" role="alert">
      {{ complaint || (refusal?.about('file') ?? refusal?.message) }}
    </p>
    <p v-if="done" role="status">{{ done }}</p>
  </section>
</template>

<style scoped>
ul {
  display: grid;
  gap: 12px;
  margin: 12px 0;
  padding: 0;
  list-style: none;
}
li {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto auto auto;
  align-items: center;
  gap: 8px;
}
.file {
  position: relative;
  display: inline-block;
  cursor: pointer;
}
.file span {
  display: inline-flex;
  align-items: center;
  min-height: var(--touch);
  padding: 0 16px;
  font-weight: 700;
  border: 1px solid var(--line);
  border-radius: 6px;
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
@media (max-width: 600px) {
  li {
    grid-template-columns: minmax(0, 1fr) auto;
  }
}
</style>
