<script setup lang="ts">
import {
  mdiAccountCircleOutline,
  mdiChevronDown,
  mdiHelpCircleOutline,
  mdiMagnify,
  mdiWeatherNight,
  mdiWhiteBalanceSunny,
} from '@mdi/js'
import { useEventListener, useTimeoutFn } from '@vueuse/core'
import { computed, defineAsyncComponent, ref } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { useYard } from '@/api/queries'
import { screensFor } from './tabs'
import DropMenu from './DropMenu.vue'
import MenuLine from './MenuLine.vue'
import OutboxProblems from './OutboxProblems.vue'
import PhoneTabs from './PhoneTabs.vue'
import { useUnits } from '@/composables/useUnits'
import { useOutbox } from '@/offline/outbox'
import { getFindAhead } from '@/find/queries'
import { helpOf } from '@/help/chapters'
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
const FindDialog = defineAsyncComponent(() => import('@/find/FindDialog.vue'))
const isFinding = ref(false)

useEventListener(document, 'keydown', (event) => {
  if (event.key.toLowerCase() !== 'k' || !(event.ctrlKey || event.metaKey) || event.altKey) return
  event.preventDefault()
  isFinding.value = true
})
/** The screen goes first: its own answers come before the names that there are. */
const AHEAD_MS = 6_000
useTimeoutFn(getFindAhead, AHEAD_MS)

const help = computed(() => {
  const { chapter, section } = helpOf(String(route.name))
  return { name: 'help', params: { chapter }, hash: section ? `#${section}` : '' }
})

const tabs = computed(() => screensFor(session, planterId))
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
    <router-link class="home" to="/" aria-label="Ustrel, all planters">ustrel</router-link>
    <drop-menu v-if="planter">
      <template #button="opens">
        <button type="button" class="planter" v-bind="opens">
          <span class="name">{{ planter.name }}</span>
          <span class="size">{{ planter.row_count }} × {{ length(planter.spacing_mm) }}</span>
          <v-icon :icon="mdiChevronDown" size="20" />
        </button>
      </template>
      <menu-line
        v-for="other in yard.data.value"
        :key="other.id"
        :title="other.name"
        :subtitle="`${other.row_count} rows, ${length(other.spacing_mm)}`"
        :active="other.id === planterId"
        @click="router.push({ name: String(route.name), params: { planter: other.id } })"
      />
    </drop-menu>
    <nav v-if="tabs.length > 0" class="tabs" :aria-label="planterId ? 'Planter' : 'Shop'">
      <router-link
        v-for="tab in tabs"
        :key="tab.name"
        :to="{ name: tab.name, params: planterId ? { planter: planterId } : {} }"
        :class="{ here: tab.holds.includes(String(route.name)) }"
      >
        {{ tab.label }}
      </router-link>
    </nav>
    <div class="person">
      <span :class="['saved', { waiting: saved !== 'saved' }]" role="status">{{ saved }}</span>
      <button type="button" class="toggle" aria-label="Find" aria-keyshortcuts="Control+K" @click="isFinding = true">
        <v-icon :icon="mdiMagnify" size="24" />
      </button>
      <router-link v-if="route.name !== 'help'" class="toggle wide" :to="help" aria-label="Help for this screen">
        <v-icon :icon="mdiHelpCircleOutline" size="22" />
      </router-link>
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
        class="toggle wide"
        :aria-label="session.theme === 'light' ? 'Switch to the dark theme' : 'Switch to the light theme'"
        @click="session.change({ theme: session.theme === 'light' ? 'dark' : 'light' })"
      >
        <v-icon :icon="session.theme === 'light' ? mdiWeatherNight : mdiWhiteBalanceSunny" size="22" />
      </button>
      <drop-menu>
        <template #button="opens">
          <button type="button" class="toggle" aria-label="Your account" v-bind="opens">
            <v-icon :icon="mdiAccountCircleOutline" size="24" />
          </button>
        </template>
        <p class="told">
          <strong>{{ session.me?.name }}</strong>
          <span class="quiet">{{ say(`role.${session.me?.role}`) }}, {{ session.me?.workshop }}</span>
        </p>
        <p v-if="outbox.ofOthers > 0" class="told">
          {{ outbox.ofOthers }} recorded by someone else
          <span class="quiet">They stay on this device until that person signs in.</span>
        </p>
        <menu-line v-if="session.may('record')" title="Password and devices" :to="{ name: 'account' }" />
        <menu-line title="Settings" @click="isSetting = true" />
        <menu-line
          class="narrow"
          :title="session.theme === 'light' ? 'Dark theme' : 'Light theme'"
          @click="session.change({ theme: session.theme === 'light' ? 'dark' : 'light' })"
        />
        <menu-line title="Help" :to="help" />
        <menu-line title="Sign out" @click="signOut" />
      </drop-menu>
    </div>
  </header>
  <settings-dialog v-if="isSetting" @close="isSetting = false" />
  <find-dialog v-if="isFinding" :planter-id="planterId" @close="isFinding = false" />
  <outbox-problems />
  <phone-tabs v-if="planterId === undefined && tabs.length > 0" />
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
.bar :is(.home, .planter, .toggle, .tabs a) {
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
.bar :is(.home, .planter, .toggle, .tabs a):focus-visible {
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
.told {
  display: grid;
  padding: 6px 12px;
  border-bottom: 1px solid var(--line);
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
@media (min-width: 1001px) {
  .narrow {
    display: none;
  }
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
  /* In the account's menu instead. */
  .bar .person .wide {
    display: none;
  }
}
/* Its name goes before the program's. */
@media (max-width: 900px) {
  .bar {
    gap: 2px;
    padding: 0 8px;
  }
  .bar .home:has(+ .planter) {
    display: none;
  }
  .tabs a {
    padding: 0 5px;
    font-size: 0.9375rem;
  }
  .saved:not(.waiting) {
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
  .saved,
  .saved:not(.waiting) {
    display: block;
    padding: 0 2px;
    font-size: 0.8125rem;
  }
}
</style>
