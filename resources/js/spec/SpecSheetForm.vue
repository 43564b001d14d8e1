<script setup lang="ts">
import { reactive, ref } from 'vue'
import { api, body } from '@/api/client'
import { keys, queries } from '@/api/queries'
import type { Figure, SpecSheet, Verdict } from '@/api/types'
import VerdictGlyph from '@/components/VerdictGlyph.vue'
import { useSend } from '@/composables/useSend'
import { useUnits } from '@/composables/useUnits'
import { say, sayOwn, sayRow } from '@/words'

const { sheet } = defineProps<{ sheet: SpecSheet }>()
const { beside, quantity, units } = useUnits()

type Entry = { value: string; source: string }
const entry = (figure: Figure): Entry => ({ value: figure.typed, source: figure.source })
const form = reactive({
  name: sheet.name,
  notch: entry(sheet.notch),
  figures: Object.fromEntries(
    sheet.checks
      .filter((check) => Object.keys(check.figures).length > 0)
      .map((check) => [
        check.key,
        Object.fromEntries(Object.entries(check.figures).map(([name, figure]) => [name, entry(figure)])),
      ]),
  ) as Record<string, Record<string, Entry>>,
})
const { send, refusal, busy } = useSend()
const saved = ref(false)
const confirming = ref(false)

type Change = { planter: string; row: number; check: string; side: string; from: Verdict; to: Verdict }
const changes = ref<Change[]>()

const withFigures = sheet.checks.filter((check) => Object.keys(check.figures).length > 0)
const groups = [
  ...withFigures.map((check) => ({
    title: say(`check.${check.key}`),
    fields: Object.entries(check.figures).map(([name, figure]) => ({
      path: `figures.${check.key}.${name}`,
      label: sayOwn(`figure.${name}`, check.key),
      figure,
      entry: () => form.figures[check.key]?.[name] as Entry,
    })),
  })),
  {
    title: 'Depth stop',
    fields: [{ path: 'notch', label: say('figure.notch'), figure: sheet.notch, entry: () => form.notch }],
  },
]

function hint(figure: Figure): string {
  const printed = quantity(figure.value, figure.unit)
  return figure.unit === 'mm' ? `${printed}, ${beside(figure.value)}` : printed
}

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

const save = () =>
  attempt(async () => {
    const kept = await body(api.PUT('/api/spec-sheets/{specSheet}', { params, body: form }))
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
      Typical values, check the operator's manual. This sheet stays as it is; copy it under
      <router-link :to="{ name: 'spec-sheets' }">Spec sheets</router-link> to enter your own figures.
    </p>
    <v-text-field v-else v-model="form.name" label="Name of this sheet" :error-messages="refusal?.about('name')" />
    <section v-for="group in groups" :key="group.title" class="sheet group" :aria-label="group.title">
      <h2>{{ group.title }}</h2>
      <div v-for="field in group.fields" :key="field.path" class="field">
        <v-text-field
          v-model="field.entry().value"
          :label="field.label"
          :readonly="!sheet.own"
          :hint="hint(field.figure)"
          persistent-hint
          :error-messages="about(field.path)"
        />
        <v-text-field v-model="field.entry().source" label="Where the figure comes from" :readonly="!sheet.own" />
      </div>
    </section>
    <p v-if="refusal" class="change" role="alert">{{ refusal.message }}</p>
    <p v-if="saved" role="status">Saved. Open walks of planters on this sheet are judged by it from now on.</p>
    <section v-if="changes" class="sheet" role="status">
      <h2>On open walks</h2>
      <p v-if="changes.length === 0">No verdict would change.</p>
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
      <v-btn type="submit" color="primary" size="large" :loading="busy">Save the figures</v-btn>
      <v-btn variant="outlined" size="large" :disabled="busy" @click="preview">What would change</v-btn>
      <v-btn variant="outlined" size="large" :disabled="busy" @click="confirming = true">Back to typical</v-btn>
      <v-btn variant="text" size="large" :to="{ name: 'spec-sheets' }">Back</v-btn>
      <span class="quiet">A number without a unit is in {{ units }}.</span>
    </div>
    <v-dialog v-model="confirming" aria-label="Back to typical" max-width="440">
      <div class="sheet pa-6 confirm">
        <h2>Back to typical figures?</h2>
        <p>All figures and their notes on this sheet are put back. Open walks are judged by them at once.</p>
        <v-btn color="primary" size="large" @click="((confirming = false), reset())">Put them back</v-btn>
        <v-btn variant="outlined" size="large" @click="confirming = false">Keep mine</v-btn>
      </div>
    </v-dialog>
  </form>
</template>

<style scoped>
.form {
  display: grid;
  gap: var(--gap);
}
.group {
  display: grid;
  gap: 12px;
}
.field {
  display: grid;
  grid-template-columns: 220px 1fr;
  gap: 12px;
  align-items: start;
}
.changes {
  padding-left: 18px;
}
.confirm {
  display: grid;
  gap: 12px;
}
.buttons {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 12px;
}
@media (max-width: 700px) {
  .field {
    grid-template-columns: 1fr;
  }
}
</style>
