<script setup lang="ts">
import { ref } from 'vue'
import { api, body, Refusal } from '@/api/client'
import { keys, queries } from '@/api/queries'
import type { Board, WalkKind, WalkOrder } from '@/api/types'
import WalkActions from '@/screens/board/WalkActions.vue'
import { say } from '@/words'
import OrderChoice from './OrderChoice.vue'

const { board } = defineProps<{ board: Board }>()
const kinds: WalkKind[] = ['pre_season', 'first_pass', 'in_season', 'rain_day', 'season_end']
const kind = ref<WalkKind>('pre_season')
const order = ref<WalkOrder>('row_by_row')
const problem = ref('')

async function start(): Promise<void> {
  try {
    await body(
      api.POST('/api/planters/{planter}/walks', {
        params: { path: { planter: board.planter.id } },
        body: { kind: kind.value, order: order.value },
      }),
    )
    await queries.invalidateQueries({ queryKey: keys.yard })
    await queries.invalidateQueries({ queryKey: keys.board(board.planter.id) })
  } catch (error) {
    problem.value = error instanceof Refusal ? error.message : 'The server does not answer. No walk was started.'
  }
}
</script>

<template>
  <div class="start">
    <section v-if="board.walk" class="sheet box">
      <h1>{{ say(`walk_kind.${board.walk.kind}`) }} {{ board.season }} is finished</h1>
      <p class="quiet">Reopen it to correct or add readings, or start another walk below.</p>
      <walk-actions :board="board" without-start />
    </section>
    <section class="sheet box">
      <h1>Start a walk of {{ board.planter.name }}</h1>
      <p class="quiet">
        {{ board.cells.length }} readings on {{ board.ribbon.length }} rows: opener blades with the tape, their contact
        with two cards.
      </p>
      <v-select
        v-model="kind"
        label="Which walk"
        :items="kinds.map((value) => ({ value, title: say(`walk_kind.${value}`) }))"
      />
      <order-choice v-model="order" />
      <p class="caution"><strong>Before you reach under.</strong> {{ say('caution.lock_up') }}</p>
      <p v-if="problem" class="change" role="alert">{{ problem }}</p>
      <v-btn color="primary" size="large" block @click="start">Start the walk</v-btn>
    </section>
  </div>
</template>

<style scoped>
.start {
  max-width: 640px;
  margin: 0 auto;
  display: grid;
  gap: var(--gap);
}
.box {
  display: grid;
  gap: var(--gap);
  padding: 24px;
}
.caution {
  border-left: 5px solid var(--ochre);
  padding-left: 12px;
}
</style>
