<script setup lang="ts">
import { ref } from 'vue'
import type { WorkEntry, WorkJob } from '@/api/types'
import RefusalList from '@/components/RefusalList.vue'
import { say, sayRow, wordsOf } from '@/words'
import { rowOf, sayTarget } from './target'
import { useHandsEntries } from './useHandsEntries'

/** Why a job could not be done; it goes back to Decide with that. */
const { job, planterId } = defineProps<{ job: WorkJob; planterId: number }>()
const emit = defineEmits<{ close: [] }>()
const { deliver, refusal, busy } = useHandsEntries(() => planterId)
const reason = ref<WorkEntry['reason']>()
const words = ref('')
const REASONS = wordsOf('could_not') as NonNullable<WorkEntry['reason']>[]

async function save(): Promise<void> {
  const said = {
    kind: 'could_not' as const,
    targets: [job.key],
    reason: reason.value ?? null,
    words: words.value.trim(),
  }
  if (await deliver([said])) emit('close')
}
</script>

<template>
  <v-dialog :model-value="true" max-width="520" aria-label="Could not be done" @update:model-value="emit('close')">
    <form class="sheet asks" novalidate @submit.prevent="save">
      <h2>{{ sayRow(rowOf(job.key)) }}, {{ sayTarget(job.key).toLowerCase() }}: could not be done</h2>
      <div class="reasons" role="group" aria-label="Why">
        <v-btn
          v-for="one in REASONS"
          :key="one"
          :variant="reason === one ? 'flat' : 'outlined'"
          :color="reason === one ? 'primary' : undefined"
          :aria-pressed="reason === one"
          @click="reason = one"
          >{{ say(`could_not.${one}`) }}</v-btn
        >
      </div>
      <p v-if="reason === 'seized'" class="caution">{{ say('caution.heat') }}</p>
      <p v-if="reason === 'needs_qualified'" class="caution">{{ say('caution.first') }}</p>
      <v-text-field v-model="words" label="In your own words" maxlength="300" />
      <p class="quiet">It leaves the plan and stands in Decide again, with why.</p>
      <refusal-list :refusal="refusal" />
      <div class="actions">
        <v-btn variant="text" @click="emit('close')">Cancel</v-btn>
        <v-btn color="primary" type="submit" size="large" :loading="busy" :disabled="!reason && words.trim() === ''"
          >Back to Decide</v-btn
        >
      </div>
    </form>
  </v-dialog>
</template>

<style scoped>
.reasons {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
p {
  margin: 0;
}
</style>
