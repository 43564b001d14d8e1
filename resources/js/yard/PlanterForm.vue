<script setup lang="ts">
import { computed, reactive, ref, watch } from 'vue'
import { useRouter } from 'vue-router'
import { api, body } from '@/api/client'
import { keys, queries } from '@/api/queries'
import type { Equipment, Planter, PlanterEdit, PlanterRows, SpecSheet } from '@/api/types'
import NumberField from '@/components/NumberField.vue'
import PlanterRibbon from '@/components/PlanterRibbon.vue'
import { vCursor } from '@/components/cursor'
import { useSend } from '@/composables/useSend'
import { useUnits } from '@/composables/useUnits'
import { say } from '@/words'
import type { Start } from '@/unit/catalogue'
import StartingPoints from '@/unit/StartingPoints.vue'
import UnitFields from '@/unit/UnitFields.vue'
import { shortRows } from '@/walk/rows'
import { draftsOf, editOf, rowsOf, unitOf } from './otherRows'
import OtherRowsFields from './OtherRowsFields.vue'
import RowsCsv from './RowsCsv.vue'
import WantedFields from './WantedFields.vue'

const { planter, sheets } = defineProps<{ planter?: Planter; sheets: SpecSheet[] }>()
const router = useRouter()
const { units } = useUnits()

const form = reactive({
  farm: planter?.farm ?? '',
  name: planter?.name ?? '',
  rows: (planter?.row_count ?? 8) as number | null,
  spacing: planter?.spacing_typed ?? '30 in',
  sections: planter && planter.sections.length > 1 ? planter.sections.join(', ') : '',
  sheet: planter?.spec_sheet.id ?? sheets[0]?.id,
  plantingStart: planter?.planting_start ?? '',
  plannedAcres: planter?.planned_acres ?? null,
  plantingDays: planter?.planting_days ?? null,
  equipment: planter?.equipment ?? sheets[0]?.typical_equipment,
})
const sheetItems = computed(() =>
  sheets.map(({ id, name, type }) => ({ value: id, title: name, props: { subtitle: say(`row_unit.${type}`) } })),
)
const others = ref(planter && form.equipment ? draftsOf(planter, form.equipment, sheets) : [])
/** What a table says, to be looked at and saved like what is typed. */
function fill(table: PlanterRows): void {
  Object.assign(form, { sheet: table.spec_sheet_id })
  form.equipment = table.equipment
  others.value = draftsOf(table, table.equipment, sheets)
  parked.value = shortRows(table.parked_rows)
}
const wanted = ref<Record<string, string>>({ ...planter?.wanted })
/** Each make-up that rows have. */
const carried = computed(() =>
  form.equipment
    ? [
        form.equipment,
        ...others.value.map((group) =>
          unitOf(
            group,
            form.equipment as Equipment,
            sheets.find(({ id }) => id === group.sheet),
          ),
        ),
      ]
    : [],
)
const parked = ref(planter ? shortRows(planter.parked_rows) : '')
/** Which of the starting points the form began with. */
const start = ref<string>()
function begin(of: Start, sheet: SpecSheet, equipment: Equipment): void {
  Object.assign(form, { rows: of.rows, spacing: of.spacing, sheet: sheet.id, equipment })
  start.value = of.key
}
// Another kind of row unit carries other things.
watch(
  () => sheets.find(({ id }) => id === form.sheet),
  (sheet, before) => {
    if (sheet && before && sheet.type !== before.type) form.equipment = sheet.typical_equipment
    start.value = undefined
  },
  { flush: 'sync' },
)
const { send, refusal, busy } = useSend()

/** The form as the API takes it. */
const edit = computed<PlanterEdit>(() => ({
  farm: form.farm,
  name: form.name,
  row_count: form.rows ?? 0,
  spacing: form.spacing,
  ...(form.sections.trim() === ''
    ? {}
    : {
        sections: form.sections
          .split(/[,\s]+/)
          .filter(Boolean)
          .map((rows) => (/^\d+$/.test(rows) ? Number(rows) : (rows as unknown as number))),
      }),
  spec_sheet_id: form.sheet as number,
  ...(form.equipment ? { equipment: form.equipment } : {}),
  other_rows: editOf(others.value, form.rows ?? 0),
  parked_rows: rowsOf(parked.value, form.rows ?? 0),
  wanted: wanted.value,
  planting_start: form.plantingStart || null,
  planned_acres: form.plannedAcres,
  planting_days: form.plantingDays,
}))

const preview = computed(() => {
  const count = edit.value.row_count
  if (!Number.isInteger(count) || count < 1 || count > 64) return null
  const sections = edit.value.sections ?? [count]
  const fits = sections.every(Number.isInteger) && sections.reduce((sum, rows) => sum + rows, 0) === count
  const isUp = new Set(edit.value.parked_rows)
  const ribbon = Array.from({ length: count }, (_, index) => ({
    row: index + 1,
    verdict: 'unchecked' as const,
    ...(isUp.has(index + 1) ? { parked: true } : {}),
    life_left: null,
    checked: 0,
  }))
  return { ribbon, sections: fits ? sections : [count] }
})

