import { readdirSync, readFileSync, statSync } from 'node:fs'
import { parse } from 'vue/compiler-sfc'
import ts from 'typescript'
import { describe, expect, it } from 'vitest'
import { chapters, helpOf } from './help/chapters'
import { router } from './router'

/* What people read: the words of lang/, the texts of screens and paper, and the guide. */

const filesOf = (folder: string): string[] =>
  readdirSync(folder).flatMap((name) => {
    const path = `${folder}/${name}`
    return statSync(path).isDirectory() ? filesOf(path) : [path]
  })

/** The strings of a script that may be read by somebody; names and keys have no space and no capital. */
function stringsOf(code: string): string[] {
  const found: string[] = []
  const visit = (node: ts.Node): void => {
    if (ts.isImportDeclaration(node)) return
    if (ts.isStringLiteral(node) || ts.isNoSubstitutionTemplateLiteral(node)) found.push(node.text)
    else if (ts.isTemplateExpression(node))
      found.push([node.head.text, ...node.templateSpans.map(({ literal }) => literal.text)].join(' … '))
    node.forEachChild(visit)
  }
  visit(ts.createSourceFile('copy.ts', code, ts.ScriptTarget.Latest, true))
  return found.filter((text) => /\s|^[A-Z]/.test(text))
}

interface Node {
  type: number
  content?: string | { loc: { source: string } }
  props?: { type: number; value?: { content: string }; exp?: { loc: { source: string } } }[]
  children?: Node[]
}

function textsOf(node: Node): string[] {
  const own =
    node.type === 2 && typeof node.content === 'string'
      ? [node.content.replaceAll(/\s+/g, ' ').trim()]
      : node.type === 5 && typeof node.content === 'object'
        ? stringsOf(`(${node.content.loc.source})`)
        : (node.props ?? []).flatMap(({ type, value, exp }) =>
            type === 6 ? [value?.content ?? ''] : exp ? stringsOf(`(${exp.loc.source})`) : [],
          )
  return [...own, ...(node.children ?? []).flatMap(textsOf)]
}

const ofScreens = filesOf('resources/js')
  .filter((file) => /(?<!\.test|testing|setup)\.(ts|vue)$/.test(file))
  .flatMap((file) => {
    const source = readFileSync(file, 'utf8')
    if (file.endsWith('.ts')) return stringsOf(source).map((text) => ({ file, text }))
    const { descriptor } = parse(source)
    const script = stringsOf(descriptor.scriptSetup?.content ?? '')
    const template = (descriptor.template?.ast as unknown as Node | undefined)?.children?.flatMap(textsOf) ?? []
    return [...script, ...template].map((text) => ({ file, text }))
  })
const ofLang = filesOf('lang/en').flatMap((file) =>
  Object.entries(JSON.parse(readFileSync(file, 'utf8')) as Record<string, string>).map(([key, text]) => ({
    file: `${file} ${key}`,
    text,
  })),
)
/** Paper and pages of the server. */
const ofViews = filesOf('resources/views').map((file) => ({
  file,
  text: readFileSync(file, 'utf8').replaceAll(/<style[\s\S]*?<\/style>|<[^>]*>|\{\{[\s\S]*?\}\}|@\w+[^\n]*/g, ' '),
}))
const guide = filesOf('docs/guide').map((file) => ({ file, text: readFileSync(file, 'utf8') }))

describe('words', () => {
  const terms = readFileSync('docs/words.md', 'utf8')
    .split('\n')
    .filter((line) => /^\| (?!term )/.test(line))
    .map((line) => line.split('|').map((cell) => cell.trim()))
  const notSaid = terms.flatMap(([, , , not = '']) => not.split(', ').filter(Boolean))

  it('stand in the glossary each once', () => {
    const said = terms.map(([, term]) => term)
    expect(said.length).toBeGreaterThan(40)
    expect(new Set(said).size).toBe(said.length)
    expect(notSaid.length).toBeGreaterThan(40)
  })

  it('are the same everywhere: nothing that the glossary rules out is read anywhere', () => {
    const wrong = notSaid.flatMap((not) => {
      const found = new RegExp(`(?<![\\w-])${not.replaceAll(/[^\w\s,:<]/g, '.')}(?![\\w-])`, 'i')
      return [...ofLang, ...ofScreens, ...ofViews, ...guide]
        .filter(({ text }) => found.test(text))
        .map(({ file, text }) => `${not}: ${file}: ${text.slice(0, 120)}`)
    })
    expect(wrong).toEqual([])
  })
})

describe('the guide', () => {
  it('has ten chapters in the order of the job, each with a title', () => {
    expect(chapters.map(({ key }) => key)).toEqual([
      'first-day',
      'walk',
      'board',
      'odds',
      'season',
      'decide',
      'work',
      'bench',
      'field',
      'shop',
    ])
    expect(chapters.every(({ title }) => title !== '')).toBe(true)
  })

  it('explains every screen, at a section that there is', () => {
    const open = ['sign-in', 'help', undefined]
    const screens = router.getRoutes().flatMap(({ name, redirect }) => (redirect ? [] : [name as string | undefined]))
    for (const screen of screens.filter((name) => !open.includes(name))) {
      const { chapter, section } = helpOf(String(screen))
      const sections = chapters.find(({ key }) => key === chapter)?.sections.map(({ id }) => id)
      expect(sections, `${screen} leads to ${chapter}`).toBeDefined()
      if (section) expect(sections, `${screen} leads to ${chapter}`).toContain(section)
      // Only the start has no page of its own.
      if (chapter === 'first-day') expect(['yard', 'today', 'new-planter', 'edit-planter'], screen).toContain(screen)
    }
  })

  it('leads nowhere that is not there', () => {
    const broken = guide.flatMap(({ file, text }) =>
      [...text.matchAll(/\]\(([^)]+)\)/g)].flatMap(([, link = '']) => {
        const [path = '', section] = link.split('#')
        if (path.startsWith('../screenshots/'))
          return filesOf('docs/screenshots').includes(`docs/${path.slice(3)}`) ? [] : [link]
        const chapter = chapters.find(({ key }) => path.endsWith(`-${key}.md`))
        const isThere = chapter && (section === undefined || chapter.sections.some(({ id }) => id === section))
        return isThere ? [] : [`${file}: ${link}`]
      }),
    )
    expect(broken).toEqual([])
  })

  it('names in bold only what a screen says', () => {
    const said = [...ofScreens, ...ofLang].map(({ text }) => text.toLowerCase())
    const unknown = guide.flatMap(({ file, text }) =>
      [...text.matchAll(/\*\*([^*]+)\*\*/g)]
        .map(([, term = '']) => term)
        .filter((term) => !said.some((one) => one.includes(term.toLowerCase())))
        .map((term) => `${file}: ${term}`),
    )
    expect(unknown).toEqual([])
  })
})
