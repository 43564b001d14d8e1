<script setup lang="ts">
import { computed } from 'vue'
import { useRouter } from 'vue-router'
import { api, body } from '@/api/client'
import { keys, queries } from '@/api/queries'
import type { Board } from '@/api/types'
import { isToDo } from '@/api/types'
import { useSend } from '@/composables/useSend'

/** What to do next with the board's walk: start, carry on, reopen, export. */
const { board } = defineProps<{
  board: Board
  /** Where a walk can be started on the same screen. */
  withoutStart?: boolean
}>()
const router = useRouter()
const { send, refusal } = useSend('The server does not answer. The walk is as it was.')

const planter = computed(() => board.planter.id)
const walk = computed(() => board.walk)
const open = computed(() => walk.value !== null && walk.value.finished_at === null)
const label = computed(() => {
  if (!open.value) return board.walk ? 'Start another walk' : 'Start the walk'
  const walked = new Set<string>(walk.value?.checks)
  const next = board.cells.find((cell) => isToDo(cell) && walked.has(cell.check))
  if (!next) return 'All measured: finish'
  return next.row === 0 ? 'Continue: whole planter' : `Continue at row ${next.row}`
})

const reopen = () =>
  send(async () => {
    if (!walk.value) return
    await body(api.POST('/api/walks/{walk}/reopen', { params: { path: { walk: walk.value.id } } }))
    await queries.invalidateQueries({ queryKey: keys.board(planter.value) })
    await queries.invalidateQueries({ queryKey: keys.walks(planter.value) })
    await queries.invalidateQueries({ queryKey: keys.guide(planter.value) })
    await router.push({ name: 'walk', params: { planter: planter.value } })
  })
</script>

<template>
  <div class="actions">
    <v-btn v-if="walk && !open" variant="outlined" @click="reopen">Reopen the walk</v-btn>
    <v-btn
      v-if="!withoutStart"
      :color="open || !walk ? 'primary' : undefined"
      :variant="open || !walk ? 'flat' : 'text'"
      :to="{ name: 'walk', params: { planter } }"
      >{{ label }}</v-btn
    >
  </div>
  <p v-if="refusal" class="change" role="alert">{{ refusal.message }}</p>
</template>

<style scoped>
.actions {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
</style>
