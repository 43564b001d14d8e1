<script setup lang="ts">
import { v7 as uuid } from 'uuid'
import { computed, reactive, ref, watch } from 'vue'
import type { FirstPass, SettingEntry } from '@/api/types'
import NumberField from '@/components/NumberField.vue'
import RefusalList from '@/components/RefusalList.vue'
import { useOnce } from '@/composables/useOnce'
import { useSend } from '@/composables/useSend'
import { useOutbox } from '@/offline/outbox'
import { say } from '@/words'
import { sayTurn } from './dig'
import { useGround } from './useGround'

/** Depth is turned as the digs say, and where each row stands now is kept as a setting: it stands between this pass and the next. */
const { planterId, pass, levers } = defineProps<{
  planterId: number
  pass: FirstPass['passes'][number]
  levers: FirstPass['levers']
}>()
const outbox = useOutbox()
const once = useOnce()
const ground = useGround(planterId)
const { send, refusal, busy } = useSend()
const done = ref('')
/** Rows to turn; where nothing tells yet what a mark is worth, all that were dug: where they stand is what tells it. */
const turns = computed(() =>
  pass.rows.filter(({ turn, depth, scale }) =>
    turn === null ? depth !== null && scale !== 'notches' && scale !== 'inches' : turn !== 0,
  ),
)
const unknown = computed(() =>
  [...new Set(turns.value.filter(({ turn }) => turn === null).map(({ scale }) => say(`depth_one.${scale}`)))].join(
    ' or one ',
  ),
)
const now = reactive<Record<number, number | null>>({})
watch(
  turns,
  (rows) => {
    for (const { row, turn_to, stands } of rows) now[row] = turn_to ?? stands
  },
  { immediate: true },
)

async function save(): Promise<void> {
  done.value = ''
  const typed = turns.value.flatMap(({ row }) => {
    const figure = now[row] ?? null
    return figure === null ? [] : [{ key: 'depth_mark' as const, row, figure, units: 'in' as const, ...ground.value }]
  })
  const settings = once.of(typed, () => {
    const happened_at = new Date().toISOString()
    return typed.map((one): SettingEntry => ({ ...one, id: uuid(), happened_at }))
  })
  const taken = await send(async () => {
    const id = settings[0]?.id
    if (id !== undefined) await outbox.deliver({ what: 'setting', id, planter: planterId, body: { settings } })
  })
  if (!taken || settings.length === 0) return
  once.taken()
  done.value = 'Saved. Plant another 50 ft and dig again.'
}
</script>

<template>
  <form id="adjust" class="sheet" novalidate aria-label="Adjust" @submit.prevent="save">
    <h2>3. Adjust</h2>
    <p v-if="turns.length === 0" class="quiet">No rows dug have a depth adjustment.</p>
    <template v-else>
      <p v-if="levers.length > 0" class="quiet">
        Learned on this planter (± 2 standard deviations): {{ levers.join('; ') }}.
      </p>
      <p v-if="turns.some(({ turn }) => turn === null)" class="quiet">
        Enter on the dig sheet where each row is set. Move a row or two, save, and dig again: rows set differently show
        what one {{ unknown }} is worth.
      </p>
      <ul>
        <li v-for="of in turns" :key="of.row">
          <strong>Row {{ of.row }}</strong>
          <span>
            <template v-if="of.turn === null"
              >{{ of.depth }} deep; what one {{ say(`depth_one.${of.scale}`) }} is worth is not known yet</template
            >
            {{ sayTurn(of) }} <span v-if="of.expected" class="quiet line">{{ of.expected }}</span>
          </span>
          <number-field
            v-model="now[of.row]"
            :label="`Row ${of.row}, ${say(`depth_mark.${of.scale}`).toLowerCase()} now`"
            :high="100"
            :places="of.scale === 'holes' ? 0 : 3"
          />
        </li>
      </ul>
      <refusal-list :refusal="refusal" />
      <p v-if="done" role="status">{{ done }}</p>
      <v-btn type="submit" variant="outlined" size="large" :loading="busy">Save changes</v-btn>
    </template>
    <p class="quiet links">
      Changed downforce, closing or speed? <router-link :to="`/planters/${planterId}/settings`">Set it</router-link>
      before you dig again.
    </p>
  </form>
</template>

<style scoped>
form {
  max-height: none;
}
ul {
  margin: 8px 0;
  padding: 0;
  list-style: none;
}
li {
  display: grid;
  grid-template-columns: 70px minmax(0, 1fr) 190px;
  align-items: center;
  gap: 10px;
  padding: 6px 0;
  border-top: 1px solid var(--line);
}
.line {
  display: block;
}
.links {
  margin-top: 8px;
}
@media (max-width: 700px) {
  li {
    grid-template-columns: 70px minmax(0, 1fr);
  }
  li > :last-child {
    grid-column: 1 / -1;
  }
}
</style>
