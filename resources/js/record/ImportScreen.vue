<script setup lang="ts">
import { computed, onUnmounted, ref, watch } from 'vue'
import { queries, keys, refreshRecord, useFace } from '@/api/queries'
import type { ImportKind, ImportMapping, ImportMode, ImportNow, ImportResult } from '@/api/types'
import PlanterPage from '@/components/PlanterPage.vue'
import { dateAndTime } from '@/dates'
import { say } from '@/words'
import ColumnChoice from './ColumnChoice.vue'
import { cancel, follow, isOver, sendFile, useImports } from './imports'
import LineList from './LineList.vue'

/** A season's fields, past readings or part changes from a CSV file: look first, then take in what is good. */
const { planterId } = defineProps<{ planterId: number }>()
const { data: face } = useFace(() => planterId)
const { data: imports } = useImports(() => planterId)

const KINDS: ImportKind[] = ['acres', 'readings', 'changes']
const kind = ref<ImportKind>('acres')
const file = ref<File | null>(null)
const columns = ref<Record<string, number | null>>({})
const dates = ref<ImportMapping['dates']>('auto')
const leaveOut = ref<number[]>([])
const result = ref<ImportResult | null>(null)
/** What the server is at. */
const running = ref<ImportNow | null>(null)
const problem = ref('')
const busy = ref(false)

const mapping = computed<ImportMapping>(() => ({
  columns: Object.fromEntries(
    Object.entries(columns.value).filter((entry): entry is [string, number] => entry[1] !== null),
  ),
  dates: dates.value,
}))
const toTake = computed(() => result.value?.good ?? 0)
const before = computed(() => (imports.value ?? []).filter((one) => isOver(one)))

const progressText = computed(() => {
  const lines = running.value?.progress?.lines
  if (lines === undefined) return running.value?.import.state === 'waiting' ? 'Waiting …' : 'Reading …'
  const done = running.value?.import.state === 'taking' ? 'imported' : 'checked'
  return `${lines.toLocaleString('en')} lines ${done}`
})

let here = true
onUnmounted(() => (here = false))

/** Waits for the end of what the server is at, whoever began it. */
async function see(begun: () => Promise<ImportNow>): Promise<void> {
  busy.value = true
  problem.value = ''
  try {
    const over = await follow(
      planterId,
      await begun(),
      (now) => (running.value = now),
      () => here,
    )
    if (here) await show(over)
  } catch (error) {
    problem.value = (error as Error).message
  } finally {
    busy.value = false
    running.value = null
  }
}

async function show(over: ImportNow): Promise<void> {
  if (over.import.mode !== 'preview') {
    await Promise.all([refreshRecord(planterId), queries.invalidateQueries({ queryKey: keys.imports(planterId) })])
  }
  const { kept } = over.import
  const stays = kept > 0 ? ` ${kept.toLocaleString('en')} lines were imported and stay.` : ''
  if (over.import.state === 'cancelled' && over.import.mode !== 'preview') {
    problem.value = `Stopped.${stays} To continue, choose the file again. Nothing is imported twice.`
  }
  if (over.refused !== null) problem.value = over.refused + stays
  if (over.result === null) return
  kind.value = over.import.kind
  result.value = over.result
  columns.value = {
    ...Object.fromEntries(over.result.fields.map(({ field }) => [field, null])),
    ...over.result.mapping.columns,
  }
  dates.value = over.result.mapping.dates
}

async function send(mode: ImportMode, guess = false): Promise<void> {
  const chosen = file.value
  if (chosen === null) return
  await see(() =>
    sendFile(planterId, {
      file: chosen,
      kind: kind.value,
      mode,
      mapping: guess ? null : mapping.value,
      leaveOut: leaveOut.value,
    }),
  )
}

// Begun on another device, or before this page was loaded again.
watch(imports, (all) => {
  const [onTheWay] = (all ?? []).filter((one) => !isOver(one))
  if (onTheWay && !busy.value) {
    void see(() => Promise.resolve({ import: onTheWay, progress: null, result: null, refused: null }))
  }
})

async function stop(): Promise<void> {
  if (running.value === null) return
  try {
    await cancel(planterId, running.value.import)
  } catch (error) {
    problem.value = (error as Error).message
  }
}

function leaveOutDoubts(doubts: ImportResult['doubts']): void {
  leaveOut.value = [...leaveOut.value, ...doubts.map(({ line }) => line)]
  void send('preview')
}

function choose(event: Event): void {
  file.value = (event.target as HTMLInputElement).files?.[0] ?? null
  result.value = null
  leaveOut.value = []
  void send('preview', true)
}

function chooseKind(chosen: ImportKind): void {
  kind.value = chosen
  result.value = null
  leaveOut.value = []
  void send('preview', true)
}
</script>

