<script setup lang="ts">
import { computed } from 'vue'
import { usePlanter } from '@/api/queries'
import { useManuals } from '@/spec/manuals'
import ManualsPanel from '@/spec/ManualsPanel.vue'
import { useSpecSheets } from '@/spec/queries'
import AppBar from '@/components/AppBar.vue'
import LoadProblem from '@/components/LoadProblem.vue'
import PlanterForm from './PlanterForm.vue'

const { planterId } = defineProps<{ planterId?: number }>()
const planter = usePlanter(() => planterId)
const sheets = useSpecSheets()
const manuals = useManuals(() => planterId ?? 0)
const ready = computed(() => sheets.isSuccess.value && (planterId === undefined || planter.isSuccess.value))
</script>

<template>
  <app-bar :planter-id="planterId" />
  <main class="page">
    <h1>{{ planterId ? `Edit ${planter.data.value?.name ?? ''}` : 'Add planter' }}</h1>
    <load-problem :error="planter.error.value ?? sheets.error.value" @again="(planter.refetch(), sheets.refetch())" />
    <planter-form v-if="ready" :planter="planter.data.value" :sheets="sheets.data.value ?? []" />
    <manuals-panel
      v-if="planterId && manuals.data.value"
      :of="{ planter_id: planterId }"
      :manuals="manuals.data.value"
    />
  </main>
</template>
