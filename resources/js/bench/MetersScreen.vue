<script setup lang="ts">
import { v7 as uuid } from 'uuid'
import { computed, ref } from 'vue'
import { api, body } from '@/api/client'
import { queries, useYard } from '@/api/queries'
import type { Meter } from '@/api/types'
import AppBar from '@/components/AppBar.vue'
import LoadProblem from '@/components/LoadProblem.vue'
import RefusalList from '@/components/RefusalList.vue'
import { useMarked } from '@/composables/useAsked'
import { useOnce } from '@/composables/useOnce'
import { useSend } from '@/composables/useSend'
import { dateAndTime } from '@/dates'
import { useSession } from '@/session'
import MeterDialog from './MeterDialog.vue'
import MeterMoveDialog from './MeterMoveDialog.vue'
import { sayStay } from './meters'
import { metersKey, useMeters } from './queries'
import { percent } from './shares'

/** The shop’s meters by their own numbers: where each is and was, and how it ran. */
const session = useSession()
const meters = useMeters()
const yard = useYard()
const { send, refusal } = useSend()
const once = useOnce()
const planters = computed(() => yard.data.value ?? [])
const names = computed(() => new Map(planters.value.map(({ id, name }) => [id, name])))
const listed = computed(() => meters.data.value?.meters ?? [])
const changing = ref<Meter | 'new'>()
const moving = ref<Meter>()
const marked = useMarked('meter', listed)
const again = () => queries.invalidateQueries({ queryKey: metersKey })

async function saved(): Promise<void> {
  ;[changing.value, moving.value] = [undefined, undefined]
  await again()
}
async function takeBack({ id, stays }: Meter): Promise<void> {
  const [last] = stays
  if (!last) return
  const gone = once.of(last.id, () => ({ id: uuid(), happened_at: new Date().toISOString() }))
  const { to, planter_id, row, place } = last
  const move = { ...gone, meter_id: id, to, planter_id, row, place, supersedes: last.id, withdrawn: true }
  if (!(await send(() => body(api.POST('/api/meters/moves', { body: { moves: [move] } }))))) return
  once.taken()
  await again()
}
</script>

<template>
  <app-bar />
  <main class="page">
    <h1>Meters</h1>
    <load-problem :error="meters.error.value" @again="meters.refetch()" />
    <refusal-list :refusal="refusal" />
    <section class="sheet" aria-label="Meters by number">
      <p v-if="meters.data.value && listed.length === 0">
        Write a number on each meter, add it here, and set its row. Its runs stay with it when it moves or goes out for
        testing.
      </p>
      <ul>
        <li v-for="of in listed" :id="`meter-${of.id}`" :key="of.id" :class="{ marked: marked === `${of.id}` }">
          <details :open="marked === `${of.id}`">
            <summary>
              <strong>{{ of.serial }}</strong>
              <span>{{ of.stays[0] ? sayStay(of.stays[0], names) : 'place not known' }}</span>
              <span class="share">{{ of.runs[0] ? percent(of.runs[0].singulation.share) : 'not run yet' }}</span>
            </summary>
            <p v-if="of.note">{{ of.note }}</p>
            <p v-for="run in of.runs" :key="run.id">
              {{ percent(run.singulation.share) }}
              <span class="quiet"
                >{{ percent(run.singulation.low) }} to {{ percent(run.singulation.high) }} ·
                {{ dateAndTime(run.happened_at) }} · {{ names.get(run.planter_id) }}, row {{ run.row
                }}{{ run.air === null ? '' : ` · ${run.air} in H₂O` }}{{ run.seed && ` · ${run.seed}` }}</span
              >
            </p>
            <p v-for="stay in of.stays" :key="stay.id">
              {{ sayStay(stay, names) }}
              <span class="quiet"
                >since {{ dateAndTime(stay.from) }}{{ stay.until ? `, until ${dateAndTime(stay.until)}` : '' }}</span
              >
            </p>
            <v-btn
              v-if="of.stays.length > 0 && session.may('record')"
              variant="text"
              :aria-label="`Undo the last move of meter ${of.serial}`"
              @click="takeBack(of)"
              >Undo the last move</v-btn
            >
            <v-btn
              v-if="session.may('set')"
              variant="text"
              :aria-label="`Edit meter ${of.serial}`"
              @click="changing = of"
              >Edit</v-btn
            >
          </details>
          <v-btn
            v-if="session.may('record')"
            variant="text"
            :aria-label="`Move meter ${of.serial}`"
            @click="moving = of"
            >Move</v-btn
          >
        </li>
      </ul>
      <v-btn v-if="session.may('set')" variant="outlined" size="large" @click="changing = 'new'">Add a meter</v-btn>
    </section>
    <meter-dialog
      v-if="changing"
      :meter="changing === 'new' ? undefined : changing"
      @saved="saved"
      @close="changing = undefined"
    />
    <meter-move-dialog v-if="moving" :meter="moving" :planters="planters" @saved="saved" @close="moving = undefined" />
  </main>
</template>

<style scoped>
.page {
  display: grid;
  gap: 14px;
  max-width: 900px;
  margin: 0 auto;
  padding: 14px;
}
ul {
  margin: 0 0 10px;
  padding: 0;
  list-style: none;
}
li {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  align-items: start;
  border-top: 1px solid var(--line);
}
li:first-child {
  border-top: 0;
}
summary {
  display: grid;
  grid-template-columns: 120px minmax(0, 1fr) 100px;
  align-items: center;
  gap: 10px;
  min-height: var(--touch);
  cursor: pointer;
}
summary strong {
  color: var(--accent);
}
.share {
  text-align: right;
}
p {
  margin: 4px 0;
}
@media (max-width: 700px) {
  summary {
    grid-template-columns: 72px minmax(0, 1fr) 76px;
  }
}
</style>
