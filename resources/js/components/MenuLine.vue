<script setup lang="ts">
import { RouterLink, type RouteLocationRaw } from 'vue-router'

/** One line of a menu: a place to go, a file to get, or something to do. */
const { to, href } = defineProps<{
  title: string
  subtitle?: string
  to?: RouteLocationRaw
  href?: string
  active?: boolean
}>()
</script>

<template>
  <component
    :is="to ? RouterLink : href ? 'a' : 'button'"
    v-bind="to ? { to } : href ? { href } : { type: 'button' }"
    :class="['line', { active }]"
    :aria-current="active || undefined"
  >
    {{ title }}
    <span v-if="subtitle" class="quiet">{{ subtitle }}</span>
  </component>
</template>

<style scoped>
.line {
  display: grid;
  align-content: center;
  width: 100%;
  min-height: var(--touch);
  padding: 6px 12px;
  border-radius: 8px;
  color: inherit;
  text-align: left;
  text-decoration: none;
}
.line:hover,
.active {
  background: var(--accent-weak);
}
.quiet {
  font-size: 0.875rem;
}
</style>
