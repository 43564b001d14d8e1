<script setup lang="ts">
import { useFace } from '@/api/queries'
import PlanterPage from '@/components/PlanterPage.vue'
import FindingsScreen from '@/walk/board/FindingsScreen.vue'
import { useSession } from '@/session'
import CarriedOver from './CarriedOver.vue'
import DecisionList from './DecisionList.vue'
import PolicyPanel from './PolicyPanel.vue'
import { useDecisions } from './useDecisions'

/** What was found and what is done about it; beside it what each policy would cost. Who only looks on sees the findings. */
const { planterId } = defineProps<{ planterId: number }>()
const session = useSession()
const { data: face } = useFace(() => planterId)
const decisions = useDecisions(() => planterId)
const { query } = decisions
</script>

<template>
  <findings-screen v-if="!session.may('record')" :planter-id="planterId" />
  <planter-page v-else :planter-id="planterId" :of="face" :error="query.error.value" @again="query.refetch()">
    <div v-if="query.data.value" class="decide">
      <div class="left">
        <decision-list :planter-id="planterId" :decide="query.data.value" :decisions="decisions" />
        <carried-over v-if="query.data.value.carried.length > 0" :carried="query.data.value.carried" />
      </div>
      <policy-panel :planter-id="planterId" />
    </div>
  </planter-page>
</template>

<style scoped>
.decide {
  display: grid;
  grid-template-columns: minmax(0, 1.6fr) minmax(0, 1fr);
  align-items: start;
  gap: 14px;
}
.left {
  display: grid;
  gap: 14px;
}
@media (max-width: 1000px) {
  .decide {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
