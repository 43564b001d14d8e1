import { readFileSync } from 'node:fs'
import { basename } from 'node:path'
import { Marked, type Tokens } from 'marked'
import type { Plugin } from 'vite'

/*
 * The guide of docs/guide, inside the client: `docs/guide/02-walk.md?outline` is its title and sections, which Find and the list
 * of chapters need at once; `docs/guide/02-walk.md` is the page itself, got when it is opened.
 */

const CHAPTER = /\/docs\/guide\/(\d\d-[a-z-]+\.md)(\?outline)?$/

/** As it stands in an address: "Lock out first" is `lock-out-first`. */
const anchorOf = (heading: string) =>
  heading
    .toLowerCase()
    .replaceAll(/[^a-z0-9]+/g, '-')
    .replaceAll(/^-|-$/g, '')

const keyOf = (file: string) => basename(file, '.md').slice('00-'.length)

const titlesOf = (text: string, depth: number) =>
  new Marked().lexer(text).filter((token): token is Tokens.Heading => token.type === 'heading' && token.depth === depth)

const outlineOf = (text: string) => ({
  title: titlesOf(text, 1)[0]?.text ?? '',
  sections: titlesOf(text, 2).map(({ text: title }) => ({ id: anchorOf(title), title })),
})

/** Links to other chapters become addresses of the application. */
function pageOf(text: string): string {
  const page = new Marked({
    renderer: {
      heading: ({ text: title, depth }) =>
        depth === 1 ? '' : `<h${depth} id="${anchorOf(title)}">${title}</h${depth}>\n`,
      link({ href, tokens }) {
        const [file = '', section] = href.split('#')
        const said = this.parser.parseInline(tokens)
        return `<a href="/help/${keyOf(file)}${section ? `#${section}` : ''}">${said}</a>`
      },
    },
  })
  return page.parse(text, { async: false })
}

export function guide(): Plugin {
  return {
    name: 'guide',
    enforce: 'pre',
    load(id) {
      const [, file, outline] = CHAPTER.exec(id) ?? []
      if (file === undefined) return undefined
      const text = readFileSync(`docs/guide/${file}`, 'utf8')
      if (outline) return `export default ${JSON.stringify({ key: keyOf(file), ...outlineOf(text) })}`
      // Pictures travel as files of the build, each with an address of its own.
      const pictures: string[] = []
      const html = JSON.stringify(pageOf(text)).replaceAll(
        /<img src=\\"\.\.\/(screenshots\/[a-z-]+\.png)\\"/g,
        (_, picture: string) => {
          pictures.push(picture)
          return `<img loading=\\"lazy\\" src=\\"" + picture${pictures.length - 1} + "\\"`
        },
      )
      const imports = pictures.map((picture, n) => `import picture${n} from '/docs/${picture}?url'`)
      return `${imports.join('\n')}\nexport default ${html}`
    },
  }
}
