<script setup lang="ts">
import { computed, watch } from 'vue'
import { useRoute } from 'vue-router'
import { useBoard, useWalkGuide } from '@/api/queries'
import type { PlaceRef } from '@/api/types'
import LoadProblem from '@/components/LoadProblem.vue'
import PlanterShell from '@/components/PlanterShell.vue'
import StartWalk from './StartWalk.vue'
import WalkDesk from './WalkDesk.vue'

const { planterId } = defineProps<{ planterId: number }>()
const route = useRoute()
const board = useBoard(() => planterId)
const openWalk = computed(() => {
  const walk = board.data.value?.walk
  return walk && walk.finished_at === null ? walk.id : undefined
})
const guide = useWalkGuide(openWalk)

// Somebody else has finished the walk: the board tells what comes next.
watch(
  () => guide.data.value?.walk.finished_at,
  (finished) => finished && void board.refetch(),
)

const startAt = computed<PlaceRef | undefined>(() => {
  const { row, check, side } = route.query
  const step = guide.data.value?.steps.find(
    (candidate) =>
      candidate.row === Number(row) && (!check || candidate.check === check) && (!side || candidate.side === side),
  )
  return step && { row: step.row, check: step.check, side: step.side }
})
</script>

<template>
  <walk-desk
    v-if="openWalk && guide.data.value"
    :key="openWalk"
    :planter-id="planterId"
    :guide="guide.data.value"
    :start-at="startAt"
  />
  <planter-shell
    v-else
    :planter-id="planterId"
    :ribbon="board.data.value?.ribbon"
    :sections="board.data.value?.planter.sections"
  >
    <load-problem :error="board.error.value ?? guide.error.value" @again="(board.refetch(), guide.refetch())" />
    <start-walk v-if="board.data.value && !openWalk" :board="board.data.value" />
  </planter-shell>
</template>
