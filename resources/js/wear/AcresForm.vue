<script setup lang="ts">
import { v7 as uuid } from 'uuid'
import { computed, reactive, ref } from 'vue'
import type { Acres, AcresEntry, AcresLine } from '@/api/types'
import NumberField from '@/components/NumberField.vue'
import { useDays } from '@/composables/useDays'
import { useNumbers } from '@/composables/useNumbers'
import { useUnits } from '@/composables/useUnits'
import { SPEED_UNIT } from '@/measure/area'
import LogFields from './LogFields.vue'
import { productsOf, type Said } from './log'
import { readRows, shortRows } from '@/walk/rows'
import { say } from '@/words'
import { explainSeverity, type Ground, GROUNDS, groundsOf } from './ground'

/** One field with all there is to say of it; or the same, corrected. */
const { line, severities, rowCount, sections, parked, lots, problem, busy } = defineProps<{
  line?: AcresLine
  severities: Acres['severities']
  rowCount: number
  sections: number[]
  /** Rows that are up: they run nothing, unless somebody says otherwise. */
  parked: number[]
  /** The shop's lots of seed. */
  lots: { id: number; name: string }[]
  problem: string
  busy: boolean
}>()
const emit = defineEmits<{ save: [entry: AcresEntry]; takeBack: []; close: [] }>()

const { today } = useDays()
const { units } = useUnits()
const numbers = useNumbers()
const said = ref<Said>({
  pass: line?.pass ?? 'planting',
  lot: line?.lot ?? '',
  population: line?.population ?? '',
  products: (line?.products ?? []).join('; '),
  map: line?.map_acres ?? null,
  around: line?.around ?? '',
  until: line?.until ?? '',
  over: line?.around_over ?? false,
  note: line?.note ?? '',
})
const form = reactive({
  day: line?.day ?? today(),
  field: line?.field ?? '',
  crop: line?.crop ?? '',
  acres: line?.acres ?? null,
  mph: line?.mph ?? null,
  soil: line?.soil ?? null,
  residue: line?.residue ?? null,
  tillage: line?.tillage ?? null,
  downforce: line?.downforce ?? null,
  severity: line?.own_severity ? line.severity : null,
  off: (line?.shut_off ?? []).map(({ rows, share }) => ({
    rows: rows.join(', '),
    ran: share as number | null,
  })),
})
if (form.off.length === 0) form.off.push({ rows: line ? '' : shortRows(parked), ran: 0 })

/** The rows of each group; null where they cannot be read. */
const rows = computed(() => form.off.map(({ rows }) => (rows.trim() === '' ? [] : readRows(rows, rowCount))))
const ofSections = computed(() => {
  let from = 1
  return sections.map((count, index) => ({ name: `Section ${index + 1}`, rows: `${from}-${(from += count) - 1}` }))
})
const choices = (kind: Ground) =>
  groundsOf(kind, severities).map((value) => ({ value, title: say(`${kind}.${value}`) }))

function save(): void {
  if (numbers.complain() > 0) return
  emit('save', {
    id: uuid(),
    day: form.day,
    field: form.field,
    crop: form.crop || null,
    acres: form.acres,
    mph: form.mph,
    soil: form.soil,
    residue: form.residue,
    tillage: form.tillage,
    downforce: form.downforce,
    severity: form.severity,
    shut_off: form.off.flatMap(({ ran }, group) => {
      const of = rows.value[group] ?? []
      return of.length === 0 ? [] : [{ rows: of, share: ran ?? 0 }]
    }),
    pass: said.value.pass,
    ...(said.value.pass === 'planting'
      ? {
          lot: said.value.lot || null,
          seed_lot_id: lots.find(({ name }) => name === said.value.lot)?.id ?? null,
          population: said.value.population || null,
        }
      : {}),
    left_out: line?.left_out ?? [],
    products: productsOf(said.value.products),
    map_acres: said.value.map,
    around: said.value.around || null,
    until: said.value.until || null,
    around_over: said.value.over,
    note: said.value.note,
    ...(line ? { supersedes: line.id } : {}),
  })
}
</script>

<template>
  <v-dialog :model-value="true" max-width="640" aria-label="Log a field" @update:model-value="emit('close')">
    <form class="sheet asks" novalidate @submit.prevent="save">
      <h2>{{ line ? 'Correct an entry' : 'Log a field' }}</h2>
      <div class="pair">
        <v-text-field v-model="form.field" label="Field" />
        <number-field
          v-model="form.acres"
          :label="units === 'in' ? 'Acres' : 'Hectares'"
          kind="area"
          required
          :low="0.001"
          :high="100_000"
          :places="3"
        />
        <v-text-field v-model="form.day" type="date" label="Planted on" :max="today()" />
        <v-text-field v-model="form.crop" label="Crop" />
        <number-field
          v-model="form.mph"
          :label="`Speed, ${SPEED_UNIT[units].name}`"
          kind="speed"
          :low="0.5"
          :high="20"
          :places="3"
        />
      </div>
      <log-fields v-model="said" :lots="lots.map(({ name }) => name)" />
      <h3>Ground</h3>
      <div class="pair">
        <v-select
          v-for="kind in GROUNDS"
          :key="kind"
          v-model="form[kind]"
          :label="say(`ground.${kind}`)"
          clearable
          :items="choices(kind)"
        />
        <number-field
          v-model="form.severity"
          label="Your severity"
          hint="0.5 (easy) to 2 (harsh). Empty: from the ground"
          persistent-hint
          :low="0.5"
          :high="2"
          :places="2"
        />
      </div>
      <p class="quiet">Severity {{ form.severity ?? explainSeverity(form, severities) }}</p>
      <h3>Rows shut off</h3>
      <div v-for="(group, index) in form.off" :key="index" class="off">
        <v-text-field
          v-model="group.rows"
          label="Rows"
          placeholder="7-8"
          :error-messages="rows[index] === null ? `Rows from 1 to ${rowCount}, such as 3, 4, 9-12.` : []"
        />
        <number-field v-model="group.ran" label="Ran, % of the field" kind="share" :high="1" :places="4" />
        <v-btn
          v-for="section in ofSections.length > 1 ? ofSections : []"
          :key="section.name"
          variant="outlined"
          @click="group.rows = section.rows"
        >
          {{ section.name }}
        </v-btn>
      </div>
      <v-btn variant="outlined" @click="form.off.push({ rows: '', ran: 0.5 })">Add more rows</v-btn>
      <p v-if="problem" class="change" role="alert">{{ problem }}</p>
      <div class="actions">
        <v-btn v-if="line" variant="text" color="error" :loading="busy" @click="emit('takeBack')"
          >Undo this entry</v-btn
        >
        <v-btn variant="text" @click="emit('close')">Cancel</v-btn>
        <v-btn color="primary" type="submit" :loading="busy" :disabled="rows.includes(null)">{{
          line ? 'Save' : 'Log'
        }}</v-btn>
      </div>
    </form>
  </v-dialog>
</template>

<style scoped>
form > .v-btn {
  justify-self: start;
}
.off {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
.off > :deep(.v-input) {
  flex: 1 1 180px;
}
</style>
