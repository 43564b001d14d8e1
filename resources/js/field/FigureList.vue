<script setup lang="ts">
import { ref } from 'vue'
import { readList } from './dig'

/** Figures one after the other, each taken by Enter; a press on one takes it out again. */
const { label, placeholder } = defineProps<{ label: string; placeholder: string }>()
const figures = defineModel<string[]>({ required: true })
const typed = ref('')

function add(): void {
  figures.value = [...figures.value, ...readList(typed.value)]
  typed.value = ''
}
defineExpose({ add })
</script>

<template>
  <div>
    <div class="type">
      <v-text-field
        v-model="typed"
        :label="`${label}${figures.length > 0 ? ` (${figures.length})` : ''}`"
        :placeholder="placeholder"
        hide-details
        autocomplete="off"
        enterkeyhint="next"
        @keydown.enter.prevent="add"
      />
      <v-btn variant="outlined" size="large" :aria-label="`Add: ${label}`" @click="add">Add</v-btn>
    </div>
    <div v-if="figures.length > 0" class="figures">
      <button
        v-for="(one, at) in figures"
        :key="at"
        type="button"
        :aria-label="`Remove ${label.toLowerCase()} ${at + 1}: ${one}`"
        @click="figures = figures.filter((_, other) => other !== at)"
      >
        {{ one }}
      </button>
    </div>
  </div>
</template>

<style scoped>
.type {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: 8px;
}
.figures {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  margin-top: 8px;
}
button {
  min-width: var(--touch);
  min-height: var(--touch);
  padding: 0 10px;
  font: inherit;
  font-variant-numeric: tabular-nums;
  color: inherit;
  background: var(--accent-weak);
  border: 0;
  border-radius: 6px;
  cursor: pointer;
}
</style>
