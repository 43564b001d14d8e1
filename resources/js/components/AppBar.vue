<script setup lang="ts">
import { mdiAccountCircleOutline, mdiChevronDown, mdiWeatherNight, mdiWhiteBalanceSunny } from '@mdi/js'
import { computed, defineAsyncComponent, ref } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { useYard } from '@/api/queries'
import { tabsFor } from './tabs'
import OutboxProblems from './OutboxProblems.vue'
import { useUnits } from '@/composables/useUnits'
import { useOutbox } from '@/offline/outbox'
import { useSession } from '@/session'
import { say } from '@/words'

/** The top of every screen: home, which planter, its tabs, and what concerns the person. */
const { planterId } = defineProps<{ planterId?: number }>()
const route = useRoute()
const router = useRouter()
const session = useSession()
const outbox = useOutbox()
const { length } = useUnits()
const yard = useYard()

const SettingsDialog = defineAsyncComponent(() => import('@/yard/SettingsDialog.vue'))
const isSetting = ref(false)

const planter = computed(() => yard.data.value?.find((candidate) => candidate.id === planterId))
const saved = computed(() => {
  if (outbox.problems.length > 0) return `${outbox.problems.length} to decide`
  return outbox.waiting.length > 0 ? `${outbox.waiting.length} waiting` : 'saved'
})

async function signOut(): Promise<void> {
  await session.signOut()
  window.location.assign('/sign-in')
}
</script>

<template>
  <header class="bar">
    <router-link class="home" to="/" aria-label="Ustrel, to the yard">ustrel</router-link>
    <v-menu v-if="planter">
      <template #activator="{ props: opener }">
        <button type="button" class="planter" v-bind="opener">
          <span class="name">{{ planter.name }}</span>
          <span class="size">{{ planter.row_count }} × {{ length(planter.spacing_mm) }}</span>
          <v-icon :icon="mdiChevronDown" size="20" />
        </button>
      </template>
      <v-list>
        <v-list-item
          v-for="other in yard.data.value"
          :key="other.id"
          :title="other.name"
          :subtitle="`${other.row_count} rows, ${length(other.spacing_mm)}`"
          :active="other.id === planterId"
          @click="router.push({ name: String(route.name), params: { planter: other.id } })"
        />
      </v-list>
    </v-menu>
    <nav v-if="planterId" class="tabs" aria-label="Planter">
      <router-link
        v-for="tab in tabsFor(session)"
        :key="tab.name"
        :to="{ name: tab.name, params: { planter: planterId } }"
        :class="{ here: tab.holds.includes(String(route.name)) }"
      >
        {{ tab.label }}
      </router-link>
    </nav>
    <div class="person">
      <span :class="['saved', { waiting: saved !== 'saved' }]" role="status">{{ saved }}</span>
      <button
        type="button"
        class="toggle"
        :aria-label="`Units: ${session.units}. Switch to ${session.units === 'in' ? 'mm' : 'in'}`"
        @click="session.change({ units: session.units === 'in' ? 'mm' : 'in' })"
      >
        {{ session.units }}
      </button>
      <button
        type="button"
        class="toggle"
        :aria-label="session.theme === 'light' ? 'Switch to the dark theme' : 'Switch to the light theme'"
        @click="session.change({ theme: session.theme === 'light' ? 'dark' : 'light' })"
      >
        <v-icon :icon="session.theme === 'light' ? mdiWeatherNight : mdiWhiteBalanceSunny" size="22" />
      </button>
      <v-menu>
        <template #activator="{ props: opener }">
          <button type="button" class="toggle" aria-label="You and your workshop" v-bind="opener">
            <v-icon :icon="mdiAccountCircleOutline" size="24" />
          </button>
        </template>
        <v-list>
          <v-list-item
            :title="session.me?.name"
            :subtitle="`${say(`role.${session.me?.role}`)}, ${session.me?.workshop}`"
          />
          <v-divider />
          <v-list-item
            v-if="outbox.ofOthers > 0"
            :title="`${outbox.ofOthers} recorded by somebody else`"
            subtitle="They wait on this device until that person signs in."
          />
          <template v-if="session.may('record')">
            <v-list-item title="Parts on hand and orders" :to="{ name: 'store' }" />
            <v-list-item title="Seed and discs" :to="{ name: 'seed' }" />
            <v-list-item title="Meters" :to="{ name: 'meters' }" />
            <v-list-item title="Part types" :to="{ name: 'part-types' }" />
            <v-list-item title="Spec sheets" :to="{ name: 'spec-sheets' }" />
            <v-list-item title="The shop’s figures" :to="{ name: 'shop' }" />
            <v-list-item v-if="session.may('run')" title="People" :to="{ name: 'people' }" />
            <v-list-item title="Your password and devices" :to="{ name: 'account' }" />
          </template>
          <v-list-item title="Settings" @click="isSetting = true" />
          <v-list-item title="Sign out" @click="signOut" />
        </v-list>
      </v-menu>
    </div>
  </header>
  <settings-dialog v-if="isSetting" @close="isSetting = false" />
  <outbox-problems />
