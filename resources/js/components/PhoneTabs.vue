<script setup lang="ts">
import { mdiDotsHorizontal } from '@mdi/js'
import { computed } from 'vue'
import { useSession } from '@/session'
import DropMenu from './DropMenu.vue'
import MenuLine from './MenuLine.vue'
import { screensFor } from './tabs'

/** The tabs at the foot of a phone, where the thumb is: the planter's, or the shop's rooms. What is seldom needed is under More. */
const { planterId } = defineProps<{ planterId?: number }>()
const session = useSession()
const screens = computed(() => screensFor(session, planterId))
const isUnderMore = (name: unknown) => screens.value.some(({ more, holds }) => more && holds.includes(String(name)))
const params = computed(() => (planterId === undefined ? {} : { planter: planterId }))
</script>

<template>
  <nav
    :class="['foot', { shop: planterId === undefined }]"
    :aria-label="planterId ? 'Planter, at the foot' : 'Shop, at the foot'"
  >
    <router-link
      v-for="tab in screens.filter(({ more }) => !more)"
      :key="tab.name"
      :to="{ name: tab.name, params }"
      :class="{ here: tab.holds.includes(String($route.name)) }"
    >
      <v-icon :icon="tab.icon" size="22" />
      {{ tab.label }}
    </router-link>
    <drop-menu>
      <template #button="opens">
        <button type="button" :class="{ here: isUnderMore($route.name) }" v-bind="opens">
          <v-icon :icon="mdiDotsHorizontal" size="22" />More
        </button>
      </template>
      <menu-line
        v-for="tab in screens.filter(({ more }) => more)"
        :key="tab.name"
        :title="tab.label"
        :to="{ name: tab.name, params }"
      />
      <template v-if="planterId !== undefined">
        <menu-line v-if="session.may('record')" title="Sheet of figures" :to="{ name: 'sheet', params }" />
        <template v-if="session.may('set')">
          <menu-line title="Edit planter" :to="{ name: 'edit-planter', params }" />
          <menu-line title="Import" :to="{ name: 'import', params }" />
        </template>
        <menu-line v-if="session.may('record')" title="Today" :to="{ name: 'today' }" />
        <menu-line title="All planters" :to="{ name: 'yard' }" />
      </template>
    </drop-menu>
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
  /* Other screens scroll as a whole. */
  .foot.shop {
    position: fixed;
    inset: auto 0 0;
    z-index: 9;
  }
  .foot > :is(a, button) {
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
