<script setup lang="ts">
import { computed } from 'vue'
import type { Refusal } from '@/api/client'

/** What was wrong, each sentence once. */
const { refusal } = defineProps<{ refusal: Refusal | null }>()
const sentences = computed(() => {
  if (refusal === null) return []
  const said = Object.values(refusal.errors).flat()
  return said.length > 0 ? [...new Set(said)] : [refusal.message]
})
</script>

<template>
  <ul v-if="sentences.length > 0" class="change" role="alert">
    <li v-for="sentence in sentences" :key="sentence">{{ sentence }}</li>
  </ul>
</template>

<style scoped>
ul {
  padding-left: 20px;
}
</style>
