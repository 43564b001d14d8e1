import {
  mdiAccountGroupOutline,
  mdiCalendarClockOutline,
  mdiCalendarTodayOutline,
  mdiClipboardListOutline,
  mdiFormatListBulleted,
  mdiFormatListChecks,
  mdiGauge,
  mdiPackageVariantClosed,
  mdiSeedOutline,
  mdiSprout,
  mdiStorefrontOutline,
  mdiViewGridOutline,
  mdiWrenchOutline,
} from '@mdi/js'
import type { useSession } from '@/session'

/** Stands for all screens whose names it lists; on a phone some are under More. */
export interface Tab {
  name: string
  label: string
  icon: string
  holds: string[]
  more?: boolean
}

/** A planter's screens in the order of the job. */
const ofPlanter: Tab[] = [
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

/** The shop's rooms, where no planter is open. */
const ofShop: (Tab & { may: 'see' | 'record' | 'run' })[] = [
  { name: 'yard', label: 'Planters', icon: mdiFormatListBulleted, holds: ['yard', 'new-planter'], may: 'see' },
  { name: 'today', label: 'Today', icon: mdiCalendarTodayOutline, holds: ['today'], may: 'record' },
  {
    name: 'store',
    label: 'Parts',
    icon: mdiPackageVariantClosed,
    holds: ['store', 'part-types', 'part-type'],
    may: 'record',
  },
  { name: 'seed', label: 'Seed', icon: mdiSeedOutline, holds: ['seed'], may: 'record' },
  { name: 'meters', label: 'Meters', icon: mdiGauge, holds: ['meters'], more: true, may: 'record' },
  {
    name: 'people',
    label: 'People',
    icon: mdiAccountGroupOutline,
    holds: ['people', 'activity'],
    more: true,
    may: 'run',
  },
  {
    name: 'shop',
    label: 'Shop',
    icon: mdiStorefrontOutline,
    holds: ['shop', 'spec-sheets', 'spec-sheet'],
    more: true,
    may: 'record',
  },
]

export type Role = Pick<ReturnType<typeof useSession>, 'may'>

/** Those of somebody who may record; who only looks on has nothing to walk. */
const tabsFor = ({ may }: Role) =>
  ofPlanter.filter((tab) => !['walk', 'season', 'work', 'bench'].includes(tab.name) || may('record'))

/** The shop's rooms that somebody may enter; a guest has one planter, and needs none. */
const roomsFor = ({ may }: Role) => (may('record') ? ofShop.filter((room) => may(room.may)) : [])

export const screensFor = (role: Role, planterId: number | undefined): Tab[] =>
  planterId === undefined ? roomsFor(role) : tabsFor(role)

/** Screens that share a tab, one beside the other. */
export const faces = {
  Field: [
    { name: 'first-pass', title: 'First pass' },
    { name: 'row-watch', title: 'Row watch' },
    { name: 'emergence', title: 'Emergence' },
    { name: 'settings', title: 'Settings' },
    { name: 'calculators', title: 'Calculators' },
    { name: 'field', title: 'Log' },
  ],
  Parts: [
    { name: 'store', title: 'Stock and orders' },
    { name: 'part-types', title: 'Part types' },
  ],
  Shop: [
    { name: 'shop', title: 'Shop figures' },
    { name: 'spec-sheets', title: 'Spec sheets' },
  ],
}
