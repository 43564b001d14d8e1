<script setup lang="ts">
import { Comment, Fragment, type FunctionalComponent, h, type VNode } from 'vue'
import { useRouter } from 'vue-router'
import type { RibbonRow } from '@/api/types'
import AppBar from './AppBar.vue'
import LoadingLines from './LoadingLines.vue'
import LoadProblem from './LoadProblem.vue'
import PhoneTabs from './PhoneTabs.vue'
import PlanterRibbon from './PlanterRibbon.vue'
import ScreenFaces from './ScreenFaces.vue'

/**
 * The frame of every planter screen: bar, ribbon, why its data did not come, and the phase's own screen below. The page
 * itself never scrolls, what is under the ribbon does. A row of the ribbon leads to its page, unless the screen takes it.
 */
const {
  planterId,
  of,
  selected,
  error = null,
  select,
  ownRows = false,
} = defineProps<{
  planterId: number
  of?: { ribbon: RibbonRow[]; planter: { sections: number[] } }
  selected?: number
  error?: unknown
  select?: (row: number) => void
  /** The screen shows the rows itself. */
  ownRows?: boolean
}>()
defineEmits<{ again: [] }>()
const router = useRouter()
/** A screen that waits for its data has nothing in it yet but the way to its neighbors. */
const isEmpty = (nodes: VNode[]): boolean =>
  nodes.every(
    ({ type, children }) =>
      type === Comment ||
      type === ScreenFaces ||
      (type === Fragment && Array.isArray(children) && isEmpty(children as VNode[])),
  )
const Screen: FunctionalComponent<{ waits: boolean }> = ({ waits }, { slots }) => {
  const nodes = (slots.default?.() ?? []) as VNode[]
  return waits && isEmpty(nodes) ? [...nodes, h(LoadingLines)] : nodes
}
const toRow = (row: number) => void router.push({ name: 'row', params: { planter: planterId, row } })
</script>

<template>
  <div class="frame">
    <app-bar :planter-id="planterId" />
    <div v-if="!ownRows" class="strip">
      <planter-ribbon
        v-if="of"
        :ribbon="of.ribbon"
        :sections="of.planter.sections"
        :selected="selected"
        @select="(select ?? toRow)($event)"
      />
    </div>
    <main class="phase">
      <load-problem :error="error" @again="$emit('again')" />
      <screen :waits="!error"><slot /></screen>
    </main>
    <slot name="foot" />
    <phone-tabs :planter-id="planterId" />
  </div>
</template>

<style scoped>
.frame {
  display: flex;
  flex-direction: column;
  height: 100dvh;
}
.strip {
  flex: none;
  min-height: 76px;
  padding: 6px 24px 2px;
  background: var(--card);
  border-bottom: 1px solid var(--line);
}
.phase {
  flex: 1;
  min-height: 0;
  overflow-y: auto;
  padding: 12px 24px;
}
@media (max-width: 700px) {
  .strip {
    padding: 2px 8px 0;
  }
  .phase {
    padding: 8px 10px 12px;
  }
}
</style>
