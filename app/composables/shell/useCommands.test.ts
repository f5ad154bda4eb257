import { beforeEach, expect, test } from 'vitest'
import { effectScope, nextTick, onScopeDispose, ref } from 'vue'
import { withVue } from '../../../test/support/vueGlobals'

let went: string[] = []
let preference = ref('paper')

beforeEach(() => {
  went = []
  preference = ref('paper')
  withVue({
    onScopeDispose,
    useCrewStore: () => ({
      organization: { id: 'mine' },
      choice: {
        all: [
          { id: 'mine', name: 'Mine' },
          { id: 'theirs', name: 'Theirs' },
        ],
      },
      change: async (id: string) => went.push(`crew ${id}`),
      nextUnits: () => went.push('units'),
    }),
    useWorkingStore: () => ({ toggle: () => went.push('working') }),
    useColorMode: () => ({
      get preference() {
        return preference.value
      },
      set preference(theme: string) {
        preference.value = theme
      },
    }),
    useSelfStore: () => ({ may: () => true }),
    useNewJob: () => ({ startJob: () => went.push('new job') }),
    navigateTo: async (path: string) => went.push(path),
    PLACES: [{ to: '/today', name: 'Today', key: '1' }],
  })
})

const shell = {
  palette: () => went.push('palette'),
  keys: () => went.push('keys'),
  newCrew: () => went.push('new crew'),
}

/** Fetched after the globals stand: the list of a screen's commands is made with the module. */
const commandsOf = () => import('./useCommands')

test('what a screen adds stands before the shell’s own, the innermost first, and goes with it', async () => {
  const { useCommands, useScreenCommands } = await commandsOf()
  const names = useCommands(shell)
  const [screen, dialog] = [effectScope(), effectScope()]
  const label = ref('Log it')
  screen.run(() =>
    useScreenCommands(() => [{ id: 'log', label: label.value, key: 'n', run: () => went.push('log') }]),
  )
  dialog.run(() => useScreenCommands(() => [{ id: 'take', label: 'Take it', run: () => went.push('take') }]))
  expect(names.value.slice(0, 3).map(({ id }) => id)).toEqual(['take', 'log', 'new-job'])
  label.value = 'Put it on record'
  await nextTick()
  expect(names.value.slice(0, 2).map((one) => one.label)).toEqual(['Take it', 'Put it on record'])
  dialog.stop()
  expect(names.value[0]?.id).toBe('log')
  screen.stop()
  expect(names.value[0]?.id).toBe('new-job')
})

test('every place, every theme and every other crew is to be found', async () => {
  const { useCommands, THEMES } = await commandsOf()
  const all = useCommands(shell).value
  const run = (id: string) => all.find((one) => one.id === id)?.run()
  await run('/today')
  for (const theme of [...THEMES.slice(1), THEMES[0]]) {
    await run('theme')
    expect(preference.value).toBe(theme)
  }
  await run('crew-theirs')
  expect(all.some(({ id }) => id === 'crew-mine')).toBe(false)
  expect(went).toEqual(['/today', 'crew theirs', '/today'])
  expect(new Set(all.flatMap(({ key }) => key ?? [])).size).toBe(all.filter(({ key }) => key).length)
})
