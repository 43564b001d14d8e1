<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { api, body } from '@/api/client'
import type { SharedRows } from '@/api/types'
import RefusalList from '@/components/RefusalList.vue'
import { useSend } from '@/composables/useSend'
import { readRows, shortRows } from '@/walk/rows'
import { say, wordsOf } from '@/words'
import { sharedAgain, sharedSaved } from './queries'

/** What rows of the planter share: where they move together, that is to blame. */
const { planterId, shared, proposed, rowCount } = defineProps<{
  planterId: number
  shared: SharedRows[]
  proposed: SharedRows[]
  rowCount: number
}>()
const { send, refusal, busy } = useSend()
const told = (of: SharedRows[]) => of.map(({ kind, name, rows }) => ({ kind, name, rows: shortRows(rows) }))
const lines = ref(told(shared.length > 0 ? shared : proposed))
const done = ref('')
watch(
  () => JSON.stringify(shared),
  () => (lines.value = told(shared)),
)
const kinds = wordsOf('group_kind').map((value) => ({
  value: value as SharedRows['kind'],
  title: say(`group_kind.${value}`),
}))
const rows = computed(() => lines.value.map((line) => readRows(line.rows, rowCount)))

async function save(): Promise<void> {
  done.value = ''
  const groups = lines.value.map(({ kind, name }, at) => ({ kind, name, rows: rows.value[at] ?? [] }))
  const params = { path: { planter: planterId } }
  const taken = await send(async () =>
    sharedSaved(
      planterId,
      await body(api.PUT('/api/planters/{planter}/shared-rows', { params, body: { groups, before: shared } })),
    ),
  )
  if (taken) done.value = 'Saved. Used from the next row watch on.'
  else if (refusal.value?.status === 409) void sharedAgain(planterId)
}
</script>

<template>
  <details class="sheet">
    <summary>Shared parts</summary>
    <form novalidate aria-label="Shared parts" @submit.prevent="save">
      <p v-if="shared.length === 0 && proposed.length > 0" class="quiet">
        Suggested from the toolbar sections. Nothing is saved until you save it.
      </p>
      <div v-for="(line, at) in lines" :key="at" class="line">
        <v-select v-model="line.kind" :items="kinds" label="What" hide-details />
        <v-text-field v-model="line.name" label="Name" maxlength="40" hide-details />
        <v-text-field
          v-model="line.rows"
          label="Rows"
          :error-messages="rows[at] === null ? `Rows from 1 to ${rowCount}, such as 1-4, 7.` : []"
          hide-details="auto"
        />
        <v-btn variant="text" :aria-label="`Remove ${line.name || 'this line'}`" @click="lines.splice(at, 1)"
          >Remove</v-btn
        >
      </div>
      <refusal-list :refusal="refusal" />
      <p v-if="done" role="status">{{ done }}</p>
      <div class="actions">
        <v-btn variant="text" size="large" @click="lines.push({ kind: 'motor', name: '', rows: '' })">Another</v-btn>
        <v-btn variant="outlined" size="large" type="submit" :loading="busy" :disabled="rows.includes(null)"
          >Save shared parts</v-btn
        >
      </div>
    </form>
  </details>
</template>

<style scoped>
summary {
  display: flex;
  align-items: center;
  min-height: var(--touch);
  font-weight: 700;
  cursor: pointer;
}
.line {
  display: grid;
  grid-template-columns: 130px minmax(0, 1fr) minmax(0, 1fr) auto;
  gap: 8px;
  margin-bottom: 8px;
}
@media (max-width: 600px) {
  .line {
    grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  }
}
</style>
