<script setup lang="ts">
import type { Equipment } from '@/api/types'
import { say } from '@/words'

/** What the planter carries; what is not fitted is not asked on a walk. */
const equipment = defineModel<Equipment>({ required: true })
defineProps<{ error?: string }>()

// words: meter, drive, downforce, closing_wheels, depth_scale
const CHOICES = {
  meter: ['vacuum', 'positive_air', 'finger', 'plate', 'fluted'],
  drive: ['ground', 'hydraulic', 'electric'],
  downforce: ['none', 'spring', 'air', 'hydraulic'],
  closing_wheels: ['rubber', 'cast', 'spiked_poly', 'spiked_steel', 'mixed', 'disc'],
  depth_scale: ['notches', 'marks', 'turns'],
} as const
const LABELS = {
  meter: 'Meters',
  drive: 'Meter drive',
  downforce: 'Downforce',
  closing_wheels: 'Closing wheels',
  depth_scale: 'Depth is set by',
}
const OPTIONS = [
  'row_cleaner',
  'coulter',
  'fertilizer',
  'fertilizer_both_sides',
  'liquid',
  'firmer',
  'central_fill',
  'markers',
  'lift_assist',
  'heavy_blades',
  'clearance_guard',
  'electronics',
] as const

const TireS = [
  { value: null, title: 'One figure, the lowest' },
  { value: 1, title: 'Each of 2 tires' },
  ...[2, 3, 4].map((pairs) => ({ value: pairs, title: `Each of ${2 * pairs} tires, in pairs` })),
]
const choices = Object.entries(CHOICES) as [keyof typeof CHOICES, readonly string[]][]

function set(name: keyof Equipment, value: unknown): void {
  equipment.value = { ...equipment.value, [name]: value }
}
</script>

<template>
  <fieldset class="equipment">
    <legend>What it has</legend>
    <v-select
      v-for="[name, values] in choices"
      :key="name"
      :model-value="equipment[name]"
      :label="LABELS[name]"
      :items="values.map((value) => ({ value, title: say(`${name}.${value}`) }))"
      @update:model-value="set(name, $event)"
    />
    <v-select
      :model-value="equipment.tyre_pairs"
      label="Tire pressures"
      :items="TireS"
      @update:model-value="set('tyre_pairs', $event)"
    />
    <div class="options">
      <v-checkbox
        v-for="name in OPTIONS"
        :key="name"
        :model-value="equipment[name]"
        :label="say(`option.${name}`)"
        hide-details
        density="comfortable"
        @update:model-value="set(name, $event === true)"
      />
    </div>
    <p v-if="error" class="change" role="alert">{{ error }}</p>
  </fieldset>
</template>

<style scoped>
.equipment {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 16px 20px;
  border: 0;
  padding: 0;
}
legend {
  font-weight: 700;
  font-size: 1.0625rem;
  padding-bottom: 10px;
}
.options,
p {
  grid-column: 1 / -1;
}
.options {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(260px, 1fr));
}
@media (max-width: 700px) {
  .equipment {
    grid-template-columns: 1fr;
  }
}
</style>
