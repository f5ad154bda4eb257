// @ts-check
import { readFileSync } from 'node:fs'
import { createRequire } from 'node:module'
import { dirname, join } from 'node:path'

const PARTS = 'reka-ui/namespaced'
const PART = 'one-part:'
const IMPORT = /import \{([^}]+)\} from ["']reka-ui\/namespaced["'];?/g

/**
 * The library's module of all its parts makes whoever takes a menu take the calendars too: each part becomes
 * a module of its own, so that a page loads those it shows.
 * @returns {import('vite').Plugin}
 */
export function onePartEach() {
  const folder = dirname(createRequire(import.meta.url).resolve(PARTS))
  const parts = readFileSync(join(folder, 'index.mjs'), 'utf8')
  return {
    name: 'one-part-each',
    apply: 'build',
    enforce: 'post',
    transform(code) {
      if (!code.includes(PARTS)) return
      return {
        code: code.replaceAll(IMPORT, (_, /** @type {string} */ names) =>
          names
            .split(',')
            .map((name) => `import { ${name.trim()} } from '${PART}${name.trim().split(' ')[0]}'`)
            .join('\n'),
        ),
        map: null,
      }
    },
    resolveId: (id) => (id.startsWith(PART) ? id : undefined),
    load(id) {
      if (!id.startsWith(PART)) return
      const name = id.slice(PART.length)
      const object = new RegExp(`^const ${name} = (\\{[^}]*\\});`, 'm').exec(parts)?.[1]
      if (!object) return this.error(`${PARTS} has no part ${name}`)
      const used = [...object.matchAll(/: (\w+)/g)].map(([, member]) => member)
      return `import { ${used.join(', ')} } from 'reka-ui'\nexport const ${name} = ${object}`
    },
  }
}
