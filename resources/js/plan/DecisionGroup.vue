<script setup lang="ts">
import { mdiChevronDown, mdiChevronUp } from '@mdi/js'
import { computed, ref } from 'vue'
import { useRouter } from 'vue-router'
import FractionText from '@/components/FractionText.vue'
import VerdictGlyph from '@/components/VerdictGlyph.vue'
import { useMoney } from '@/composables/useMoney'
import { useUnits } from '@/composables/useUnits'
import { useSession } from '@/session'
import { weekDate } from '@/dates'
import { wordReasons } from '@/measure/bands'
import { placeKey } from '@/api/types'
import { say, sayCheck, sayRow } from '@/words'
import { decidedOn, type Group, isOpen, type Line, sayLook, sayParts, sayRisk, sayRows, sayWhy } from './findings'

/** One line of what there is to decide: what was found, what is proposed, what it costs, and the button that accepts it. */
const { planterId, group, digit, byRow } = defineProps<{
  planterId: number
  group: Group
  digit?: number
  byRow: boolean
}>()
const emit = defineEmits<{ accept: [lines: Line[]]; otherwise: [lines: Line[]]; takeBack: [lines: Line[]] }>()
const router = useRouter()
const session = useSession()
const { units } = useUnits()
const { atLeast } = useMoney()
const unfolded = ref(false)

const first = computed(() => group.lines[0] as Line)
const isOne = computed(() => group.lines.length === 1)
const worst = computed(() => group.lines.find(({ verdict }) => verdict === 'failed') ?? first.value)
const title = computed(() => {
  const rows = sayRows(group.lines.map(({ row }) => row))
  if (byRow && !isOne.value) return rows
  return `${rows}: ${(isOne.value ? sayCheck(first.value) : say(`check.${first.value.check}`)).toLowerCase()}`
})
const why = (line: Line) =>
  line.reasons.length === 0 ? say('found.by_policy') : wordReasons(line.check, line.reasons, line.value, units.value)
const alike = computed(() => new Set(group.lines.map((line) => line.proposal.why + line.proposal.action)).size === 1)

function proposed({ proposal }: Line): string {
  const parts = sayParts(proposal.parts)
  const action = say(`action.${proposal.action}`)
  const look = proposal.action === 'carry_over' ? `, look ${sayLook(proposal, units.value)}` : ''
  return `${action.charAt(0).toUpperCase()}${action.slice(1)}${parts === '' ? '' : ` ${parts}`}: ${sayWhy(proposal, units.value)}${look}`
}
/** Parts that two lines name go in once: the left blade's line has the right one in it. */
const sum = computed(() => {
  const seen = new Set<string>()
  let cost = 0
  let unpriced = 0
  let minutes = 0
  for (const { proposal, row } of group.lines) {
    const key =
      proposal.parts.length === 0
        ? `${row} ${proposal.why} ${minutes}`
        : proposal.parts
            .map(({ slot, side }) => `${row} ${slot} ${side}`)
            .sort()
            .join()
    if (seen.has(key)) continue
    seen.add(key)
    cost += proposal.cost
    unpriced += proposal.unpriced
    minutes += proposal.minutes
  }
  return { cost, unpriced, minutes }
})
const costs = computed(() => {
  const { cost, unpriced, minutes } = sum.value
  const parts = cost > 0 || unpriced > 0 ? [atLeast(sum.value)] : []
  return [...parts, ...(minutes > 0 ? [`${Math.round(minutes)} min`] : [])].join(' · ')
})
const risk = computed(() => {
  const risky = [...group.lines].sort((a, b) => (b.proposal.chance ?? 0) - (a.proposal.chance ?? 0))[0]
  return risky ? sayRisk(risky.proposal) : ''
})
const state = computed(() => {
  const action = decidedOn(first.value)?.action
  if (isDone.value) return 'done'
  return action === undefined || action === first.value.proposal.action ? 'accepted' : say(`action.${action}`)
})
const overtaken = computed(() => group.lines.some((line) => line.overtaken))
/** What was tried and could not be done, each row once. */
const tried = computed(() =>
  group.lines.flatMap(({ row, could_not: tried }) =>
    tried === null
      ? []
      : [
          `${sayRow(row)} could not be done: ${[tried.reason && say(`could_not.${tried.reason}`), tried.words]
            .filter(Boolean)
            .join(', ')} (${tried.by}).`,
        ],
  ),
)
/** Done, and not read again since. */
const isDone = computed(() => !group.isOpen && group.lines.every(({ done }) => done !== null))
</script>

