<script setup lang="ts">
import { LineChart, ScatterChart } from 'echarts/charts'
import { GridComponent, MarkLineComponent, TooltipComponent } from 'echarts/components'
import { use } from 'echarts/core'
import { CanvasRenderer } from 'echarts/renderers'
import { computed } from 'vue'
import VChart from 'vue-echarts'
import type { WearChart } from '@/api/types'
import { useDays } from '@/composables/useDays'
import { useUnits } from '@/composables/useUnits'
import { useSession } from '@/session'
import { themes } from '@/theme'
import { describeWear, type Inks, wearOption } from './wearOption'

/** Readings, the line through them with its 80 % band, the limit, what was changed, today and the season's end. */
const { chart } = defineProps<{ chart: WearChart }>()
use([LineChart, ScatterChart, GridComponent, MarkLineComponent, TooltipComponent, CanvasRenderer])
const session = useSession()
const { length } = useUnits()
const { dayOf } = useDays()

const inks = computed<Inks>(() => {
  const colors = (themes[session.theme]?.colors ?? {}) as Record<string, string>
  const of = (name: string) => colors[name] ?? '#888888'
  return {
    ink: of('ink'),
    quiet: of('ink-2'),
    line: of('line'),
    accent: of('primary'),
    change: of('change'),
    ochre: of('ochre'),
    card: of('surface'),
  }
})
const option = computed(() =>
  wearOption(chart, inks.value, length, dayOf, session.units, 'Atkinson Hyperlegible Next Variable, sans-serif'),
)
</script>

<template>
  <figure>
    <v-chart class="chart" :option="option" autoresize />
    <figcaption class="spoken">{{ describeWear(chart, length, dayOf) }}</figcaption>
    <p class="quiet">
      Dots are readings, grey of parts that are gone. The line is what is expected, the band holds four in five.
    </p>
  </figure>
</template>

<style scoped>
figure {
  margin: 0;
}
.chart {
  height: 340px;
  width: 100%;
}
</style>
