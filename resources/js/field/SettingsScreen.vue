<script setup lang="ts">
import { watchDebounced } from '@vueuse/core'
import { v7 as uuid } from 'uuid'
import { computed, ref } from 'vue'
import { useFace } from '@/api/queries'
import type { SettingEntry, SettingMade } from '@/api/types'
import PlanterPage from '@/components/PlanterPage.vue'
import RefusalList from '@/components/RefusalList.vue'
import WaitingList from '@/components/WaitingList.vue'
import { useOnce } from '@/composables/useOnce'
import { useSend } from '@/composables/useSend'
import { dateAndTime } from '@/dates'
import { useOutbox } from '@/offline/outbox'
import { say } from '@/words'
import ScreenFaces from '@/components/ScreenFaces.vue'
import GroundFields from './GroundFields.vue'
import { useSettings } from './queries'
import SendSettings from './SendSettings.vue'
import SettingForm from './SettingForm.vue'
import SettingLine from './SettingLine.vue'
import { sayGround } from './ground'
import { valueOf } from './settingEntry'
import { useGround } from './useGround'

/** What is fitted and set on the planter now, what comes back with the ground, and what was set before. */
const { planterId } = defineProps<{ planterId: number }>()
const { data: face } = useFace(() => planterId)
const ground = useGround(planterId)
/** As it stands when typing has paused. */
const asked = ref({ ...ground.value })
watchDebounced(ground, (now) => (asked.value = { ...now }), { debounce: 300, deep: true })
const settings = useSettings(() => planterId, asked)
const outbox = useOutbox()
const once = useOnce()
const { send, refusal, busy } = useSend()
const done = ref('')

async function keep(entries: SettingEntry[], said: string): Promise<boolean> {
  done.value = ''
  const id = entries[0]?.id
  if (id === undefined) return false
  const body = { settings: entries }
  const taken = await send(() => outbox.deliver({ what: 'setting', id, planter: planterId, body }))
  if (taken) done.value = said
  return taken
}
const asEntry = (of: SettingMade): SettingEntry => ({
  ...valueOf(of),
  id: uuid(),
  ...ground.value,
  happened_at: new Date().toISOString(),
})
/** What comes back and is set otherwise now. */
const toSet = computed(() => {
  const now = new Map((settings.data.value?.now ?? []).map((of) => [`${of.key} ${of.row}`, of.said]))
  return (settings.data.value?.recalled ?? []).filter((of) => now.get(`${of.key} ${of.row}`) !== of.said)
})
async function recall(): Promise<void> {
  const entries = once.of(
    toSet.value.map(({ id }) => id),
    () => toSet.value.map(asEntry),
  )
  if (await keep(entries, 'Settings copied.')) once.taken()
}
async function takeBack(of: SettingMade): Promise<void> {
  const { id, key, row, value, figure } = of
  const entry = { id: uuid(), key, row, value, figure, supersedes: id, withdrawn: true }
  await keep([{ ...entry, happened_at: new Date().toISOString() }], 'Undone. The earlier setting applies again.')
}
</script>

