<script setup lang="ts">
import { computed, reactive, ref, watch } from 'vue'
import { api, body } from '@/api/client'
import { keys, queries } from '@/api/queries'
import { useSpecSheet, useSpecSheets } from '@/spec/queries'
import type { Check, Figure, SpecSheet, Verdict } from '@/api/types'
import VerdictGlyph from '@/components/VerdictGlyph.vue'
import { useSend } from '@/composables/useSend'
import { useUnits } from '@/composables/useUnits'
import { say, sayOwn, sayRow } from '@/words'
import OwnChecks from './OwnChecks.vue'
import SpecLine, { type Entry, type Field } from './SpecLine.vue'
import { useSession } from '@/session'

const session = useSession()
/** A spec sheet, a line a check with its figures across; the shop's own is edited. */
const { sheet } = defineProps<{ sheet: SpecSheet }>()
const { units } = useUnits()

const entry = (figure: Figure): Entry => ({ value: figure.typed, source: figure.source })
const form = reactive({
  name: sheet.name,
  notch: entry(sheet.notch),
  threads: { left_hand: sheet.left_hand_thread ?? '', torque: sheet.torque },
  figures: figuresOf(sheet.checks),
})
// A check of the shop's own comes and goes; what is typed at the others stays.
watch(
  () => sheet.checks,
  (checks) => {
    const now = figuresOf(checks)
    form.figures = Object.fromEntries(Object.entries(now).map(([key, figures]) => [key, form.figures[key] ?? figures]))
  },
)

function figuresOf(checks: Check[]): Record<string, Record<string, Entry>> {
  return Object.fromEntries(
    checks
      .filter((check) => Object.keys(check.figures).length > 0)
      .map((check) => [
        check.key,
        Object.fromEntries(Object.entries(check.figures).map(([name, figure]) => [name, entry(figure)])),
      ]),
  )
}

const { send, refusal, busy } = useSend()
const saved = ref(false)
const confirming = ref(false)

type Change = { planter: string; row: number; check: string; side: string; from: Verdict; to: Verdict }
const changes = ref<Change[]>()

// The typical sheet of the same row unit, to hold the shop's figures against.
const sheets = useSpecSheets()
const typicalId = computed(() => sheets.data.value?.find(({ type, own }) => type === sheet.type && !own)?.id)
const typical = useSpecSheet(() => typicalId.value ?? sheet.id)

type Line = { title: string; fields: Field[] }
const lines = computed<Line[]>(() => {
  const checks = new Map(sheet.own ? typical.data.value?.checks.map((check) => [check.key, check.figures]) : [])
  return [
    ...sheet.checks
      .filter((check) => Object.keys(check.figures).length > 0)
      .map((check) => ({
        title: say(`check.${check.key}`),
        fields: Object.entries(check.figures).map(([name, figure]) => ({
          path: `figures.${check.key}.${name}`,
          label: sayOwn(`figure.${name}`, check.key),
          figure,
          typical: checks.get(check.key)?.[name],
          entry: () => form.figures[check.key]?.[name] as Entry,
        })),
      })),
    {
      title: 'Depth stop',
      fields: [
        {
          path: 'notch',
          label: say('figure.notch'),
          figure: sheet.notch,
          typical: sheet.own ? typical.data.value?.notch : undefined,
          entry: () => form.notch,
        },
      ],
    },
  ]
})
const search = ref('')
const onlyOwn = ref(false)
const isOwn = ({ fields }: Line) => fields.some(({ figure, typical }) => typical && typical.value !== figure.value)
/** What is looked for; a line with something wrong stands there in any case. */
const shown = computed(() =>
  lines.value.filter(
    (line) =>
      line.fields.some(({ path }) => about(path) !== undefined) ||
      (line.title.toLowerCase().includes(search.value.trim().toLowerCase()) && (!onlyOwn.value || isOwn(line))),
  ),
)

/** A refusal names the field itself, or its value or source. */
function about(path: string): string | undefined {
  return refusal.value?.about(path) ?? refusal.value?.about(`${path}.value`) ?? refusal.value?.about(`${path}.source`)
}

const params = { path: { specSheet: sheet.id } }

/** Says what the figures would change, before they are kept. */
const preview = () =>
  attempt(async () => {
    changes.value = await body(api.POST('/api/spec-sheets/{specSheet}/preview', { params, body: form }))
  })

/** What the form was filled from: where somebody else has saved meanwhile, nothing is overwritten. */
let version = sheet.version
const save = () =>
  attempt(async () => {
    const kept = await body(api.PUT('/api/spec-sheets/{specSheet}', { params, body: { ...form, version } }))
    version = kept.version
    queries.setQueryData(keys.specSheet(sheet.id), kept)
    await queries.invalidateQueries()
    saved.value = true
  })

const reset = () =>
  attempt(async () => {
    await body(api.POST('/api/spec-sheets/{specSheet}/reset', { params }))
    await queries.invalidateQueries()
    window.location.reload()
  })

