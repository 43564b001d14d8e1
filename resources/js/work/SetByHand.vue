<script setup lang="ts">
import FormDialog from '@/components/FormDialog.vue'
import { ref } from 'vue'
import type { PlannedPiece, WorkPlan } from '@/api/types'
import { useDays } from '@/composables/useDays'
import { dayOf, sayPiece } from './plan'
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
const time = ref(piece.starts.slice(11))

async function set(): Promise<void> {
  if (await keep({ set: [{ piece: piece.key, person: person.value, starts: `${day.value}T${time.value}` }] }))
    emit('close')
}
async function letGo(): Promise<void> {
  if (await keep({ let_go: [piece.key] })) emit('close')
}
</script>

<template>
  <form-dialog label="Set by hand" width="480" :refusal="refusal" :busy="busy" @save="set" @close="emit('close')">
    <template #title>{{ sayPiece(piece) }}</template>
    <v-select v-model="person" label="Who does it" :items="plan.people" />
    <div class="pair">
      <v-text-field v-model="day" type="date" label="Day" :min="today()" />
      <v-text-field v-model="time" type="time" label="Starts at" />
    </div>
    <p class="quiet">It stays there; the rest is planned around it.</p>
    <template #more
      ><v-btn v-if="piece.by_hand" variant="outlined" :loading="busy" @click="letGo">Release</v-btn></template
    >
    <template #save>Set</template>
  </form-dialog>
</template>
