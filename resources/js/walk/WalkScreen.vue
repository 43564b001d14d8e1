<script setup lang="ts">
import { computed } from 'vue'
import { useRoute } from 'vue-router'
import { useGuide } from '@/walk/guide'
import type { PlaceRef } from '@/api/types'
import PlanterPage from '@/components/PlanterPage.vue'
import StartWalk from './start/StartWalk.vue'
import WalkDesk from './WalkDesk.vue'

const { planterId } = defineProps<{ planterId: number }>()
const route = useRoute()
const guide = useGuide(() => planterId)
const walk = computed(() => guide.data.value?.walk)

const startAt = computed<PlaceRef | undefined>(() => {
  const { row, check, side } = route.query
  if (row === undefined) return undefined
  const walked = new Set<string>(walk.value?.checks)
  const step = guide.data.value?.steps.find(
    (candidate) =>
      candidate.row === Number(row) &&
      (check ? candidate.check === check : walked.has(candidate.check)) &&
      (!side || candidate.side === side),
  )
  return step && { row: step.row, check: step.check, side: step.side }
})
</script>

<template>
  <walk-desk
    v-if="walk && guide.data.value"
    :key="walk.id"
    :planter-id="planterId"
    :guide="guide.data.value"
    :start-at="startAt"
  />
  <planter-page
    v-else
    :planter-id="planterId"
    :of="guide.data.value"
    :error="guide.error.value"
    @again="guide.refetch()"
  >
    <start-walk v-if="guide.data.value" :planter-id="planterId" :guide="guide.data.value" />
  </planter-page>
</template>
