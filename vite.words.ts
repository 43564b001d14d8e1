import { readdirSync, readFileSync } from 'node:fs'
import type { Plugin } from 'vite'

/*
 * Words travel with the modules that say them. A group is what stands before the first point of a key in lang/en:
 * a module in which `say('check.…')` stands brings the group `check`, so a screen loads what it says and no more.
 * What only the server says is in no bundle. Where a key is put together (`${kind}.${one}`), the module names the
 * groups in a comment: "words: soil, residue".
 */

const FOLDER = 'lang/en/'
const VIRTUAL = 'virtual:words/'
const KEY = /['"`]([a-z_]+)\.[\w$'"`]|\bwordsOf\('([a-z_]+)'\)/g
const NAMED = /words: ([a-z_, ]+)/g

export type Groups = Map<string, Record<string, string>>

/** All words by group, in the order in which they stand. */
export function wordsByGroup(): Groups {
  const groups: Groups = new Map()
  for (const file of readdirSync(FOLDER).sort()) {
    const words = JSON.parse(readFileSync(FOLDER + file, 'utf8')) as Record<string, string>
    for (const [key, text] of Object.entries(words)) {
      const [name = ''] = key.split('.')
      groups.set(name, { ...groups.get(name), [key]: text })
    }
  }
  return groups
}

/** The groups that a module's source says something of. */
export function saidIn(source: string, groups: Groups): string[] {
  const named = [...source.matchAll(NAMED)].flatMap(([, list = '']) => list.split(/[, ]+/))
  const keys = [...source.matchAll(KEY)].map(([, said, listed]) => said ?? listed ?? '')
  return [...new Set([...named, ...keys])].filter((name) => groups.has(name)).sort()
}

export function words(): Plugin {
  const groups = wordsByGroup()
  return {
    name: 'words',
    enforce: 'pre',
    resolveId: (id) => (id.startsWith(VIRTUAL) ? `\0${id}` : undefined),
    load(id) {
      if (!id.startsWith(`\0${VIRTUAL}`)) return undefined
      const group = groups.get(id.slice(VIRTUAL.length + 1))
      return `import { dictionary } from '@/dictionary'\nObject.assign(dictionary, ${JSON.stringify(group)})`
    },
    transform(source, id) {
      if (!/\/resources\/js\/[^?]+(?<!\.test)\.(ts|vue)$/.test(id)) return undefined
      // On the first line of the script, so that no line moves.
      const imports = saidIn(source, groups).map((name) => `import '${VIRTUAL}${name}';`)
      if (imports.length === 0) return undefined
      const start = id.endsWith('.vue') ? /<script setup lang="ts">/.exec(source) : { index: 0, 0: '' }
      if (start === null) return this.error(`${id} says words and has no script to import them in`)
      const at = start.index + start[0].length
      return { code: source.slice(0, at) + imports.join('') + source.slice(at), map: null }
    },
  }
}
