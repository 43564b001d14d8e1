<script setup lang="ts">
import { computed } from 'vue'
import type { ImportMapping, ImportResult } from '@/api/types'
import { say } from '@/words'

/** Which column of a file is which field, beside the first lines of it. */
const { result } = defineProps<{ result: ImportResult }>()
const columns = defineModel<Record<string, number | null>>('columns', { required: true })
const dates = defineModel<ImportMapping['dates']>('dates', { required: true })
const choices = computed(() => result.columns.map((title, value) => ({ title, value })))
</script>

<template>
  <div class="mapping">
    <v-select
      v-for="{ field, needed } in result.fields"
      :key="field"
      v-model="columns[field]"
      :label="`${say(`import.field.${field}`)}${needed ? '' : ' (optional)'}`"
      :items="choices"
      clearable
      density="compact"
    />
    <v-select
      v-model="dates"
      label="Dates such as 3/4/2025"
      density="compact"
      :items="[
        { value: 'auto', title: 'only if unambiguous' },
        { value: 'dmy', title: 'day first: 3 April' },
        { value: 'mdy', title: 'month first: 4 March' },
      ]"
    />
  </div>
  <div class="scroll">
    <table>
      <thead>
        <tr>
          <th v-for="(column, index) in result.columns" :key="index">{{ column }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="(sample, index) in result.samples" :key="index">
          <td v-for="(text, at) in sample" :key="at">{{ text }}</td>
        </tr>
      </tbody>
    </table>
  </div>
</template>

<style scoped>
.mapping {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(220px, 1fr));
  gap: 10px;
  margin: 10px 0;
}
.scroll {
  overflow-x: auto;
  margin-bottom: 10px;
}
table {
  border-collapse: collapse;
}
th,
td {
  padding: 6px 12px 6px 0;
  text-align: left;
  border-bottom: 1px solid var(--line);
  white-space: nowrap;
}
</style>
