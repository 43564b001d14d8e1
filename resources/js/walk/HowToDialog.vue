<script setup lang="ts">
import type { Check, Planter } from '@/api/types'
import HowTo from './HowTo.vue'

/** How the check in hand is made, over the walk: where there is no room beside it, or on a key. */
defineProps<{ planterId: number; check: Check; sheet: Planter['spec_sheet'] }>()
defineEmits<{ close: [] }>()
</script>

<template>
  <v-dialog model-value aria-label="How to measure" max-width="460" @update:model-value="$emit('close')">
    <how-to :planter-id="planterId" :check="check" :sheet="sheet" />
  </v-dialog>
</template>
