<script setup lang="ts">
import { computed, ref } from 'vue'
import { api, body, type Refusal } from '@/api/client'
import type { Season } from '@/api/types'
import NumberField from '@/components/NumberField.vue'
import { useSend } from '@/composables/useSend'
import { useUnits } from '@/composables/useUnits'
import { useSession } from '@/session'
import { say, wordsOf } from '@/words'
import { emptyField, type Typed, typedField } from './season'

/** What is planted where: a line a field. */
const { planterId, season, refusal } = defineProps<{
  planterId: number
  season: Season
  refusal: Refusal | null
}>()
const form = defineModel<Typed>('form', { required: true })
const session = useSession()
const { area, areaUnit } = useUnits()
// words: soil, residue, tillage
const kinds = ['soil', 'residue', 'tillage'] as const
const wider = ref(false)
const { send, refusal: unread, busy } = useSend()

const sum = computed(() => form.value.fields.reduce((acres, field) => acres + (field.acres ?? 0), 0))

function copy(): void {
  form.value.fields = season.fields_before.map(typedField)
}

/** A table of fields is read by the server, and kept with the rest. */
async function read(event: Event): Promise<void> {
  const input = event.target as HTMLInputElement
  const file = input.files?.[0]
  if (!file) return
  await send(async () => {
    const data = new FormData()
    data.append('file', file)
    const params = { path: { planter: planterId } }
    const { fields } = await body(
      api.POST('/api/planters/{planter}/season/fields', {
        params,
        body: data as never,
        bodySerializer: (of) => of as unknown as FormData,
      }),
    )
    form.value.fields = fields.map(typedField)
  })
  input.value = ''
}
</script>

<template>
  <section class="sheet fields" aria-label="Fields">
    <div class="head">
      <h2>Fields</h2>
      <span class="quiet"
        >{{ form.fields.length }} {{ form.fields.length === 1 ? 'field' : 'fields' }}, {{ area(sum) }}</span
      >
      <button type="button" class="link" :aria-pressed="wider" @click="wider = !wider">
        {{ wider ? 'Hide ground and seed' : 'Show ground and seed' }}
      </button>
    </div>
    <p v-if="form.fields.length === 0" class="quiet">
      Add this season’s fields. Ustrel works out planting days, fills and seed from them.
    </p>
    <div v-else class="scroll">
      <table>
        <thead>
          <tr>
            <th scope="col">Field</th>
            <th scope="col">Crop</th>
            <th scope="col" class="number">{{ areaUnit() }}</th>
            <th scope="col" class="number">Seeds/ac</th>
            <template v-if="wider">
              <th v-for="kind in kinds" :key="kind" scope="col">{{ say(`ground.${kind}`) }}</th>
              <th scope="col">Seed</th>
            </template>
            <th scope="col"><span class="sr-only">Remove</span></th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="(field, at) in form.fields" :key="at">
            <td>
              <input
                v-model="field.name"
                :aria-label="`Field ${at + 1}`"
                maxlength="80"
                :aria-invalid="refusal?.about(`fields.${at}.name`) !== undefined"
              />
            </td>
            <td><input v-model="field.crop" :aria-label="`Crop of field ${at + 1}`" maxlength="80" /></td>
            <td class="number">
              <number-field
                v-model="field.acres"
                class="short"
                bare
                kind="area"
                :high="100_000"
                :places="2"
                :label="`Area of field ${at + 1}, ${areaUnit()}`"
                :error-messages="refusal?.about(`fields.${at}.acres`)"
              />
            </td>
            <td class="number">
              <number-field
                v-model="field.population"
                class="short"
                bare
                kind="seeds"
                whole
                :low="500"
                :high="2_000_000"
                :label="`Seeds an acre of field ${at + 1}`"
                :error-messages="refusal?.about(`fields.${at}.population`)"
              />
            </td>
            <template v-if="wider">
              <td v-for="kind in kinds" :key="kind">
                <select v-model="field[kind]" :aria-label="`${say(`ground.${kind}`)} of field ${at + 1}`">
                  <option :value="null">not set</option>
                  <option v-for="one in wordsOf(kind)" :key="one" :value="one">{{ say(`${kind}.${one}`) }}</option>
                </select>
              </td>
              <td><input v-model="field.seed" :aria-label="`Seed of field ${at + 1}`" maxlength="80" /></td>
            </template>
            <td>
              <button
                type="button"
                class="out"
                :aria-label="`Remove field ${at + 1}`"
                @click="form.fields.splice(at, 1)"
              >
                ×
              </button>
            </td>
          </tr>
        </tbody>
      </table>
    </div>
    <p v-if="unread" class="change" role="alert">{{ unread.about('file') ?? unread.message }}</p>
    <div v-if="session.may('set')" class="buttons">
      <v-btn variant="outlined" @click="form.fields.push(emptyField())">Add a field</v-btn>
      <v-btn v-if="season.fields_before.length > 0" variant="outlined" @click="copy">Copy last season’s fields</v-btn>
      <label class="file"
        ><input type="file" accept=".csv,text/csv" :disabled="busy" @change="read" /><span>Import CSV</span></label
      >
      <a v-if="season.fields.length > 0" :href="`/api/planters/${planterId}/season/fields.csv`" download>Export CSV</a>
    </div>
  </section>
</template>

<style scoped>
.fields {
  position: relative;
  display: grid;
  gap: 8px;
  padding: 10px 14px;
}
.head,
.buttons {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px 14px;
}
.link,
.buttons a {
  min-height: var(--touch);
  display: inline-flex;
  align-items: center;
  color: var(--accent);
  text-decoration: underline;
}
.head .link {
  margin-left: auto;
}
.scroll {
  overflow-x: auto;
}
table {
  width: 100%;
  border-collapse: collapse;
}
th {
  text-align: left;
  font-weight: 400;
  color: var(--ink-2);
  padding: 0 6px 2px 0;
}
td {
  padding: 2px 6px 2px 0;
}
.number {
  text-align: right;
}
input,
select {
  width: 100%;
  min-width: 70px;
  min-height: 38px;
  padding: 0 8px;
  border: 1px solid var(--line);
  border-radius: 6px;
  background: var(--paper);
  color: var(--ink);
  font: inherit;
}
.short {
  width: 92px;
  text-align: right;
}
input[aria-invalid='true'] {
  border: 2px solid var(--change);
}
.out {
  min-width: 38px;
  min-height: 38px;
  font-size: 1.25rem;
  color: var(--ink-2);
}
.file input {
  position: absolute;
  opacity: 0;
  width: 1px;
  min-width: 0;
}
.file span {
  min-height: var(--touch);
  display: inline-flex;
  align-items: center;
  padding: 0 16px;
  border: 1px solid currentcolor;
  border-radius: 4px;
  font-weight: 600;
  cursor: pointer;
}
.file input:focus-visible + span {
  outline: 3px solid var(--accent);
  outline-offset: 2px;
}
.sr-only {
  position: absolute;
  width: 1px;
  height: 1px;
  overflow: hidden;
  clip-path: inset(50%);
}
@media (pointer: coarse) {
  input,
  select,
  .out {
    min-height: var(--touch);
  }
}
</style>
