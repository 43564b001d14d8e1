export interface Chapter {
  key: string
  title: string
  sections: { id: string; title: string }[]
}

/** The guide's chapters in the order of the job. */
export const chapters = Object.values(
  import.meta.glob<Chapter>('/docs/guide/*.md', { query: '?outline', import: 'default', eager: true }),
)

const pages = Object.values(import.meta.glob<string>('/docs/guide/*.md', { import: 'default' }))

/** A chapter as a page. */
export const pageOf = (key: string): Promise<string> | undefined =>
  pages[chapters.findIndex((chapter) => chapter.key === key)]?.()

/** Where the guide explains a screen, by the name of its route; the start where it says nothing of it. */
export const helpOf = (screen: string): { chapter: string; section?: string } =>
  helpOfScreen[screen] ?? { chapter: 'first-day' }

const helpOfScreen: Record<string, { chapter: string; section?: string }> = {
  yard: { chapter: 'first-day', section: 'planters' },
  today: { chapter: 'first-day', section: 'today' },
  'new-planter': { chapter: 'first-day', section: 'add-a-planter' },
  'edit-planter': { chapter: 'first-day', section: 'add-a-planter' },
  walk: { chapter: 'walk' },
  sheet: { chapter: 'walk', section: 'sheet-of-figures' },
  board: { chapter: 'board' },
  row: { chapter: 'board', section: 'one-row' },
  season: { chapter: 'season' },
  decide: { chapter: 'decide' },
  work: { chapter: 'work' },
  store: { chapter: 'work', section: 'parts' },
  'part-types': { chapter: 'work', section: 'part-types' },
  'part-type': { chapter: 'work', section: 'how-long-parts-last' },
  bench: { chapter: 'bench' },
  meters: { chapter: 'bench', section: 'meters' },
  seed: { chapter: 'bench', section: 'seed-and-discs' },
  'first-pass': { chapter: 'field', section: 'first-pass' },
  'row-watch': { chapter: 'field', section: 'row-watch' },
  emergence: { chapter: 'field', section: 'emergence' },
  settings: { chapter: 'field', section: 'settings' },
  calculators: { chapter: 'field', section: 'calculators' },
  field: { chapter: 'field', section: 'planting-log' },
  import: { chapter: 'shop', section: 'import-and-export' },
  people: { chapter: 'shop', section: 'people' },
  activity: { chapter: 'shop', section: 'people' },
  account: { chapter: 'shop', section: 'people' },
  shop: { chapter: 'shop', section: 'shop-figures' },
  'spec-sheets': { chapter: 'shop', section: 'spec-sheets' },
  'spec-sheet': { chapter: 'shop', section: 'spec-sheets' },
}
