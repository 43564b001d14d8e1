<script setup lang="ts">
import { computed } from 'vue'
import type { WorkPlan } from '@/api/types'
import RefusalList from '@/components/RefusalList.vue'
import { useDays } from '@/composables/useDays'
import { useSession } from '@/session'
import { say } from '@/words'
import { sayPiece } from './plan'
import { useKeptPlan } from './useKeptPlan'
import { weekDate } from '@/dates'

/** Whether the plan is kept, what broke the one that was, and what to do then. */
const { planterId, together, plan } = defineProps<{ planterId: number; together: boolean; plan: WorkPlan }>()
const session = useSession()
const { dayOf } = useDays()
const { keep, refusal, busy } = useKeptPlan(
  () => planterId,
  () => together,
  () => plan,
)
const SHOWN = 4
const kept = computed(() => plan.kept)
const broken = computed(() => {
  const pieces = new Map(plan.pieces.map((piece) => [piece.key, piece]))
  return plan.broken.flatMap(({ key, breach }) => {
    const piece = pieces.get(key)
    return piece ? [`${sayPiece(piece)}: ${say(`breach.${breach}`)}`] : []
  })
})
const isSound = computed(() => kept.value !== null && plan.broken.length === 0)
</script>

<template>
  <div class="kept" :class="{ due: plan.broken.length > 0 }">
    <div>
      <p v-if="kept === null">
        Draft: the plan changes as entries come in. Save it to hold it until something breaks it.
      </p>
      <p v-else-if="isSound">Saved by {{ kept.by }}, {{ weekDate(dayOf(kept.made_at)) }}. Still on track.</p>
      <template v-else>
        <p>
          <strong>The plan saved by {{ kept.by }} no longer works.</strong> This is a new plan around jobs set by hand:
        </p>
        <ul>
          <li v-for="one in broken.slice(0, SHOWN)" :key="one">{{ one }}</li>
          <li v-if="broken.length > SHOWN">and {{ broken.length - SHOWN }} more</li>
        </ul>
      </template>
      <refusal-list :refusal="refusal" />
    </div>
    <v-btn
      v-if="session.may('set')"
      :variant="isSound ? 'outlined' : 'flat'"
      color="primary"
      :loading="busy"
      @click="keep({ remake: isSound })"
      >{{ isSound ? 'Plan again' : 'Save plan' }}</v-btn
    >
  </div>
</template>

<style scoped>
.kept {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  justify-content: space-between;
  gap: 8px 20px;
}
p,
ul {
  margin: 0;
}
ul {
  padding-left: 20px;
}
.due {
  border-left: 5px solid var(--ochre);
  padding-left: 12px;
}
</style>
