<script setup lang="ts">
import { mdiChevronDown, mdiChevronUp } from '@mdi/js'
import { computed, ref } from 'vue'
import type { Figure } from '@/api/types'
import FractionText from '@/components/FractionText.vue'
import { useUnits } from '@/composables/useUnits'

export type Entry = { value: string; source: string }
export type Field = { path: string; label: string; figure: Figure; typical?: Figure; entry: () => Entry }

/** A check's figures side by side; where they come from is shown on demand. */
const { title, fields, own, about } = defineProps<{
  title: string
  fields: Field[]
  own: boolean
  /** What is wrong with a field, by its path. */
  about: (path: string) => string | undefined
}>()
const { beside, quantity } = useUnits()
const isOpen = ref(false)

const sources = computed(() => [...new Set(fields.map((field) => field.entry().source))])
const differs = ({ figure, typical }: Field) => typical !== undefined && typical.value !== figure.value

function printed(figure: Figure): string {
  const text = quantity(figure.value, figure.unit)
  return figure.unit === 'mm' ? `${text}, ${beside(figure.value)}` : text
}
</script>

<template>
  <tr :aria-label="title">
    <th scope="row">{{ title }}</th>
    <td>
      <div class="figures">
        <div v-for="field in fields" :key="field.path" :class="['figure', { differs: differs(field) }]">
          <label>
            <span class="label">{{ field.label }}</span>
            <input
              v-if="own"
              v-model="field.entry().value"
              type="text"
              :aria-invalid="about(field.path) !== undefined"
            />
            <strong v-else><fraction-text :text="printed(field.figure)" /></strong>
          </label>
          <span v-if="about(field.path)" class="change" role="alert">{{ about(field.path) }}</span>
          <span v-else-if="differs(field) && field.typical" class="quiet"
            >typical <fraction-text :text="printed(field.typical)"
          /></span>
          <span v-else-if="own" class="quiet"><fraction-text :text="printed(field.figure)" /></span>
        </div>
      </div>
      <div v-if="isOpen && own" class="sources">
        <v-text-field
          v-for="field in fields"
          :key="field.path"
          v-model="field.entry().source"
          density="compact"
          :label="`${field.label}: where the figure comes from`"
        />
      </div>
      <ul v-else-if="isOpen" class="quiet">
        <li v-for="source in sources" :key="source">{{ source }}</li>
      </ul>
    </td>
    <td class="source">
      <button type="button" :aria-expanded="isOpen" @click="isOpen = !isOpen">
        Source <v-icon :icon="isOpen ? mdiChevronUp : mdiChevronDown" size="18" />
      </button>
    </td>
  </tr>
</template>

<style scoped>
tr > * {
  border-top: 1px solid var(--line);
  padding: 8px 12px 8px 0;
  vertical-align: top;
}
th {
  width: 220px;
  text-align: left;
  line-height: 1.25;
}
.figures {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(132px, 1fr));
  gap: 8px 14px;
}
.figure {
  font-size: 0.875rem;
}
.label {
  display: block;
  color: var(--ink-2);
}
strong {
  font-size: 1rem;
}
input {
  width: 100%;
  min-height: 40px;
  padding: 0 8px;
  font-size: 1rem;
  border: 1px solid var(--line);
  border-radius: 6px;
  background: var(--paper);
  color: var(--ink);
}
input[aria-invalid='true'] {
  border: 2px solid var(--change);
}
.differs input,
.differs strong {
  border-left: 4px solid var(--ochre);
  padding-left: 6px;
}
.sources {
  display: grid;
  gap: 8px;
  margin-top: 10px;
}
ul {
  margin: 8px 0 0;
  padding-left: 18px;
  font-size: 0.875rem;
}
.source {
  width: 96px;
  padding-right: 0;
  text-align: right;
}
.source button {
  min-height: 40px;
  color: var(--accent);
}
@media (pointer: coarse) {
  input,
  .source button {
    min-height: var(--touch);
  }
}
@media (max-width: 700px) {
  tr {
    display: grid;
    grid-template-columns: 1fr auto;
  }
  tr > td:not(.source) {
    grid-column: 1 / -1;
    grid-row: 2;
    border-top: 0;
    padding-top: 0;
  }
}
</style>
