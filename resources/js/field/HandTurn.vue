<script setup lang="ts">
import { computed, ref } from 'vue'
import type { FirstPass } from '@/api/types'
import RefusalList from '@/components/RefusalList.vue'
import { dateAndTime } from '@/dates'
import { sayRows } from '@/plan/findings'
import { readRows } from '@/walk/rows'
import { say } from '@/words'
import { useSignOff } from './useSignOff'

/** Before the planter moves: each row turned by hand, and which dropped no seed. */
const { planterId, rowCount, signed } = defineProps<{
  planterId: number
  rowCount: number
  signed: FirstPass['sign_offs']
}>()
const { sign, refusal, busy } = useSignOff(planterId)
const missing = ref('')
const rows = computed(() => (missing.value.trim() === '' ? [] : readRows(missing.value, rowCount)))
const last = computed(() => signed.find(({ kind }) => kind === 'hand_turned'))
</script>

<template>
  <section id="turn_by_hand" class="sheet hand-turn" aria-label="Turn by hand">
    <h2>1. Turn each row by hand</h2>
    <p class="caution">{{ say('caution.hand_turn') }}</p>
    <p v-if="last">
      {{ last.rows.length ? `${sayRows(last.rows)}: no seed.` : 'Every row dropped seed.' }}
      <span class="quiet">{{ last.by }}, {{ dateAndTime(last.happened_at) }}</span>
    </p>
    <div class="line">
      <v-text-field
        v-model="missing"
        label="Rows that did not drop"
        placeholder="none"
        :error-messages="rows === null ? `Rows from 1 to ${rowCount}, such as 3, 9-12.` : []"
      />
      <v-btn
        variant="outlined"
        size="large"
        :loading="busy"
        :disabled="rows === null"
        @click="sign({ kind: 'hand_turned', rows: rows ?? [] })"
        >{{ missing.trim() === '' ? 'Every row dropped' : 'Save' }}</v-btn
      >
    </div>
    <refusal-list :refusal="refusal" />
  </section>
</template>

<style scoped>
.hand-turn {
  display: grid;
  gap: 10px;
}
.line {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  align-items: start;
  gap: 8px;
}
@media (max-width: 700px) {
  .line {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
