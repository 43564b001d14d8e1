import {
  mdiCalendarClockOutline,
  mdiClipboardListOutline,
  mdiFormatListChecks,
  mdiGauge,
  mdiSprout,
  mdiViewGridOutline,
  mdiWrenchOutline,
} from '@mdi/js'

/** A planter's screens in the order of the job; each tab stands for all screens whose names it lists, on a phone some under More. */
const tabs: { name: string; label: string; icon: string; holds: string[]; more?: boolean }[] = [
  { name: 'board', label: 'Board', icon: mdiViewGridOutline, holds: ['board', 'row'] },
  { name: 'season', label: 'Season', icon: mdiCalendarClockOutline, holds: ['season'], more: true },
  { name: 'walk', label: 'Walk', icon: mdiFormatListChecks, holds: ['walk', 'sheet'] },
  { name: 'decide', label: 'Decide', icon: mdiClipboardListOutline, holds: ['decide'] },
  { name: 'work', label: 'Work', icon: mdiWrenchOutline, holds: ['work'] },
  { name: 'bench', label: 'Bench', icon: mdiGauge, holds: ['bench'], more: true },
  {
    name: 'field',
    label: 'Field',
    icon: mdiSprout,
    holds: ['field', 'settings', 'calculators', 'first-pass', 'row-watch', 'emergence'],
  },
]

/** Those of somebody who may record; who only looks on has nothing to walk. */
export const tabsFor = ({ may }: { may: (ability: 'record') => boolean }) =>
  tabs.filter((tab) => !['walk', 'season', 'work', 'bench'].includes(tab.name) || may('record'))
