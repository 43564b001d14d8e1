<script setup lang="ts">
import { useSpecSheet } from '@/spec/queries'
import AppBar from '@/components/AppBar.vue'
import LoadProblem from '@/components/LoadProblem.vue'
import { useManualsOfSheet } from './manuals'
import ManualsPanel from './ManualsPanel.vue'
import SpecSheetForm from './SpecSheetForm.vue'

const { sheetId } = defineProps<{ sheetId: number }>()
const sheet = useSpecSheet(() => sheetId)
const manuals = useManualsOfSheet(() => sheetId)
</script>

<template>
  <app-bar />
  <main class="page">
    <load-problem :error="sheet.error.value" @again="sheet.refetch()" />
    <spec-sheet-form v-if="sheet.data.value" :key="sheet.data.value.id" :sheet="sheet.data.value" />
    <manuals-panel v-if="manuals.data.value" :of="{ spec_sheet_id: sheetId }" :manuals="manuals.data.value" />
  </main>
</template>
