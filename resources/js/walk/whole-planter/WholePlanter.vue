<script setup lang="ts">
import { computed } from 'vue'
import { placeKey } from '@/api/types'
import FractionText from '@/components/FractionText.vue'
import VerdictGlyph from '@/components/VerdictGlyph.vue'
import { usePlanterBoard } from '@/composables/usePlanterBoard'
import { useUnits } from '@/composables/useUnits'
import { wordReasons } from '@/measure/bands'
import { say } from '@/words'
import AirAcrossRows from './AirAcrossRows.vue'
import DepthIndex from './DepthIndex.vue'
import ToolbarLevel from './ToolbarLevel.vue'
import { useSession } from '@/session'

const session = useSession()
/** What belongs to no row: grouped checks, the toolbar's level, the depth stops against each other. */
const { planterId } = defineProps<{ planterId: number }>()
const { board, checks, checkOf, stationsOf, canWalk, walkTo } = usePlanterBoard(() => planterId)
const { reading, units } = useUnits()

const groups = computed(() =>
  stationsOf(0).map((group) => ({ ...group, done: group.cells.filter((cell) => cell.now !== null).length })),
)
</script>

<template>
  <div v-if="board" class="planter">
    <div class="head">
      <h2>Whole planter</h2>
      <p v-if="!canWalk" class="quiet">
        These checks come last on a walk. No walk is open:
        <router-link :to="{ name: 'walk', params: { planter: planterId } }">start one</router-link>.
      </p>
    </div>
    <section v-for="group in groups" :key="group.name" class="sheet">
      <h3>
        {{ say(`station.${group.name}`) }} <span class="quiet">{{ group.done }} of {{ group.cells.length }}</span>
      </h3>
      <p class="caution">{{ say(`caution.${group.name}`) }}</p>
      <p v-if="group.cells.some((cell) => checkOf(cell).running)" class="caution">{{ say('caution.running') }}</p>
      <ul>
        <li v-for="cell in group.cells" :key="placeKey(cell)">
          <button type="button" :disabled="!canWalk || !session.may('record')" @click="walkTo(cell)">
            <verdict-glyph :verdict="cell.now?.verdict ?? 'unchecked'" />
            <span class="what">{{ say(`check.${cell.check}`) }}</span>
            <strong v-if="cell.now"><fraction-text :text="reading(cell.now, checkOf(cell))" /></strong>
            <span v-if="cell.now && cell.now.verdict !== 'sound'" class="why"
              ><fraction-text :text="wordReasons(cell.check, cell.now.reasons, cell.now.value, units)"
            /></span>
          </button>
        </li>
      </ul>
    </section>
    <toolbar-level :planter-id="planterId" :walk="canWalk ? board.walk?.id : undefined" />
    <template v-if="board.walk">
      <depth-index
        v-if="checks.has('depth_stop_notch')"
        :planter-id="planterId"
        :walk="board.walk.id"
        :rows="board.ribbon.length"
      />
      <air-across-rows v-if="checks.has('air_at_meter')" :board="board" />
    </template>
  </div>
</template>

<style scoped>
.planter {
  columns: 2 420px;
  column-gap: var(--gap);
  max-width: 1500px;
  margin: 0 auto;
}
.head {
  column-span: all;
  margin-bottom: 12px;
}
.planter > :not(.head) {
  break-inside: avoid;
  margin-bottom: var(--gap);
}
.caution {
  margin: 6px 0;
  font-size: 0.9375rem;
}
ul {
  list-style: none;
  padding: 0;
}
button {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 2px 8px;
  width: 100%;
  min-height: var(--touch);
  text-align: left;
  border-top: 1px solid var(--line);
}
.what {
  flex: 1;
}
.why {
  flex-basis: 100%;
  padding-left: 24px;
  font-size: 0.9375rem;
}
</style>
