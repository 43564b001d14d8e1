<script setup lang="ts">
import type { ImportResult } from '@/api/types'
import FractionText from '@/components/FractionText.vue'

/** Lines of the file that something has to be said about, as the file has them. */
defineProps<{ lines: ImportResult['errors'] }>()
</script>

<template>
  <ul>
    <li v-for="{ line, message, text } in lines" :key="line">
      <strong>Line {{ line }}.</strong> <fraction-text :text="message" />
      <span class="quiet">{{ text }}</span>
    </li>
  </ul>
</template>

<style scoped>
ul {
  margin-bottom: 8px;
  padding-left: 18px;
  max-height: 320px;
  overflow-y: auto;
}
.quiet {
  margin-left: 0.5em;
}
</style>
