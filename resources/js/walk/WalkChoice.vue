<script setup lang="ts">
import type { Check, Walk } from '@/api/types'
import OrderChoice from './start/OrderChoice.vue'
import PackChoice from './start/PackChoice.vue'
import type { WalkView } from './view'

/** What to walk today, and how, changed on an open walk. */
const { walk } = defineProps<{ walk: Walk; checks: Check[] }>()
const view = defineModel<WalkView>('view', { required: true })
const emit = defineEmits<{ change: [edit: Partial<Pick<Walk, 'order' | 'checks'>>]; close: [] }>()
</script>

<template>
  <v-dialog model-value aria-label="What to check today" max-width="680" scrollable @update:model-value="emit('close')">
    <div class="sheet asks">
      <h2>What to check today</h2>
      <p class="quiet">Readings of other stations stay.</p>
      <div class="segments" role="group" aria-label="How">
        <button type="button" :aria-pressed="view === 'station'" @click="view = 'station'">A station at a time</button>
        <button type="button" :aria-pressed="view === 'single'" @click="view = 'single'">One by one</button>
      </div>
      <order-choice :model-value="walk.order" @update:model-value="emit('change', { order: $event })" />
      <pack-choice
        :model-value="walk.checks"
        :checks="checks"
        :kind="walk.kind"
        @update:model-value="emit('change', { checks: $event as Walk['checks'] })"
      />
      <v-btn color="primary" block @click="emit('close')">Continue</v-btn>
    </div>
  </v-dialog>
</template>
