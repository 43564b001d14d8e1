<script setup lang="ts">
import { faces } from './tabs'

/** Screens that belong together, one beside the other. */
const { of, planterId } = defineProps<{ of: keyof typeof faces; planterId?: number }>()
</script>

<template>
  <nav class="faces" :aria-label="`Screens of ${of}`">
    <router-link
      v-for="{ name, title } in faces[of]"
      :key="name"
      :to="{ name, params: planterId === undefined ? {} : { planter: planterId } }"
      >{{ title }}</router-link
    >
  </nav>
</template>

<style scoped>
.faces {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 20px;
  width: 100%;
  max-width: 1240px;
  margin: 0 auto 8px;
}
a {
  display: flex;
  align-items: center;
  min-height: var(--touch);
  font-weight: 700;
  color: var(--ink-2);
  text-decoration: none;
  border-bottom: 3px solid transparent;
}
a.router-link-active {
  color: var(--accent);
  border-color: var(--accent);
}
@media (max-width: 700px) {
  .faces {
    flex-wrap: nowrap;
    gap: 0 12px;
    font-size: 0.9rem;
    white-space: nowrap;
    overflow-x: auto;
  }
}
</style>