async function attempt(work: () => Promise<void>): Promise<void> {
  saved.value = false
  changes.value = undefined
  await send(work)
}
</script>

<template>
  <form class="form" novalidate @submit.prevent="save">
    <h1>{{ sheet.name }}</h1>
    <p v-if="!sheet.own" class="quiet">
      Typical values; check the operator's manual. This sheet cannot be edited. Copy it under
      <router-link :to="{ name: 'spec-sheets' }">Spec sheets</router-link> to enter your own figures.
    </p>
    <v-text-field v-else v-model="form.name" label="Name of this sheet" :error-messages="refusal?.about('name')" />
    <div class="find">
      <v-text-field v-model="search" label="Find a check" density="compact" clearable @click:clear="search = ''" />
      <v-checkbox v-if="sheet.own" v-model="onlyOwn" hide-details density="compact" label="Only my figures" />
    </div>
    <section class="sheet">
      <table>
        <tbody>
          <spec-line
            v-for="line in shown"
            :key="line.title"
            :title="line.title"
            :fields="line.fields"
            :own="sheet.own"
            :about="about"
          />
        </tbody>
      </table>
      <p v-if="shown.length === 0" class="quiet">No check with this name.</p>
    </section>
    <section class="sheet bolts">
      <h2>Blade bolts</h2>
      <div v-if="sheet.own" class="find">
        <v-select
          v-model="form.threads.left_hand"
          label="Left-hand thread on"
          density="compact"
          :items="[
            { value: 'left', title: 'the left blade' },
            { value: 'right', title: 'the right blade' },
            { value: '', title: 'unknown: see the manual' },
          ]"
          :error-messages="refusal?.about('threads.left_hand')"
        />
        <v-text-field
          v-model="form.threads.torque"
          label="Torque (empty: see the manual)"
          density="compact"
          maxlength="60"
          :error-messages="refusal?.about('threads.torque')"
        />
      </div>
      <p v-else>
        {{ say(`threads.${sheet.left_hand_thread ?? 'unknown'}`) }}
        {{ sheet.torque === '' ? say('threads.torque_in_manual') : say('threads.torque', { torque: sheet.torque }) }}
      </p>
    </section>
    <own-checks v-if="sheet.own" :sheet="sheet" />
    <p v-if="refusal" class="change" role="alert">{{ refusal.message }}</p>
    <p v-if="saved" role="status">Saved. Open walks on this sheet now use these figures.</p>
    <section v-if="changes" class="sheet" role="status">
      <h2>On open walks</h2>
      <p v-if="changes.length === 0">No verdict changes.</p>
      <ul v-else class="changes">
        <li v-for="(change, index) in changes" :key="index">
          {{ change.planter }}, {{ sayRow(change.row).toLowerCase() }}, {{ say(`check.${change.check}`).toLowerCase() }}
          {{ say(`side.${change.side}`) }}: <verdict-glyph :verdict="change.from" />
          {{ say(`verdict.${change.from}`) }} → <verdict-glyph :verdict="change.to" />
          <strong>{{ say(`verdict.${change.to}`) }}</strong>
        </li>
      </ul>
    </section>
    <div v-if="sheet.own" class="buttons">
      <v-btn v-if="session.may('set')" type="submit" color="primary" size="large" :loading="busy">Save figures</v-btn>
      <v-btn variant="outlined" size="large" :disabled="busy" @click="preview">Preview changes</v-btn>
      <v-btn variant="outlined" size="large" :disabled="busy" @click="confirming = true">Reset to typical</v-btn>
      <v-btn variant="text" size="large" :to="{ name: 'spec-sheets' }">Back</v-btn>
      <span class="quiet">A number without a unit is in {{ units === 'in' ? 'inches' : 'millimetres' }}.</span>
    </div>
    <v-dialog v-model="confirming" aria-label="Reset to typical" max-width="440">
      <div class="sheet asks">
        <h2>Reset to typical figures?</h2>
        <p>All figures and notes on this sheet are reset. Open walks use them right away.</p>
        <v-btn color="primary" size="large" @click="((confirming = false), reset())">Reset</v-btn>
        <v-btn variant="outlined" size="large" @click="confirming = false">Cancel</v-btn>
      </div>
    </v-dialog>
  </form>
</template>

<style scoped>
.form {
  display: grid;
  gap: var(--gap);
}
.bolts {
  display: grid;
  gap: 10px;
}
.find {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px 20px;
}
.find > :not(.v-checkbox) {
  flex: 0 1 320px;
}
table {
  width: 100%;
  border-collapse: collapse;
}
table tr:first-child :deep(> *) {
  border-top: 0;
}
.changes {
  padding-left: 18px;
}
.buttons {
  position: sticky;
  bottom: 0;
  padding: 8px 0;
  background: var(--paper);
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 12px;
}
</style>
