<script setup lang="ts">
import { computed } from 'vue'
import type { Equipment } from '@/api/types'
import RowUnitDrawing from '@/drawings/RowUnitDrawing.vue'
import { say } from '@/words'
import { type Assembly, contradictionsOf, groups, isOption, makeUp } from './catalogue'

/** What the row unit and the planter are made of, drawn and counted with each change; what is not fitted is not asked on a walk. */
const equipment = defineModel<Equipment>({ required: true })
const { error, ofRows = false } = defineProps<{
  error?: string
  /** Only what rows can differ in. */
  ofRows?: boolean
}>()

// words: assembly, option, meter, drive, downforce, opener, depth_gauge, depth_scale, press_wheel, delivery, closing_wheels, closing_second, liquid_at_row, contradiction
const made = computed(() => makeUp(equipment.value))
const unit = computed(() => ({ equipment: equipment.value, stations: [...made.value.stations] }))
/** The server's own complaint holds until something is changed. */
const complaints = computed(() =>
  made.value.contradictions.length > 0
    ? made.value.contradictions.map((code) => say(`contradiction.${code}`))
    : error
      ? [error]
      : [],
)

const TIRES = [
  'One figure, the lowest',
  'Each of 2 tires',
  'Each of 4 tires, in pairs',
  'Each of 6 tires, in pairs',
  'Each of 8 tires, in pairs',
]
const kindsOf = ({ name, kinds }: Assembly) =>
  kinds.map((value, at) => ({
    value,
    title: (name === 'tyre_pairs' ? TIRES[at] : undefined) ?? say(`${name}.${String(value)}`),
  }))
const parts = groups
  .filter((group) => group.ofRows || !ofRows)
  .map(({ key, assemblies }) => ({
    key,
    choices: assemblies.filter((of) => !isOption(of)),
    options: assemblies.filter(isOption),
  }))
/** By assembly; made once, so that a tap does not draw every list again. */
const items = computed(() =>
  Object.fromEntries(parts.flatMap(({ choices }) => choices.map((of) => [of.name, kindsOf(of)]))),
)
/** What could be fitted to the rest: nothing is offered that would not go with it. */
const offered = computed(() => {
  const now = made.value.contradictions.length
  const goes = ({ name }: Assembly) =>
    equipment.value[name] === true || contradictionsOf({ ...equipment.value, [name]: true }).length <= now
  return parts.map((part) => ({ ...part, options: part.options.filter(goes) }))
})

function set(name: string, value: Equipment[string]): void {
  equipment.value = { ...equipment.value, [name]: value }
}
</script>

<template>
  <fieldset class="unit">
    <legend>{{ ofRows ? 'What these rows have' : 'What each row and the planter have' }}</legend>
    <div class="seen">
      <row-unit-drawing :unit="unit" />
      <p aria-live="polite">
        <strong>{{ made.perRow }} checks a row</strong
        ><template v-if="!ofRows">, {{ made.ofPlanter }} on the whole planter</template>
      </p>
      <p v-for="complaint in complaints" :key="complaint" class="change" role="alert">{{ complaint }}</p>
    </div>
    <div class="parts">
      <section v-for="part in offered" :key="part.key">
        <h2>{{ say(`unit_part.${part.key}`) }}</h2>
        <div class="fields">
          <v-select
            v-for="of in part.choices"
            :key="of.name"
            :model-value="equipment[of.name]"
            :label="say(`assembly.${of.name}`)"
            :items="items[of.name]"
            hide-details
            @update:model-value="set(of.name, $event)"
          />
          <v-checkbox
            v-for="of in part.options"
            :key="of.name"
            :model-value="equipment[of.name]"
            :label="say(`option.${of.name}`)"
            hide-details
            density="comfortable"
            @update:model-value="set(of.name, $event === true)"
          />
        </div>
      </section>
    </div>
  </fieldset>
</template>

<style scoped>
.unit {
  display: grid;
  grid-template-columns: minmax(260px, 2fr) 3fr;
  gap: 20px;
  border: 0;
  padding: 0;
}
legend,
h2 {
  font-weight: 700;
  font-size: 1.0625rem;
  padding-bottom: 10px;
}
.seen {
  position: sticky;
  top: 68px;
  align-self: start;
}
.seen p {
  margin: 8px 0 0;
}
.parts {
  display: grid;
  gap: 20px;
}
.fields {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(240px, 1fr));
  gap: 10px 16px;
  align-items: center;
}
@media (max-width: 700px) {
  .unit {
    grid-template-columns: 1fr;
  }
  .seen {
    z-index: 1;
    top: 56px;
    background: var(--card);
    padding-bottom: 8px;
  }
  .seen :deep(svg) {
    max-height: 22vh;
  }
}
</style>
