<script setup lang="ts">
import { computed } from 'vue'
import { api, body } from '@/api/client'
import { keys, queries } from '@/api/queries'
import type { Walk, WalkStep } from '@/api/types'
import { useSend } from '@/composables/useSend'
import { useOutbox } from '@/offline/outbox'
import { listRows } from './rows'

/** Closes the walk; says first what is unchecked or still on its way. */
const { walk, planterId, unchecked } = defineProps<{ walk: Walk; planterId: number; unchecked: WalkStep[] }>()
const emit = defineEmits<{ close: []; finished: [] }>()
const outbox = useOutbox()
const { send, refusal, busy } = useSend('The server does not answer. The walk is still open.')

const rows = computed(() =>
  [...new Set(unchecked.map((step) => step.row))].filter((row) => row > 0).sort((a, b) => a - b),
)
const where = computed(() =>
  [
    rows.value.length > 0 ? listRows(rows.value) : '',
    unchecked.some((step) => step.row === 0) ? 'the whole planter' : '',
  ]
    .filter(Boolean)
    .join(' and '),
)
const underWay = computed(() => outbox.waiting.filter((item) => 'walk' in item && item.walk === walk.id).length)

const finish = () =>
  send(async () => {
    await body(
      api.POST('/api/walks/{walk}/finish', {
        params: { path: { walk: walk.id } },
        body: { with_unchecked: unchecked.length > 0 },
      }),
    )
    // Before the guide says that no walk is open: then this dialog is gone, and with it what it emits.
    emit('finished')
    void queries.invalidateQueries({ queryKey: keys.board(planterId) })
    void queries.invalidateQueries({ queryKey: keys.guide(planterId) })
    void queries.invalidateQueries({ queryKey: keys.yard })
  })
</script>

<template>
  <v-dialog model-value aria-label="Finish this walk?" max-width="480" @update:model-value="$emit('close')">
    <div class="sheet box">
      <h2>Finish this walk?</h2>
      <p v-if="unchecked.length > 0">
        <strong>{{ unchecked.length === 1 ? '1 reading is' : `${unchecked.length} readings are` }} unchecked</strong>,
        on {{ where }}. They stay unchecked on the board.
      </p>
      <p v-else>All readings are taken.</p>
      <p v-if="underWay > 0" class="change">
        {{ underWay }} on this device {{ underWay === 1 ? 'has' : 'have' }} not synced yet. Wait until they have.
      </p>
      <p class="quiet">A finished walk can be reopened.</p>
      <p v-if="refusal" class="change" role="alert">{{ refusal.message }}</p>
      <v-btn color="primary" size="large" :loading="busy" :disabled="underWay > 0" @click="finish">
        {{ unchecked.length > 0 ? 'Finish anyway' : 'Finish the walk' }}
      </v-btn>
      <v-btn variant="outlined" size="large" @click="$emit('close')">Continue</v-btn>
    </div>
  </v-dialog>
</template>

<style scoped>
.box {
  display: grid;
  gap: 12px;
  padding: 24px;
}
</style>