<template>
  <li :class="{ done: !group.isOpen }">
    <div class="line">
      <button
        type="button"
        class="what"
        :aria-expanded="unfolded"
        :aria-label="`${title}, ${unfolded ? 'fold' : 'unfold'}`"
        @click="unfolded = !unfolded"
      >
        <verdict-glyph :verdict="worst.verdict" :size="20" />
        <span class="told">
          <span
            ><strong><fraction-text :text="title" /></strong
            ><span v-if="isOne" class="found"><fraction-text :text="` ${why(first)}`" /></span
          ></span>
          <span v-if="alike" class="proposed"><fraction-text :text="proposed(first)" /></span>
          <span v-else class="proposed quiet">{{ group.lines.length }} findings, each with its own proposal</span>
          <span v-if="overtaken" class="due">Read again since: decide again.</span>
          <span v-for="one in tried" :key="one" class="due">{{ one }}</span>
          <span v-if="isDone" class="due">Done. Measure it again on the walk.</span>
        </span>
        <v-icon :icon="unfolded ? mdiChevronUp : mdiChevronDown" size="20" />
      </button>
      <span class="costs">
        <span>{{ costs }}</span>
        <span class="quiet">{{ risk }}</span>
      </span>
      <v-btn
        v-if="group.isOpen"
        class="accept"
        variant="outlined"
        color="primary"
        :disabled="!session.may('set')"
        :aria-label="`Accept: ${title}`"
        @click="emit('accept', group.lines)"
      >
        accept <kbd v-if="digit">{{ digit }}</kbd>
      </v-btn>
      <v-btn
        v-else
        class="accept"
        color="primary"
        :aria-label="`${state}: ${title}, unfold`"
        @click="unfolded = !unfolded"
        >{{ state }}</v-btn
      >
    </div>
    <div v-if="unfolded" class="inner">
      <p v-if="first.proposal.qualified" class="due">
        Beyond basic service this is for qualified people: relieve the pressure first, never feel for a leak by hand.
        The operator’s manual comes first.
      </p>
      <ul v-if="!isOne">
        <li v-for="line in group.lines" :key="placeKey(line)" class="single">
          <verdict-glyph :verdict="line.verdict" :size="16" />
          <span>
            <strong>{{ byRow ? sayCheck(line) : `${sayRows([line.row])} ${say(`side.${line.side}`)}` }}</strong>
            <fraction-text :text="` ${why(line)}`" />
            <span v-if="!alike" class="quiet"><fraction-text :text="proposed(line)" /></span>
          </span>
          <span class="quiet">{{ sayRisk(line.proposal) }}</span>
          <template v-if="session.may('set')">
            <v-btn v-if="isOpen(line)" size="small" variant="text" @click="emit('accept', [line])">Accept</v-btn>
            <v-btn v-else size="small" variant="text" @click="emit('takeBack', [line])">Undo</v-btn>
            <v-btn size="small" variant="text" @click="emit('otherwise', [line])">Override</v-btn>
          </template>
        </li>
      </ul>
      <p v-for="line in group.lines.filter(({ before }) => before)" :key="`before ${placeKey(line)}`" class="quiet">
        {{ line.before?.season }}, carried over by {{ line.before?.by
        }}{{ line.before?.reason ? `: ${say(`override.${line.before.reason}`)}` : ''
        }}{{ line.before?.words ? `: “${line.before.words}”` : '' }}
      </p>
      <p
        v-for="line in group.lines.filter((of) => of.decision && !isOpen(of)).slice(0, 1)"
        :key="`by ${placeKey(line)}`"
        class="quiet"
      >
        {{ say(`action.${line.decision?.action}`) }}, by {{ line.decision?.by }} on
        {{ weekDate(line.decision?.happened_at.slice(0, 10) ?? '')
        }}{{ line.decision?.reason ? `: ${say(`override.${line.decision.reason}`)}` : ''
        }}{{ line.decision?.words ? `: “${line.decision.words}”` : ''
        }}{{ line.decision?.look_when ? `; look ${sayLook(line.decision, units)}` : '' }}
      </p>
      <div class="buttons">
        <v-btn v-if="session.may('set')" variant="outlined" @click="emit('otherwise', group.lines)">{{
          isOne ? 'Override' : 'Override all'
        }}</v-btn>
        <v-btn v-if="session.may('set') && !group.isOpen" variant="outlined" @click="emit('takeBack', group.lines)"
          >Undo</v-btn
        >
        <v-btn
          v-if="first.row > 0"
          variant="text"
          @click="router.push({ name: 'row', params: { planter: planterId, row: first.row } })"
          >{{ sayRows([first.row]) }}</v-btn
        >
      </div>
    </div>
  </li>
</template>

<style scoped>
li {
  border-top: 1px solid var(--line);
}
.line {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 168px 116px;
  align-items: center;
  gap: 4px 10px;
  padding: 3px 14px 3px 0;
}
.what {
  display: grid;
  grid-template-columns: 24px minmax(0, 1fr) 20px;
  gap: 10px;
  align-items: center;
  min-height: var(--touch);
  padding-left: 14px;
  text-align: left;
}
.told {
  display: grid;
}
.found {
  color: var(--ink-2);
}
.costs {
  display: grid;
  font-size: 0.9375rem;
}
.accept kbd {
  font: inherit;
  margin-left: 6px;
}
.inner {
  display: grid;
  gap: 6px;
  padding: 0 14px 12px 48px;
}
.inner p {
  margin: 0;
}
.inner ul {
  list-style: none;
  padding: 0;
}
.single {
  display: grid;
  grid-template-columns: 18px minmax(0, 1fr) auto auto auto;
  align-items: center;
  gap: 8px;
}
.buttons {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
.due {
  color: var(--ochre);
}
@media (max-width: 700px) {
  .line {
    grid-template-columns: minmax(0, 1fr) auto;
    padding-right: 8px;
  }
  .what {
    grid-column: 1 / -1;
    padding-left: 8px;
  }
  .costs {
    padding-left: 42px;
  }
  .inner {
    padding-left: 14px;
  }
  .single {
    grid-template-columns: 18px minmax(0, 1fr) auto;
  }
  .single > .quiet {
    grid-column: 2 / -1;
  }
}
</style>