<template>
  <planter-page :planter-id="planterId" :of="face">
    <div class="import">
      <section class="sheet">
        <h1>Import into {{ face?.planter.name }}</h1>
        <div class="segments" role="group" aria-label="File contains">
          <button v-for="one in KINDS" :key="one" type="button" :aria-pressed="kind === one" @click="chooseKind(one)">
            {{ say(`import.kind.${one}`) }}
          </button>
        </div>
        <label class="file">
          CSV file
          <input type="file" accept=".csv,.txt,text/csv,text/plain" @change="choose" />
        </label>
        <p class="quiet">
          Commas, semicolons or tabs, decimal points or commas. Nothing is imported until you confirm.
        </p>
        <p v-if="problem" class="change" role="alert">{{ problem }}</p>
        <template v-if="busy">
          <v-progress-linear
            :model-value="100 * (running?.progress?.share ?? 0)"
            :indeterminate="!running?.progress"
            color="primary"
            height="8"
            aria-label="Reading the file"
          />
          <div class="actions">
            <p role="status">{{ progressText }}</p>
            <v-btn v-if="running" variant="outlined" @click="stop">Stop</v-btn>
          </div>
          <p v-if="running && running.import.mode !== 'preview'" class="quiet">
            The import continues if you leave this page.
          </p>
        </template>
      </section>
      <template v-if="result">
        <section v-if="!result.done" :class="['sheet', { last: result.missing.length === 0 }]">
          <h2>Match columns</h2>
          <p v-if="!result.has_header" class="quiet">The file has no headings, so columns are numbered.</p>
          <p v-if="result.missing.length > 0" class="change" role="alert">
            Choose a column for: {{ result.missing.map((field) => say(`import.field.${field}`)).join(', ') }}.
          </p>
          <column-choice v-model:columns="columns" v-model:dates="dates" :result="result" />
          <v-btn variant="outlined" :loading="busy" @click="send('preview')">Look again</v-btn>
        </section>
        <section class="sheet">
          <h2 v-if="result.done">Imported</h2>
          <h2 v-else>Preview</h2>
          <p v-if="result.already && !result.done" class="watch" role="status">
            This file was imported on {{ dateAndTime(result.already.imported_at) }} by {{ result.already.imported_by }}.
            Lines already imported are skipped.
          </p>
          <p>
            <strong>{{ result.done ? result.kept : result.good }}</strong> good {{ result.good === 1 ? 'line' : 'lines'
            }}{{ result.done ? ' kept' : ''
            }}<template v-if="result.known > 0">, {{ result.known }} already imported</template>,
            <strong>{{ result.bad }}</strong> with problems.
          </p>
          <line-list :lines="result.errors" />
          <template v-if="result.doubtful > 0 && !result.done">
            <h3>
              {{ result.doubtful }} good {{ result.doubtful === 1 ? 'line is' : 'lines are' }} unlikely, and
              {{ result.doubtful === 1 ? 'comes' : 'come' }} in unless left out
            </h3>
            <line-list :lines="result.doubts" />
            <v-btn variant="outlined" :loading="busy" @click="leaveOutDoubts(result.doubts)">Leave these out</v-btn>
          </template>
          <div v-if="!result.done" class="actions">
            <v-text-field
              :model-value="leaveOut.join(', ')"
              label="Lines to leave out"
              placeholder="12, 40"
              @update:model-value="leaveOut = ($event.match(/\d+/g) ?? []).map(Number)"
            />
            <v-btn
              v-if="result.bad === 0"
              color="primary"
              :loading="busy"
              :disabled="toTake === 0"
              @click="send('whole')"
            >
              Import all {{ toTake }} lines
            </v-btn>
            <v-btn v-else color="primary" :loading="busy" :disabled="toTake === 0" @click="send('good')">
              Import the {{ toTake }} good lines
            </v-btn>
          </div>
          <v-btn
            v-else
            :to="{
              name: kind === 'acres' ? 'field' : 'board',
              params: { planter: planterId },
            }"
            color="primary"
          >
            Show them
          </v-btn>
        </section>
      </template>
      <section v-if="before.length > 0" class="sheet before">
        <h2>Imported before</h2>
        <ul>
          <li v-for="one in before" :key="one.id">
            <strong>{{ one.file_name }}</strong> {{ say(`import.kind.${one.kind}`) }}
            <span class="quiet">
              {{ one.kept.toLocaleString('en') }} {{ one.kept === 1 ? 'line' : 'lines' }} kept<template
                v-if="one.state !== 'done'"
                >, then {{ one.state === 'cancelled' ? 'stopped' : 'stopped' }}</template
              >, {{ dateAndTime(one.imported_at) }}, {{ one.imported_by }}
            </span>
          </li>
        </ul>
      </section>
    </div>
  </planter-page>
</template>

<style scoped>
.import {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: var(--gap);
  max-width: 1100px;
  margin: 0 auto;
}
.segments {
  flex-wrap: wrap;
  margin: 10px 0;
  justify-self: start;
}
.segments button {
  flex: 1 0 auto;
}
.file {
  display: grid;
  gap: 6px;
  margin: 10px 0;
}
input[type='file'],
input::file-selector-button {
  min-height: var(--touch);
}
input::file-selector-button {
  margin-right: 12px;
  padding: 0 16px;
  border: 1px solid var(--ink-2);
  border-radius: 8px;
  background: var(--card);
  color: inherit;
  font: inherit;
}
.last {
  order: 1;
}
.v-progress-linear {
  margin-top: 12px;
}
.before {
  order: 2;
}
.before ul {
  display: grid;
  gap: 8px;
  margin: 0;
  padding: 0;
  list-style: none;
}
.before .quiet {
  display: block;
}
h3 {
  font-size: 1rem;
  margin: 12px 0 4px;
}
.actions {
  display: flex;
  flex-wrap: wrap;
  gap: 12px;
  align-items: center;
  margin-top: 10px;
}
.actions > :deep(.v-input) {
  max-width: 260px;
}
</style>
