<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Equipment, SpecSheet } from '@/api/types'
import { ofRows } from '@/unit/catalogue'
import UnitFields from '@/unit/UnitFields.vue'
import { say } from '@/words'
import { differs, type OtherRowsDraft, unitOf } from './otherRows'

/** Rows that differ from most: which ones, their spec sheet, and what they have instead. Nothing differs until a group is added. */
const groups = defineModel<OtherRowsDraft[]>({ required: true })
const parked = defineModel<string>('parked', { required: true })
const { most, sheets, rowCount, about } = defineProps<{
  most: Equipment
  sheets: SpecSheet[]
  rowCount: number
  about: (field: string) => string | undefined
}>()

// words: assembly, option, meter, drive, downforce, opener, depth_gauge, depth_scale, press_wheel, delivery, closing_wheels, closing_second, liquid_at_row
const open = ref<number>()
const choices = computed(() => [
  { value: null, title: 'Same spec sheet as the other rows' },
  ...sheets.map(({ id, name }) => ({ value: id, title: name })),
])
const sheetOf = ({ sheet }: OtherRowsDraft) => sheets.find(({ id }) => id === sheet)
const named = (name: string) => (ofRows.find((of) => of.name === name)?.kinds[0] === false ? 'option' : 'assembly')

/** What a group has instead, in words. */
function said(group: OtherRowsDraft): string {
  const unit = unitOf(group, most, sheetOf(group))
  return Object.entries(differs(unit, most))
    .map(([name, kind]) => {
      const what = say(`${named(name)}.${name}`)
      return typeof kind === 'boolean'
        ? `${kind ? 'with' : 'no'} ${what.toLowerCase()}`
        : `${what}: ${say(`${name}.${String(kind)}`)}`
    })
    .join(', ')
}

function change(at: number, to: Partial<OtherRowsDraft>): void {
  groups.value = groups.value.map((group, of) => (of === at ? { ...group, ...to } : group))
}

function set(at: number, unit: Equipment): void {
  const group = groups.value[at] as OtherRowsDraft
  change(at, { equipment: differs(unit, unitOf({ ...group, equipment: {} }, most, sheetOf(group))) })
}

function add(): void {
  open.value = groups.value.length
  groups.value = [...groups.value, { rows: '', sheet: null, equipment: {} }]
}

function remove(at: number): void {
  groups.value = groups.value.filter((_, of) => of !== at)
  open.value = undefined
}
</script>

<template>
  <fieldset class="others">
    <legend>Rows that differ</legend>
    <p class="quiet">
      Closing wheels tried on a few rows, rows added from another planter: add them here. All other rows have what is
      set above.
    </p>
    <p v-if="about('other_rows') && groups.every((_, at) => !about(`other_rows.${at}`))" class="change" role="alert">
      {{ about('other_rows') }}
    </p>
    <section v-for="(group, at) in groups" :key="at" class="group" :aria-label="`Group ${at + 1}`">
      <div class="line">
        <v-text-field
          :model-value="group.rows"
          label="Rows"
          :hint="`Example: 7, 8 or 1-4, from 1 to ${rowCount}`"
          persistent-hint
          :error-messages="about(`other_rows.${at}.rows`)"
          @update:model-value="change(at, { rows: $event })"
        />
        <v-select
          :model-value="group.sheet"
          label="Spec sheet of these rows"
          :items="choices"
          :error-messages="about(`other_rows.${at}.spec_sheet_id`)"
          @update:model-value="change(at, { sheet: $event, equipment: {} })"
        />
        <v-btn variant="text" size="large" @click="remove(at)">Remove</v-btn>
      </div>
      <p v-if="said(group)">{{ said(group) }}</p>
      <p v-if="about(`other_rows.${at}`) && !about(`other_rows.${at}.rows`)" class="change" role="alert">
        {{ about(`other_rows.${at}`) }}
      </p>
      <unit-fields
        v-if="open === at"
        :model-value="unitOf(group, most, sheetOf(group))"
        of-rows
        @update:model-value="set(at, $event)"
      />
      <v-btn v-else variant="outlined" @click="open = at">Change what these rows have</v-btn>
    </section>
    <v-btn v-if="rowCount > 1" variant="outlined" size="large" @click="add">Add rows that differ</v-btn>
    <v-text-field
      v-if="rowCount > 1"
      v-model="parked"
      label="Parked rows"
      hint="Rows that are up and do not plant, such as every second row of 15 in: 2, 4, 6. Nothing is asked of them. Empty: all rows plant"
      persistent-hint
      :error-messages="about('parked_rows')"
    />
  </fieldset>
</template>

<style scoped>
.others {
  display: grid;
  gap: 14px;
  justify-items: start;
  border: 0;
  padding: 0;
}
.others > :deep(.v-input) {
  width: 100%;
}
legend {
  font-weight: 700;
  font-size: 1.0625rem;
  padding-bottom: 10px;
}
.group {
  display: grid;
  gap: 12px;
  justify-items: start;
  width: 100%;
  border-left: 4px solid var(--line);
  padding-left: 16px;
}
.line {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr) auto;
  gap: 12px;
  width: 100%;
  align-items: start;
}
@media (max-width: 700px) {
  .line {
    grid-template-columns: 1fr;
  }
}
</style>
