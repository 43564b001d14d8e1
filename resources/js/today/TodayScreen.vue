<script setup lang="ts">
import { computed } from 'vue'
import { useToday } from '@/api/queries'
import AppBar from '@/components/AppBar.vue'
import LoadingLines from '@/components/LoadingLines.vue'
import LoadProblem from '@/components/LoadProblem.vue'
import { longDay } from '@/dates'
import { useOutbox } from '@/offline/outbox'
import TodayList from './TodayList.vue'

/** What one person has to do today, across all planters. */
const today = useToday()
const outbox = useOutbox()

const planters = computed(() => today.data.value?.planters ?? [])
const deliveries = computed(() => today.data.value?.deliveries ?? [])
const waiting = computed(() => outbox.waiting.length)
const isClear = computed(
  () => today.data.value !== undefined && planters.value.length === 0 && deliveries.value.length === 0,
)
const toPlanting = (days: number | null) => {
  if (days === null || days < 0) return ''
  return days === 0 ? ' · planting starts today' : ` · ${days} ${days === 1 ? 'day' : 'days'} to planting`
}
</script>

<template>
  <app-bar />
  <main class="page today">
    <h1>
      Today<span v-if="today.data.value" class="quiet">{{ longDay(today.data.value.day) }}</span>
    </h1>
    <load-problem :error="today.error.value" @again="today.refetch()" />
    <loading-lines v-if="today.isPending.value && !today.error.value" :lines="4" />
    <p v-if="waiting > 0" class="sheet waiting" role="status">
      <strong>{{ waiting === 1 ? '1 entry' : `${waiting} entries` }} to sync</strong>
      <span class="quiet">Saved on this device. They sync when there is a signal.</span>
    </p>
    <div v-if="isClear" class="sheet clear">
      <p><strong>Nothing to do today.</strong></p>
      <p class="quiet">Cards, findings to decide, due dates and deliveries show up here.</p>
      <v-btn color="primary" size="large" :to="{ name: 'yard' }">See all planters</v-btn>
    </div>
    <div class="lists">
      <today-list
        v-for="planter in planters"
        :key="planter.id"
        :title="planter.name"
        :note="toPlanting(planter.days_to_planting)"
        :items="planter.items"
        :planter-id="planter.id"
      />
      <today-list v-if="deliveries.length > 0" title="Deliveries" note="" :items="deliveries" />
    </div>
  </main>
</template>

<style scoped>
h1 {
  display: flex;
  flex-wrap: wrap;
  align-items: baseline;
  gap: 0 12px;
}
h1 .quiet {
  font-size: 1rem;
  font-weight: 400;
}
.lists {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(min(100%, 460px), 1fr));
  gap: var(--gap);
  align-items: start;
}
.waiting {
  display: grid;
  border-left: 4px solid var(--ochre);
}
.clear {
  display: grid;
  justify-items: start;
  gap: 8px;
  padding: 24px;
}
</style>
