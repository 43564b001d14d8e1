<script setup lang="ts">
import { mdiChevronDown, mdiChevronRight } from '@mdi/js'

/** The head of a station's line, by which it unfolds. */
const { name, open } = defineProps<{ name: string; open: boolean }>()
defineEmits<{ fold: [] }>()
</script>

<template>
  <button type="button" class="name" :aria-expanded="open" @click="$emit('fold')">
    <v-icon :icon="open ? mdiChevronDown : mdiChevronRight" size="18" />
    <span>{{ name }}</span>
  </button>
</template>

<style scoped>
.name {
  display: flex;
  align-items: center;
  gap: 4px;
  width: 100%;
  min-height: var(--line-height);
  padding: 0 6px;
  font-size: 0.9375rem;
  font-weight: 700;
  line-height: 1.15;
  text-align: left;
}
.name:hover {
  background: var(--accent-weak);
}
@media (max-width: 700px) {
  .name {
    font-size: 0.8125rem;
  }
}
</style>