<template>
  <planter-page :planter-id="planterId" :of="face" :error="settings.error.value" @again="settings.refetch()">
    <screen-faces of="Field" :planter-id="planterId" />
    <div v-if="settings.data.value && face" class="settings">
      <waiting-list :planter-id="planterId" what="setting" class="wide" />
      <section class="sheet" aria-label="Set now">
        <h1>Set now</h1>
        <p v-if="settings.data.value.now.length === 0" class="quiet">
          Record what is fitted and set: sprockets, disc, depth, downforce, closing wheels. It comes back when the
          planter is on the same ground again.
        </p>
        <ul>
          <li v-for="of in settings.data.value.now" :key="of.id">
            <span>{{ say(`setting.${of.key}`) }}{{ of.row > 0 ? `, row ${of.row}` : '' }}</span>
            <strong>{{ of.said }}</strong>
            <span class="quiet">{{ [sayGround(of), of.note].filter(Boolean).join(' · ') }}</span>
          </li>
        </ul>
        <p v-if="settings.data.value.now.length > 0" class="links">
          <a :href="`/api/planters/${planterId}/settings/sheet.pdf`" target="_blank" rel="noopener"
            >Sheet for the cab (PDF)</a
          >
          <a :href="`/api/planters/${planterId}/settings/sheet.csv`" download>Export CSV</a>
        </p>
        <send-settings v-if="settings.data.value.now.length > 0" :planter-id="planterId" />
      </section>
      <div class="side">
        <section class="sheet" aria-label="Add a setting">
          <h2>Where you are</h2>
          <ground-fields v-model="ground" :grounds="settings.data.value.grounds" />
          <h2>Record a setting</h2>
          <setting-line :ground="ground" :busy="busy" :keep="keep" />
          <setting-form
            :keys="settings.data.value.keys"
            :row-count="face.planter.row_count"
            :ground="ground"
            :busy="busy"
            :keep="keep"
          />
          <p v-if="done" role="status">{{ done }}</p>
          <refusal-list :refusal="refusal" />
        </section>
        <section v-if="settings.data.value.recalled" class="sheet" aria-label="On ground like this">
          <h2>Last settings on ground like this</h2>
          <ul>
            <li v-for="of in settings.data.value.recalled" :key="of.id">
              <span>{{ say(`setting.${of.key}`) }}{{ of.row > 0 ? `, row ${of.row}` : '' }}</span>
              <strong>{{ of.said }}</strong>
              <span class="quiet">{{
                [sayGround(of), dateAndTime(of.happened_at), of.note].filter(Boolean).join(' · ')
              }}</span>
            </li>
          </ul>
          <p v-for="said in settings.data.value.went" :key="said">{{ said }}</p>
          <v-btn v-if="toSet.length > 0" variant="outlined" size="large" :loading="busy" @click="recall"
            >Use these again</v-btn
          >
          <p v-else class="quiet">Already set.</p>
        </section>
        <p v-else-if="sayGround(ground)" class="quiet">No history for ground like this yet.</p>
      </div>
      <section v-if="settings.data.value.log.length > 0" class="sheet wide" aria-label="Setting history">
        <details>
          <summary>All settings, newest first</summary>
          <ul>
            <li v-for="of in settings.data.value.log" :key="of.id" class="logged">
              <span>{{ say(`setting.${of.key}`) }}{{ of.row > 0 ? `, row ${of.row}` : '' }}</span>
              <strong>{{ of.said }}</strong>
              <span class="quiet"
                >{{ [sayGround(of), of.note, of.by, dateAndTime(of.happened_at)].filter(Boolean).join(' · ') }}
              </span>
              <v-btn variant="text" :aria-label="`Undo: ${say(`setting.${of.key}`)} ${of.said}`" @click="takeBack(of)"
                >Undo</v-btn
              >
            </li>
          </ul>
        </details>
      </section>
    </div>
  </planter-page>
</template>

<style scoped>
.settings {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  align-items: start;
  gap: 14px;
  max-width: 1240px;
  margin: 0 auto;
}
.wide {
  grid-column: 1 / -1;
}
.side {
  display: grid;
  gap: 14px;
}
h2 {
  margin: 6px 0;
}
ul {
  margin: 8px 0;
  padding: 0;
  list-style: none;
}
li {
  display: grid;
  grid-template-columns: 170px minmax(90px, 1fr) minmax(0, 1.2fr);
  align-items: center;
  gap: 10px;
  min-height: 40px;
  border-top: 1px solid var(--line);
}
.logged {
  grid-template-columns: 170px minmax(90px, 0.6fr) minmax(0, 2fr) auto;
}
.links {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 24px;
}
summary {
  display: flex;
  align-items: center;
  min-height: var(--touch);
  font-weight: 700;
  cursor: pointer;
}
@media (max-width: 900px) {
  .settings {
    grid-template-columns: minmax(0, 1fr);
  }
  .side {
    order: -1;
  }
  li,
  .logged {
    grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
    padding: 4px 0;
  }
  li .quiet {
    grid-column: 1 / -1;
  }
}
</style>
