<script setup lang="ts">
import RowUnitDrawing from '@/drawings/RowUnitDrawing.vue'

/** The frame of what stands before anybody is signed in. */
const { title } = defineProps<{ title?: string }>()
</script>

<template>
  <v-main class="entry">
    <div class="panel sheet">
      <row-unit-drawing v-if="!title" class="drawing" />
      <h1>{{ title ?? 'ustrel' }}</h1>
      <slot />
    </div>
  </v-main>
</template>

<style scoped>
.entry {
  display: grid;
  place-items: center;
  align-content: center;
  min-height: 100dvh;
  padding: var(--gap);
}
.panel {
  display: grid;
  gap: 12px;
  width: min(440px, 100%);
  padding: 28px;
}
</style>
