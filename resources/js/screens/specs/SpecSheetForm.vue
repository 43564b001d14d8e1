<script setup lang="ts">
import { reactive, ref } from 'vue'
import { api, body, Refusal } from '@/api/client'
import { keys, queries } from '@/api/queries'
import type { Figure, SpecSheet } from '@/api/types'
import { useUnits } from '@/composables/useUnits'
import { say } from '@/words'

const { sheet } = defineProps<{ sheet: SpecSheet }>()
const { beside, length, units } = useUnits()

type Entry = { value: string; source: string }
const entry = (figure: Figure): Entry => ({ value: figure.typed, source: figure.source })
const form = reactive({
  name: sheet.name,
  notch: entry(sheet.notch),
  figures: Object.fromEntries(
    sheet.checks.map((check) => [
      check.key,
      Object.fromEntries(Object.entries(check.figures).map(([name, figure]) => [name, entry(figure)])),
    ]),
  ) as Record<string, Record<string, Entry>>,
})
const refusal = ref<Refusal | null>(null)
const saved = ref(false)
const busy = ref(false)

const groups = [
  ...sheet.checks.map((check) => ({
    title: say(`check.${check.key}`),
    fields: Object.entries(check.figures).map(([name, figure]) => ({
      path: `figures.${check.key}.${name}`,
      label: say(`figure.${name}`),
      figure,
      entry: () => form.figures[check.key]?.[name] as Entry,
    })),
  })),
  {
    title: 'Depth stop',
    fields: [{ path: 'notch', label: say('figure.notch'), figure: sheet.notch, entry: () => form.notch }],
  },
]

/** A refusal names the field itself, or its value or source. */
function about(path: string): string | undefined {
  return refusal.value?.about(path) ?? refusal.value?.about(`${path}.value`) ?? refusal.value?.about(`${path}.source`)
}

async function save(): Promise<void> {
  busy.value = true
  saved.value = false
  refusal.value = null
  try {
    const kept = await body(
      api.PUT('/api/spec-sheets/{specSheet}', { params: { path: { specSheet: sheet.id } }, body: form }),
    )
    queries.setQueryData(keys.specSheet(sheet.id), kept)
    await queries.invalidateQueries()
    saved.value = true
  } catch (error) {
    refusal.value = error instanceof Refusal ? error : new Refusal(0, 'The server does not answer. Nothing was saved.')
  } finally {
    busy.value = false
  }
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
    <section v-for="group in groups" :key="group.title" class="sheet group">
      <h2>{{ group.title }}</h2>
      <div v-for="field in group.fields" :key="field.path" class="field">
        <v-text-field
          v-model="field.entry().value"
          :label="field.label"
          :readonly="!sheet.own"
          :hint="`${length(field.figure.mm)}, ${beside(field.figure.mm)}`"
          persistent-hint
          :error-messages="about(field.path)"
        />
        <v-text-field v-model="field.entry().source" label="Where the figure comes from" :readonly="!sheet.own" />
      </div>
    </section>
    <p v-if="refusal" class="change" role="alert">{{ refusal.message }}</p>
    <p v-if="saved" role="status">Saved. Open walks of planters on this sheet are judged by it from now on.</p>
    <div v-if="sheet.own" class="buttons">
      <v-btn type="submit" color="primary" size="large" :loading="busy">Save the figures</v-btn>
      <v-btn variant="text" size="large" :to="{ name: 'spec-sheets' }">Back</v-btn>
      <span class="quiet">A number without a unit is in {{ units }}.</span>
    </div>
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
