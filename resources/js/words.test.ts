import { readFileSync, readdirSync } from 'node:fs'
import { expect, it } from 'vitest'
import { saidIn, wordsByGroup } from '../../vite.words'

const groups = wordsByGroup()
const modules = readdirSync('resources/js', { recursive: true, encoding: 'utf8' })
  .filter((path) => /(?<!\.test)\.(ts|vue)$/.test(path))
  .map((path) => ({ path, source: readFileSync(`resources/js/${path}`, 'utf8') }))

it('brings with a module the groups that it says something of, and no other', () => {
  const source = `say('check.opener_blade_diameter'); say(\`side.\${side}\`); wordsOf('soil'); about('kind.none'); 'soil'`
  expect(saidIn(source, groups)).toEqual(['check', 'side', 'soil'])
  expect(saidIn('// words: residue, tillage\nsay(`${kind}.${value}`)', groups)).toEqual(['residue', 'tillage'])
  expect(saidIn('router.push({ name: "soil" })', groups)).toEqual([])
})

it('has every word that is said outright', () => {
  const said = modules.flatMap(({ path, source }) =>
    [...source.matchAll(/\bsay\('([a-z_]+)(\.[\w.]+)'/g)].map(([, group = '', rest = '']) => ({ path, group, rest })),
  )
  expect(said.length).toBeGreaterThan(30)
  const missing = said.filter(({ group, rest }) => groups.get(group)?.[group + rest] === undefined)
  expect(missing).toEqual([])
})

it('names the groups wherever a key is put together from its first part on', () => {
  const bare = modules.filter(
    ({ source }) => /\bsay\(`\$\{/.test(source) && !/words: |import .*\bGROUNDS\b/.test(source),
  )
  expect(bare.map(({ path }) => path)).toEqual([])
})
