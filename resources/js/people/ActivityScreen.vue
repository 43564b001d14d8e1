<script setup lang="ts">
import { ref } from 'vue'
import { api, body } from '@/api/client'
import type { Activity } from '@/api/types'
import AppBar from '@/components/AppBar.vue'
import LoadProblem from '@/components/LoadProblem.vue'
import { dateAndTime } from '@/dates'
import { say } from '@/words'
import { sayField } from './sayField'

/** Who changed figures, prices and people, signed in, and took files out: all that is no event of the record. */
const lines = ref<Activity[]>([])
const isAll = ref(false)
const error = ref<unknown>(null)

async function more(): Promise<void> {
  error.value = null
  try {
    const query = lines.value.length > 0 ? { before: lines.value[lines.value.length - 1]?.id } : {}
    const page = await body(api.GET('/api/activity', { params: { query } }))
    lines.value = [...lines.value, ...page]
    isAll.value = page.length < 50
  } catch (why) {
    error.value = why
  }
}
void more()

const sentence = ({ what, kind, name }: Activity) =>
  say(`did.${what}`, { kind: say(`did_to.${kind}`), name: name ?? '' }).replace(/\s+/g, ' ')
</script>

<template>
  <app-bar />
  <main class="page">
    <h1>Activity</h1>
    <p class="quiet">
      Changes to figures, prices, planters and people; sign-ins; exports. Measurements and part changes are in each
      row’s history.
    </p>
    <load-problem :error="error" @again="more" />
    <ol class="sheet">
      <li v-for="line in lines" :key="line.id">
        <div class="head">
          <span
            ><strong>{{ line.who ?? 'By link or console:' }}</strong> {{ sentence(line) }}</span
          >
          <time class="quiet" :datetime="line.at">{{ dateAndTime(line.at) }}</time>
        </div>
        <details v-if="line.changes.length > 0">
          <summary>
            {{ line.changes.length === 1 ? 'Show the change' : `Show the ${line.changes.length} changes` }}
          </summary>
          <dl>
            <template v-for="change in line.changes" :key="change.field">
              <dt>{{ sayField(change.field) }}</dt>
              <dd>
                <template v-if="change.before !== null">{{ change.before }} → </template>{{ change.after ?? 'nothing' }}
              </dd>
            </template>
          </dl>
        </details>
      </li>
    </ol>
    <v-btn v-if="!isAll && lines.length > 0" variant="outlined" size="large" @click="more">Show older</v-btn>
  </main>
</template>

<style scoped>
ol {
  list-style: none;
}
li + li {
  border-top: 1px solid var(--line);
}
li {
  padding: 8px 0;
}
.head {
  display: flex;
  flex-wrap: wrap;
  justify-content: space-between;
  gap: 2px 16px;
}
summary {
  min-height: var(--touch);
  display: flex;
  align-items: center;
  cursor: pointer;
  color: var(--ink-2);
}
dl {
  display: grid;
  grid-template-columns: minmax(0, 2fr) minmax(0, 3fr);
  gap: 4px 16px;
  overflow-wrap: anywhere;
}
dt {
  color: var(--ink-2);
}
@media (max-width: 700px) {
  dl {
    grid-template-columns: 1fr;
  }
}
</style>