function about(field: string): string | undefined {
  const errors = refusal.value?.errors ?? {}
  const key = Object.keys(errors).find((name) => name === field || name.startsWith(`${field}.`))
  return key && errors[key]?.[0]
}

/** What the form was filled from: where somebody else has saved meanwhile, nothing is overwritten. */
const version = planter?.version
const save = () =>
  send(async () => {
    const saved = planter
      ? await body(
          api.PUT('/api/planters/{planter}', {
            params: { path: { planter: planter.id } },
            body: { ...edit.value, version },
          }),
        )
      : await body(api.POST('/api/planters', { body: edit.value }))
    await Promise.all([
      queries.invalidateQueries({ queryKey: keys.yard }),
      queries.invalidateQueries({ queryKey: keys.planter(saved.id) }),
      queries.invalidateQueries({ queryKey: keys.board(saved.id) }),
      queries.invalidateQueries({ queryKey: keys.guide(saved.id) }),
    ])
    await router.push({ name: 'board', params: { planter: saved.id } })
  })
</script>

<template>
  <form class="form sheet" novalidate @submit.prevent="save">
    <p v-if="refusal" class="change wide" role="alert">{{ refusal.message }}</p>
    <starting-points v-if="!planter" class="wide" :sheets="sheets" :chosen="start" @choose="begin" />
    <v-text-field v-model="form.name" v-cursor label="Planter name" :error-messages="about('name')" />
    <v-text-field v-model="form.farm" label="Farm" :error-messages="about('farm')" />
    <number-field
      v-model="form.rows"
      label="Rows"
      required
      whole
      :low="1"
      :high="64"
      hint="1 to 48, a drill to 64, counted from the left, seen from behind"
      persistent-hint
      :error-messages="about('row_count')"
    />
    <v-text-field
      v-model="form.spacing"
      label="Row spacing"
      hint="Example: 30 in or 76 cm"
      persistent-hint
      :error-messages="about('spacing')"
    />
    <v-text-field
      v-model="form.sections"
      label="Rows per section, from the left"
      hint="Example: 4, 8, 4 with two wings. Empty: one bar"
      persistent-hint
      :error-messages="about('sections')"
    />
    <v-text-field
      v-model="form.plantingStart"
      label="Planting start"
      type="date"
      hint="Due dates count back from this day"
      persistent-hint
      :error-messages="about('planting_start')"
    />
    <number-field
      v-model="form.plannedAcres"
      :label="units === 'in' ? 'Acres this season' : 'Hectares this season'"
      kind="area"
      :low="0.01"
      :high="100_000"
      :places="2"
      hint="Used for the odds that parts last. Empty: same as last season"
      persistent-hint
      :error-messages="about('planned_acres')"
    />
    <number-field
      v-model="form.plantingDays"
      label="Planting days"
      kind="days"
      whole
      :low="1"
      :high="365"
      hint="First to last day"
      persistent-hint
      :error-messages="about('planting_days')"
    />
    <v-select
      v-model="form.sheet"
      class="wide"
      label="Spec sheet"
      :items="sheetItems"
      hint="Typical values, check the operator's manual. Copy a sheet under Spec sheets to enter your own figures."
      persistent-hint
      :error-messages="about('spec_sheet_id')"
    />
    <unit-fields v-if="form.equipment" v-model="form.equipment" class="wide" :error="about('equipment')" />
    <other-rows-fields
      v-if="form.equipment"
      v-model="others"
      v-model:parked="parked"
      class="wide"
      :most="form.equipment"
      :sheets="sheets"
      :row-count="form.rows ?? 0"
      :about="about"
    />
    <wanted-fields v-model="wanted" class="wide" :units="carried" :about="about" />
    <rows-csv v-if="planter" class="wide" :planter-id="planter.id" @read="fill" />
    <div v-if="preview" class="wide preview">
      <h2>Seen from behind</h2>
      <planter-ribbon :ribbon="preview.ribbon" :sections="preview.sections" small />
    </div>
    <div class="wide buttons">
      <v-btn type="submit" color="primary" size="large" :loading="busy">{{ planter ? 'Save' : 'Add planter' }}</v-btn>
      <v-btn variant="text" size="large" :to="planter ? { name: 'board', params: { planter: planter.id } } : '/'">
        Cancel
      </v-btn>
    </div>
  </form>
</template>

<style scoped>
.form {
  display: grid;
  grid-template-columns: 1fr 1fr;
  align-items: start;
  gap: 20px;
  padding: 24px;
}
.wide {
  grid-column: 1 / -1;
}
.preview {
  overflow: hidden;
}
.buttons {
  display: flex;
  gap: 12px;
}
@media (max-width: 700px) {
  .form {
    grid-template-columns: 1fr;
    padding: var(--gap);
  }
}
</style>
