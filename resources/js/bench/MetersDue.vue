<script setup lang="ts">
import { computed } from 'vue'
import { api, body } from '@/api/client'
import { keys, queries } from '@/api/queries'
import type { Bench } from '@/api/types'
import { useSend } from '@/composables/useSend'
import { sayRows } from '@/plan/findings'
import { say } from '@/words'

/** When the shop's meters are due on the stand, and what is left of this planter's by that. */
const { planterId, school, due, maySet } = defineProps<{
  planterId: number
  school: Bench['school']
  due: Bench['due']
  maySet: boolean
}>()
const SCHOOLS: Bench['school'][] = ['seasons', 'every_size']
const { send, refusal, busy } = useSend()
/** Rows by the lot that they are to be run with. */
const left = computed(() => {
  const lots = new Map<string, number[]>()
  for (const { row, seeds } of due) for (const seed of seeds) lots.set(seed, [...(lots.get(seed) ?? []), row])
  return [...lots]
})
const choose = (meter_school: Bench['school']) =>
  send(async () => {
    await body(api.PATCH('/api/workshop', { body: { meter_school } }))
    await queries.invalidateQueries({ queryKey: keys.bench(planterId) })
  })
</script>

<template>
  <div class="due-meters">
    <div class="segments" role="group" aria-label="When to test meters">
      <button
        v-for="value in SCHOOLS"
        :key="value"
        type="button"
        :aria-pressed="school === value"
        :disabled="!maySet || busy"
        @click="choose(value)"
      >
        {{ say(`meter_school.${value}`) }}
      </button>
    </div>
    <p v-if="refusal" class="change" role="alert">{{ refusal.message }}</p>
    <p v-for="[lot, rows] in left" :key="lot">{{ sayRows(rows) }}: still to run with {{ lot }}.</p>
    <p v-if="school === 'every_size' && left.length === 0" class="quiet">
      Every row was run with each seed size in this season’s fields, or no field has a seed lot.
    </p>
  </div>
</template>

<style scoped>
.due-meters {
  display: grid;
  justify-items: start;
  margin: 10px 0;
}
p {
  margin: 4px 0;
}
</style>
