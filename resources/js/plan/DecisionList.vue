<script setup lang="ts">
import { useEventListener } from '@vueuse/core'
import { computed, ref } from 'vue'
import type { Decide } from '@/api/types'
import { useMoney } from '@/composables/useMoney'
import { useSession } from '@/session'
import DecisionGroup from './DecisionGroup.vue'
import { grouped, isOpen, type Line } from './findings'
import OverrideDialog from './OverrideDialog.vue'
import type { useDecisions } from './useDecisions'

/** What there is to decide, those alike in one line: Enter accepts the first that is open, a digit the line beside it. */
const { planterId, decide, decisions } = defineProps<{
  planterId: number
  decide: Decide
  decisions: ReturnType<typeof useDecisions>
}>()
const { atLeast } = useMoney()
const session = useSession()
const byRow = ref(false)
const otherwise = ref<Line[]>()
const groups = computed(() => grouped(decisions.lines.value, byRow.value))
const open = computed(() => decisions.lines.value.filter(isOpen))
/** What the list of planters counts; the rest is due by the policy, or still runs. */
const pastLimit = computed(
  () => open.value.filter(({ verdict }) => verdict === 'change' || verdict === 'failed').length,
)
const decided = computed(() => decisions.lines.value.length - open.value.length)
/** Only the first nine that are open have a digit. */
const digits = computed(
  () =>
    new Map(
      groups.value
        .filter((group) => group.isOpen)
        .slice(0, 9)
        .map((group, at) => [group.key, at + 1]),
    ),
)
const hours = (minutes: number) => (minutes < 90 ? `${Math.round(minutes)} min` : `${(minutes / 60).toFixed(1)} h`)

useEventListener('keydown', (event: KeyboardEvent) => {
  if (
    !session.may('set') ||
    otherwise.value ||
    event.ctrlKey ||
    event.metaKey ||
    event.altKey ||
    event.target instanceof HTMLInputElement
  )
    return
  const wanted =
    event.key === 'Enter' && !(event.target instanceof HTMLElement && event.target.closest('button, a'))
      ? 1
      : Number(event.key)
  const group = groups.value.find(({ key }) => digits.value.get(key) === wanted)
  if (group === undefined) return
  event.preventDefault()
  void decisions.accept(group.lines)
})
</script>

<template>
  <section class="sheet list" aria-label="To decide">
    <header>
      <h1>To decide</h1>
      <div class="buttons">
        <v-btn variant="outlined" :aria-pressed="byRow" @click="byRow = !byRow">{{
          byRow ? 'By kind' : 'By row'
        }}</v-btn>
        <v-btn v-if="decide.walk" variant="outlined" :href="`/api/walks/${decide.walk}/sheet.pdf`" target="_blank"
          >Print the findings</v-btn
        >
        <v-btn v-if="session.may('set')" color="primary" :disabled="open.length === 0" @click="decisions.accept(open)"
          >Accept all proposals</v-btn
        >
      </div>
      <p class="quiet">
        <template v-if="open.length > 0"
          >{{ open.length }} left<template v-if="pastLimit < open.length"
            >, {{ pastLimit }} of them past the limit</template
          ><template v-if="decided > 0">, {{ decided }} decided</template>. {{ atLeast(decide.open) }} in parts,
          {{ hours(decide.open.minutes) }}, shared access counted once.</template
        >
        <template v-else-if="decided > 0"
          >All {{ decided }} decided: {{ atLeast(decide.decided) }} in parts, {{ hours(decide.decided.minutes) }} of
          work. <router-link :to="{ name: 'store' }">Go to parts</router-link></template
        >
      </p>
    </header>
    <p v-if="!decide.walk" class="pad">
      No walk for {{ decide.season }} yet. Start one; its findings come here.
      <router-link :to="{ name: 'walk', params: { planter: planterId } }">Go to the walk</router-link>
    </p>
    <p v-else-if="groups.length === 0" class="pad">
      Nothing to decide. All findings are sound and the policy asks for nothing.
    </p>
    <ul>
      <decision-group
        v-for="group in groups"
        :key="group.key"
        :planter-id="planterId"
        :group="group"
        :digit="digits.get(group.key)"
        :by-row="byRow"
        @accept="decisions.accept($event)"
        @otherwise="otherwise = $event"
        @take-back="decisions.takeBack($event)"
      />
    </ul>
    <override-dialog
      v-if="otherwise"
      :lines="otherwise"
      @choose="
        (choice) => {
          void decisions.choose(otherwise ?? [], choice)
          otherwise = undefined
        }
      "
      @close="otherwise = undefined"
    />
  </section>
</template>

<style scoped>
.list {
  padding: 0;
  overflow: hidden;
}
header {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  justify-content: space-between;
  gap: 8px 14px;
  padding: 8px 14px;
}
header p {
  flex-basis: 100%;
  margin: 0;
}
.buttons {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
.pad {
  padding: 4px 14px 14px;
}
ul {
  list-style: none;
  margin: 0;
  padding: 0;
}
</style>
