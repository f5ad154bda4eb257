// @ts-check
import * as components from 'reka-ui'
import * as parts from 'reka-ui/namespaced'

const ALL = 'reka-ui/namespaced'
const ONE = '\0reka-ui/namespaced/'

/**
 * The library's module of all its parts makes whoever takes a menu take the calendars too. Here that module
 * only passes on one module for each part, made from what the library exports: a page loads what it shows.
 * @returns {import('vite').Plugin}
 */
export function libraryParts() {
  const nameOf = new Map(Object.entries(components).map(([name, component]) => [component, name]))
  return {
    name: 'library-parts',
    apply: 'build',
    enforce: 'pre',
    resolveId(id) {
      if (id === ALL || id.startsWith(ONE)) return { id: id === ALL ? ONE : id, moduleSideEffects: false }
    },
    load(id) {
      if (id === ONE)
        return Object.keys(parts)
          .map((part) => `export { ${part} } from ${JSON.stringify(ONE + part)}`)
          .join('\n')
      if (!id.startsWith(ONE)) return
      const [part, held] = Object.entries(parts).find(([name]) => ONE + name === id) ?? []
      const own = nameOf.get(/** @type {never} */ (held))
      if (own) return `export { ${own} as ${part} } from 'reka-ui'`
      const members = Object.entries(held ?? {}).map(([member, component]) => {
        const name = nameOf.get(component)
        return name === undefined
          ? this.error(`${part}.${member} is nothing that reka-ui exports`)
          : { member, name }
      })
      return (
        `import { ${members.map(({ name }) => name).join(', ')} } from 'reka-ui'\n` +
        `export const ${part} = { ${members.map(({ member, name }) => `${member}: ${name}`).join(', ')} }`
      )
    },
  }
}
