<script setup lang="ts">
import NumberField from '@/components/NumberField.vue'
import { useUnits } from '@/composables/useUnits'
import { say, wordsOf } from '@/words'
import type { Said } from './log'

/** Seed, products, size by the map, and what was made do with. */
const { lots } = defineProps<{
  /** Names of the shop's. */
  lots: string[]
}>()
const said = defineModel<Said>({ required: true })
const { units } = useUnits()
</script>

<template>
  <h3>Seed and products</h3>
  <div class="segments" role="group" aria-label="Kind of pass">
    <button
      v-for="one in wordsOf('pass') as Said['pass'][]"
      :key="one"
      type="button"
      :aria-pressed="said.pass === one"
      @click="said.pass = one"
    >
      {{ say(`pass.${one}`) }}
    </button>
  </div>
  <p v-if="said.pass === 'products'" class="quiet">Does not count as planted and causes no wear.</p>
  <div class="pair">
    <v-combobox v-if="said.pass === 'planting'" v-model="said.lot" :items="lots" label="Seed lot" maxlength="80" />
    <v-text-field
      v-if="said.pass === 'planting'"
      v-model="said.population"
      label="Population, seeds/ac"
      hint="If changed: 34000; 32000 from 40 ac"
      persistent-hint
      maxlength="200"
    />
    <v-text-field v-model="said.products" label="Products" placeholder="8 gal/ac starter; 5 lb/ac zinc" />
    <number-field
      v-model="said.map"
      :label="units === 'in' ? 'Acres by the map' : 'Hectares by the map'"
      kind="area"
      :high="100_000"
      :places="3"
    />
  </div>
  <h3>Workaround</h3>
  <div class="pair">
    <v-text-field v-model="said.around" label="What" placeholder="section control off" maxlength="200" />
    <v-text-field v-model="said.until" label="Until" placeholder="the part comes" maxlength="200" />
    <v-checkbox v-if="said.around" v-model="said.over" label="Workaround ended" hide-details />
    <v-text-field v-model="said.note" label="Note" maxlength="300" />
  </div>
</template>
