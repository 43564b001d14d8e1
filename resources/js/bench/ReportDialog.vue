<script setup lang="ts">
import { v7 as uuid } from 'uuid'
import { ref } from 'vue'
import { api, body } from '@/api/client'
import { keys, queries } from '@/api/queries'
import type { BenchEntry } from '@/api/types'
import RefusalList from '@/components/RefusalList.vue'
import { useSend } from '@/composables/useSend'
import { say } from '@/words'
import { sayCounts } from './shares'

/** What a stand elsewhere counted, read from its table; nothing is kept before it was looked at. */
const { planterId } = defineProps<{ planterId: number }>()
const emit = defineEmits<{ close: [] }>()
const { send, refusal, busy } = useSend()
const runs = ref<BenchEntry[]>([])
const params = { path: { planter: planterId } }

async function read(event: Event): Promise<void> {
  const input = event.target as HTMLInputElement
  const file = input.files?.[0]
  if (!file) return
  runs.value = []
  await send(async () => {
    const data = new FormData()
    data.append('file', file)
    const told = await body(
      api.POST('/api/planters/{planter}/bench/report', {
        params,
        body: data as never,
        bodySerializer: (of) => of as unknown as FormData,
      }),
    )
    const happened_at = new Date().toISOString()
    runs.value = told.runs.map((run) => ({ ...run, stage: run.stage as BenchEntry['stage'], id: uuid(), happened_at }))
  })
  input.value = ''
}
async function keep(): Promise<void> {
  const kept = await send(() =>
    body(api.POST('/api/planters/{planter}/bench/counts', { params, body: { runs: runs.value } })),
  )
  if (!kept) return
  await queries.invalidateQueries({ queryKey: keys.bench(planterId) })
  emit('close')
}
</script>

<template>
  <v-dialog
    :model-value="true"
    max-width="640"
    aria-label="Test report from another stand"
    @update:model-value="emit('close')"
  >
    <form class="sheet asks" novalidate @submit.prevent="keep">
      <h2>Test report from another stand</h2>
      <p>
        A table with headings: row or meter, seeds, skips, doubles; optional: seed, disc, air, note. Each line is saved
        as today’s final test of its row.
      </p>
      <label class="file"
        ><span>Choose a CSV file</span><input type="file" accept=".csv,text/csv" :disabled="busy" @change="read"
      /></label>
      <ul v-if="runs.length > 0">
        <li v-for="run in runs" :key="run.id">
          <strong>Row {{ run.row }}</strong> {{ sayCounts(run) }}
          <span class="quiet"
            >· {{ say(`stage.${run.stage}`) }}{{ run.air == null ? '' : ` · ${run.air} in H₂O`
            }}{{ run.seed ? ` · ${run.seed}` : '' }}</span
          >
        </li>
      </ul>
      <refusal-list :refusal="refusal" />
      <div class="actions">
        <v-btn variant="text" @click="emit('close')">Back</v-btn>
        <v-btn type="submit" color="primary" :loading="busy" :disabled="runs.length === 0"
          >Save {{ runs.length || '' }} runs</v-btn
        >
      </div>
    </form>
  </v-dialog>
</template>

<style scoped>
.file {
  display: grid;
  gap: 6px;
  padding: 12px;
  border: 1px dashed var(--line);
  border-radius: 6px;
}
ul {
  margin: 0;
  padding: 0;
  list-style: none;
}
li {
  padding: 8px 0;
  border-top: 1px solid var(--line);
}
</style>
