import { beforeEach, expect, test } from 'vitest'
import { blankArea } from '#core/ground/blankArea'
import type { Area } from '#shared/schemas/ground'
import { withVue } from '../../../test/support/vueGlobals'
import { errorText } from '../shell/errorText'
import { useSiteMapEdits } from './useSiteMapEdits'

/** The server's areas: saved as one, each with the version it was read at. */
let stored: Map<string, Area>
let said: string[] = []

interface MapBody {
  readonly areas: readonly Area[]
  readonly removed: readonly { readonly id: string; readonly version: number }[]
}
function save({ areas, removed }: MapBody): void {
  for (const { id, version } of [...areas, ...removed])
    if ((stored.get(id)?.version ?? 0) !== version) throw new Error('changed elsewhere')
  for (const area of areas) stored.set(area.id, { ...area, version: area.version + 1 })
  for (const { id } of removed) stored.delete(id)
}

beforeEach(() => {
  said = []
  const document = blankArea('part', 'us-1000')
  const area = (id: string, position: number) =>
    ({ id, siteId: 'site', name: id, document, version: 1, position }) as unknown as Area
  stored = new Map(['front', 'back'].map((id, i) => [id, area(id, i)]))
  const gone = new Map(stored)
  withVue({
    errorText,
    useNotice: () => ({ say: (words: string) => said.push(words) }),
    crewUrl: (path: string) => path,
    $fetch: async (url: string, options: { body?: MapBody } = {}) => {
      const [, restored] = /areas\/(.+)\/restore/.exec(url) ?? []
      if (restored) return void stored.set(restored, { ...gone.get(restored)!, version: 3 })
      return options.body ? save(options.body) : [...stored.values()]
    },
  })
})

const named = (area: Area, name: string) => ({ id: area.id, name, document: area.document })
const names = () => [...stored.values()].map(({ name }) => name).toSorted()

test('several areas are changed as one step and had back as one', async () => {
  const map = useSiteMapEdits('site')
  await map.load()
  const [front, back] = map.areas.value
  expect(await map.apply([named(front!, 'North'), named(back!, 'South')])).toBe(true)
  expect([names(), map.canUndo.value]).toEqual([['North', 'South'], true])
  await map.undo()
  expect([names(), map.canUndo.value]).toEqual([['back', 'front'], false])
})

test('undo takes the last step first; what was made goes, what was removed comes back', async () => {
  const map = useSiteMapEdits('site')
  await map.load()
  const [front, back] = map.areas.value
  await map.apply([named(front!, 'North')])
  await map.apply([{ ...named(front!, 'New strip'), id: 'strip' }], [back!.id])
  expect(names()).toEqual(['New strip', 'North'])
  await map.undo()
  expect(names()).toEqual(['North', 'back'])
  await map.undo()
  expect(names()).toEqual(['back', 'front'])
})

test('what was changed elsewhere is not written over: it is told and read again', async () => {
  const map = useSiteMapEdits('site')
  await map.load()
  const [front] = map.areas.value
  stored.set('front', { ...stored.get('front')!, name: 'Theirs', version: 2 })
  expect(await map.apply([named(front!, 'Mine')])).toBe(false)
  expect(said).toEqual(['Not done.'])
  expect(map.areas.value.find(({ id }) => id === 'front')?.name).toBe('Theirs')
  expect(map.canUndo.value).toBe(false)
})
