<script setup lang="ts">
/** The faces of Field, one beside the other. */
const { planterId } = defineProps<{ planterId: number }>()
const faces = [
  { name: 'first-pass', title: 'First pass' },
  { name: 'row-watch', title: 'Row watch' },
  { name: 'emergence', title: 'Emergence' },
  { name: 'settings', title: 'Settings' },
  { name: 'calculators', title: 'Calculators' },
  { name: 'field', title: 'Log' },
]
</script>

<template>
  <nav class="faces" aria-label="Faces of Field">
    <router-link v-for="{ name, title } in faces" :key="name" :to="{ name, params: { planter: planterId } }">{{
      title
    }}</router-link>
  </nav>
</template>

<style scoped>
.faces {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 20px;
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