</template>

<style scoped>
.bar {
  position: sticky;
  top: 0;
  z-index: 10;
  display: flex;
  align-items: center;
  gap: 8px;
  min-height: 56px;
  padding: 0 24px;
  background: var(--bar);
  color: var(--on-bar);
}
.bar :is(a, button) {
  color: inherit;
  text-decoration: none;
  min-height: var(--touch);
  min-width: var(--touch);
  display: inline-flex;
  align-items: center;
  justify-content: center;
  border-radius: 8px;
  padding: 0 12px;
}
.bar :is(a, button):focus-visible {
  outline-color: var(--on-bar);
  outline-offset: -3px;
}
.bar .home {
  font-size: 1.25rem;
  font-weight: 800;
  padding: 0 12px 0 0;
}
.planter {
  gap: 8px;
  background: rgb(255 255 255 / 12%);
  margin-right: 8px;
  white-space: nowrap;
  overflow: hidden;
}
.planter .name {
  font-weight: 600;
  overflow: hidden;
  text-overflow: ellipsis;
}
.planter .size {
  opacity: 0.85;
}
.tabs {
  display: flex;
  flex: none;
  white-space: nowrap;
}
.tabs a {
  position: relative;
  padding: 0 16px;
}
.tabs a.here {
  font-weight: 700;
}
.tabs a.here::after {
  content: '';
  position: absolute;
  inset: auto 10px 0;
  height: 4px;
  border-radius: 2px;
  background: #74c5d8;
}
.person {
  margin-left: auto;
  display: flex;
  align-items: center;
}
.saved {
  padding: 0 8px;
  font-size: 0.9375rem;
  white-space: nowrap;
}
.saved.waiting {
  background: #e2b26a;
  color: #23282b;
  border-radius: 8px;
  padding: 4px 10px;
}
.bar .toggle {
  padding: 0;
}
@media (max-width: 1250px) {
  .planter .size {
    display: none;
  }
}
@media (max-width: 1000px) {
  .tabs a {
    padding: 0 7px;
  }
}
/* Its name goes before the program's. */
@media (max-width: 900px) {
  .bar {
    padding: 0 10px;
  }
  .bar .home:has(+ .planter) {
    display: none;
  }
}
/* The tabs are at the foot; see PhoneTabs. */
@media (max-width: 700px) {
  .bar {
    padding: 0 4px;
    gap: 4px;
  }
  .bar .home {
    padding: 0 4px 0 8px;
    min-width: 0;
  }
  .bar .planter {
    padding: 0 8px;
    margin: 0;
    flex: 0 1 auto;
    min-width: 0;
  }
  .tabs {
    display: none;
  }
  .saved {
    padding: 0 2px;
    font-size: 0.8125rem;
  }
}
</style>
