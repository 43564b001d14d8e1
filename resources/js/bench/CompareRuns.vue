<script setup lang="ts">
import { computed, ref } from 'vue'
import { api, body } from '@/api/client'
import RefusalList from '@/components/RefusalList.vue'
import { useSend } from '@/composables/useSend'
import { dateAndTime } from '@/dates'
import { type BenchRun, percent, saySetUp } from './shares'

/** Whether two runs that are chosen tell of meters, or airs, that really differ. */
const { planterId, runs } = defineProps<{ planterId: number; runs: BenchRun[] }>()
const { send, refusal, busy } = useSend()
const chosen = ref<[string | undefined, string | undefined]>([undefined, undefined])
const said = ref('')
const items = computed(() =>
  runs.map((run) => ({
    value: run.id,
    title: `Row ${run.row}, ${dateAndTime(run.happened_at)}: ${percent(run.singulation.share)}${saySetUp(run)}`,
  })),
)

async function compare(): Promise<void> {
  const [one, other] = chosen.value
  if (!one || !other) return
  said.value = ''
  const query = { one, other }
  await send(async () => {
    const { chance, differ } = await body(
      api.GET('/api/planters/{planter}/bench/compare', { params: { path: { planter: planterId }, query } }),
    )
    const luck = chance < 0.001 ? 'in under 1 case of 1,000' : `in ${Math.round(1000 * chance)} of 1,000 cases`
    said.value = differ
      ? `A real difference: two equal meters would be this far apart ${luck}.`
      : `No real difference in this many seeds: two equal meters would be this far apart ${luck}.`
  })
}
</script>

<template>
  <details>
    <summary>Compare two runs</summary>
    <div class="pair">
      <v-select v-model="chosen[0]" label="One run" :items="items" @update:model-value="compare" />
      <v-select v-model="chosen[1]" label="Another run" :items="items" @update:model-value="compare" />
    </div>
    <p v-if="said && !busy" role="status">{{ said }}</p>
    <refusal-list :refusal="refusal" />
  </details>
</template>

<style scoped>
summary {
  display: flex;
  align-items: center;
  min-height: var(--touch);
  font-weight: 700;
  cursor: pointer;
}
</style>
