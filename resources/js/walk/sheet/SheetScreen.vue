<script setup lang="ts">
import { computed } from 'vue'
import { useGuide } from '@/walk/guide'
import PlanterPage from '@/components/PlanterPage.vue'
import SheetGrid from './SheetGrid.vue'

/** A filled paper sheet, typed in like a spreadsheet. */
const { planterId } = defineProps<{ planterId: number }>()
const guide = useGuide(() => planterId)
const walk = computed(() => guide.data.value?.walk)
</script>

<template>
  <planter-page :planter-id="planterId" :of="guide.data.value" :error="guide.error.value" @again="guide.refetch()">
    <sheet-grid v-if="walk && guide.data.value" :key="walk.id" :planter-id="planterId" :guide="guide.data.value" />
    <section v-else-if="guide.data.value" class="sheet none">
      <h1>Sheet</h1>
      <p>The sheet fills an open walk. Start a walk, or print a blank sheet first.</p>
      <v-btn color="primary" :to="{ name: 'walk', params: { planter: planterId } }">Start a walk</v-btn>
      <v-btn variant="outlined" :href="`/api/planters/${planterId}/blank.pdf`" target="_blank"
        >Print a blank sheet</v-btn
      >
    </section>
  </planter-page>
</template>

<style scoped>
.none {
  max-width: 620px;
  margin: 0 auto;
  display: grid;
  gap: 12px;
}
</style>
