<script setup lang="ts">
import { computed } from 'vue'
import FractionText from '@/components/FractionText.vue'
import type { What } from '@/offline/device'
import { isOf } from '@/offline/device'
import { kindOf } from '@/offline/kinds'
import { useOutbox } from '@/offline/outbox'

/** What was recorded here without a signal and is not in the figures yet. */
const { planterId, what } = defineProps<{ planterId: number; what: What }>()
const outbox = useOutbox()
const items = computed(() =>
  outbox.waiting.filter((item) => item.planter === planterId && item.problem === undefined && isOf(what)(item)),
)
</script>

<template>
  <section v-if="items.length > 0" class="sheet waits" role="status">
    <strong>Saved on this device. Syncs when there is a signal.</strong> Not in the figures yet.
    <ul>
      <li v-for="item in items" :key="item.id"><fraction-text :text="kindOf(item).title(item, outbox.waiting)" /></li>
    </ul>
  </section>
</template>

<style scoped>
.waits {
  border-left: 5px solid var(--ochre);
}
ul {
  margin: 6px 0 0;
  padding-left: 20px;
}
</style>
