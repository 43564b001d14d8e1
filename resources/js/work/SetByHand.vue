<script setup lang="ts">
import { ref } from 'vue'
import type { PlannedPiece, WorkPlan } from '@/api/types'
import RefusalList from '@/components/RefusalList.vue'
import { useDays } from '@/composables/useDays'
import { clockOf, dayOf, sayPiece } from './plan'
import { useKeptPlan } from './useKeptPlan'

/** Sets who does a piece and when; the rest is planned around it. */
const { piece, plan, planterId, together } = defineProps<{
  piece: PlannedPiece
  plan: WorkPlan
  planterId: number
  together: boolean
}>()
const emit = defineEmits<{ close: [] }>()
const { today } = useDays()
const { keep, refusal, busy } = useKeptPlan(
  () => planterId,
  () => together,
  () => plan,
)
const person = ref(plan.people[piece.person] ?? '')
const day = ref(dayOf(piece.starts))
const time = ref(clockOf(piece.starts))

async function set(): Promise<void> {
  if (await keep({ set: [{ piece: piece.key, person: person.value, starts: `${day.value}T${time.value}` }] }))
    emit('close')
}
async function letGo(): Promise<void> {
  if (await keep({ let_go: [piece.key] })) emit('close')
}
</script>

<template>
  <v-dialog :model-value="true" max-width="480" aria-label="Set by hand" @update:model-value="emit('close')">
    <form class="sheet asks" novalidate @submit.prevent="set">
      <h2>{{ sayPiece(piece) }}</h2>
      <v-select v-model="person" label="Who does it" :items="plan.people" />
      <div class="pair">
        <v-text-field v-model="day" type="date" label="Day" :min="today()" />
        <v-text-field v-model="time" type="time" label="Begins at" />
      </div>
      <p class="quiet">It stays there however the plan is made; the rest goes around it.</p>
      <refusal-list :refusal="refusal" />
      <div class="actions">
        <v-btn variant="text" @click="emit('close')">Cancel</v-btn>
        <v-btn v-if="piece.by_hand" variant="outlined" :loading="busy" @click="letGo">Let it go</v-btn>
        <v-btn color="primary" type="submit" :loading="busy">Set it there</v-btn>
      </div>
    </form>
  </v-dialog>
</template>
