<script setup lang="ts">
import { mdiDotsHorizontal } from '@mdi/js'
import { useSession } from '@/session'
import { tabsFor } from './tabs'

/** The tabs at the foot of a phone, where the thumb is; what is seldom needed stands under More. */
const { planterId } = defineProps<{ planterId: number }>()
const session = useSession()
</script>

<template>
  <nav class="foot" aria-label="Planter, at the foot">
    <router-link
      v-for="tab in tabsFor(session).filter(({ more }) => !more)"
      :key="tab.name"
      :to="{ name: tab.name, params: { planter: planterId } }"
      :class="{ here: tab.holds.includes(String($route.name)) }"
    >
      <v-icon :icon="tab.icon" size="22" />
      {{ tab.label }}
    </router-link>
    <v-menu>
      <template #activator="{ props: opener }">
        <button type="button" v-bind="opener"><v-icon :icon="mdiDotsHorizontal" size="22" />More</button>
      </template>
      <v-list>
        <v-list-item
          v-for="tab in tabsFor(session).filter(({ more }) => more)"
          :key="tab.name"
          :title="tab.label"
          :to="{ name: tab.name, params: { planter: planterId } }"
        />
        <v-list-item
          v-if="session.may('record')"
          title="Sheet of figures"
          :to="{ name: 'sheet', params: { planter: planterId } }"
        />
        <template v-if="session.may('set')">
          <v-list-item title="Edit the planter" :to="{ name: 'edit-planter', params: { planter: planterId } }" />
          <v-list-item title="Import" :to="{ name: 'import', params: { planter: planterId } }" />
        </template>
        <v-list-item title="All planters" :to="{ name: 'yard' }" />
      </v-list>
    </v-menu>
  </nav>
</template>

<style scoped>
.foot {
  display: none;
}
@media (max-width: 700px) {
  .foot {
    display: flex;
    flex: none;
    background: var(--bar);
    color: var(--on-bar);
  }
  .foot > * {
    flex: 1;
    display: grid;
    justify-items: center;
    align-content: center;
    min-height: 54px;
    color: inherit;
    text-decoration: none;
    font-size: 0.8125rem;
    border-top: 4px solid transparent;
  }
  .foot .here {
    font-weight: 700;
    border-color: #74c5d8;
  }
}
</style>
