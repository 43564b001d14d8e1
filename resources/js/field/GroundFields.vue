<script setup lang="ts">
import { watch } from 'vue'
import { say, wordsOf } from '@/words'
import type { Ground } from './queries'

/** Where the planter is: field, crop, soil and residue. A field of the season brings its own. */
const { grounds } = defineProps<{ grounds: Ground[] }>()
const ground = defineModel<Ground>({ required: true })
// words: soil, residue
const choices = (kind: 'soil' | 'residue') => wordsOf(kind).map((value) => ({ value, title: say(`${kind}.${value}`) }))
watch(
  () => ground.value.field,
  (name) => {
    const known = grounds.find(({ field }) => field === name)
    if (known) Object.assign(ground.value, known)
  },
)
</script>

<template>
  <div class="ground">
    <v-text-field v-model="ground.field" label="Field" maxlength="80" list="season-fields" />
    <datalist id="season-fields"><option v-for="one in grounds" :key="one.field" :value="one.field" /></datalist>
    <v-text-field v-model="ground.crop" label="Crop" maxlength="80" />
    <v-select v-model="ground.soil" label="Soil" clearable :items="choices('soil')" />
    <v-select v-model="ground.residue" label="Residue" clearable :items="choices('residue')" />
  </div>
</template>

<style scoped>
.ground {
  display: grid;
  grid-template-columns: repeat(4, minmax(0, 1fr));
  gap: 8px 12px;
}
@media (max-width: 700px) {
  .ground {
    grid-template-columns: repeat(2, minmax(0, 1fr));
  }
}
</style>
