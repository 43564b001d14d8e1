import { say } from '@/words'

/** A field that was changed, by the words of the job where it is a figure of a sheet. */
export function sayField(field: string): string {
  const figure = /^sheet\.checks\.(\w+)\.figures\.(\w+)\.(value|source)$/.exec(field)
  const [check, name, what] = figure?.slice(1) ?? []
  const plain = field.replace(/^(sheet|definition)\./, '').replace(/[._]/g, ' ')
  if (check === undefined || name === undefined) return plain
  return `${say(`check.${check}`)}, ${say(`figure.${name}`).toLowerCase()}${what === 'source' ? ', source' : ''}`
}
