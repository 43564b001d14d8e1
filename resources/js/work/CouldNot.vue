<script setup lang="ts">
import FormDialog from '@/components/FormDialog.vue'
import { ref } from 'vue'
import type { WorkEntry, WorkJob } from '@/api/types'
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
  <form-dialog
    label="Could not be done"
    width="520"
    :refusal="refusal"
    :busy="busy"
    :disabled="!reason && words.trim() === ''"
    @save="save"
    @close="emit('close')"
  >
    <template #title>{{ sayRow(rowOf(job.key)) }}, {{ sayTarget(job.key).toLowerCase() }}: could not be done</template>
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
    <v-text-field v-model="words" label="Your own words" maxlength="300" />
    <p class="quiet">Sends it back to Decide with the reason.</p>
    <template #save>Back to Decide</template>
  </form-dialog>
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
