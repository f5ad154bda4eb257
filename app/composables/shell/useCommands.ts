import { useEventListener } from '@vueuse/core'

/** One thing a person can do from anywhere, by key or by name. */
export interface Command {
  readonly id: string
  readonly label: string
  /** As pressed: a single key, or with ctrl+. */
  readonly key?: string
  readonly run: () => unknown
}

/** What each part of the screen adds, the innermost first. */
const onScreen = shallowRef<readonly (readonly Command[])[]>([])

/** The commands a screen, or a part of it, adds; they go when it goes. */
export function useScreenCommands(commands: () => readonly Command[]) {
  let mine: readonly Command[] | undefined
  watch(
    commands,
    (list) => {
      const known = mine !== undefined && onScreen.value.includes(mine)
      onScreen.value = known
        ? onScreen.value.map((one) => (one === mine ? list : one))
        : [list, ...onScreen.value]
      mine = list
    },
    { immediate: true },
  )
  onScopeDispose(() => {
    onScreen.value = onScreen.value.filter((one) => one !== mine)
  })
}

export const THEMES = ['paper', 'dusk', 'sun'] as const

/** Everything that can be done now: the screen's own commands first, then those of the shell. */
export function useCommands(shell: {
  readonly palette: () => void
  readonly keys: () => void
  readonly newCrew: () => void
}) {
  const crew = useCrewStore()
  const own = useSelfStore()
  const working = useWorkingStore()
  const colorMode = useColorMode()
  const { startJob } = useNewJob()
  const nextTheme = () => {
    colorMode.preference =
      THEMES[(THEMES.indexOf(colorMode.preference as (typeof THEMES)[number]) + 1) % THEMES.length] ?? 'paper'
  }
  async function reopen() {
    await tell('POST', '/api/organizations/sample')
    await crew.load()
    await navigateTo('/today')
  }
  const everywhere = computed<readonly Command[]>(() => [
    ...(own.may('work') ? [{ id: 'new-job', label: 'New job', key: 'n', run: startJob }] : []),
    ...PLACES.map((place) => ({
      id: place.to,
      label: `Go to ${place.name}`,
      key: place.key,
      run: () => navigateTo(place.to),
    })),
    { id: 'working', label: 'Show working', key: 'w', run: working.toggle },
    { id: 'units', label: 'Next units (1,000 ft², acre, 100 m², ha)', key: 'u', run: crew.nextUnits },
    { id: 'theme', label: 'Next theme (paper, dusk, sun)', key: 't', run: nextTheme },
    { id: 'settings', label: 'Settings of this crew', run: () => navigateTo('/settings') },
    { id: 'people', label: 'People of this crew', run: () => navigateTo('/settings/people') },
    { id: 'new-crew', label: 'Start an empty crew', run: shell.newCrew },
    { id: 'reopen', label: 'Open the sample afresh, on 6 May', run: reopen },
    ...(crew.choice?.all ?? [])
      .filter(({ id }) => id !== crew.organization?.id)
      .map(({ id, name }) => ({
        id: `crew-${id}`,
        label: `Change to ${name}`,
        run: async () => {
          await crew.change(id)
          await navigateTo('/today')
        },
      })),
    { id: 'palette', label: 'Find anything', key: 'ctrl+k', run: shell.palette },
    { id: 'keys', label: 'Keys', key: '?', run: shell.keys },
  ])
  return computed(() => [...onScreen.value.flat(), ...everywhere.value])
}

/** Binds commands to their keys; plain keys rest while somebody types. */
export function useCommandKeys(commands: Ref<readonly Command[]>) {
  useEventListener('keydown', (event: KeyboardEvent) => {
    if (event.altKey || event.defaultPrevented) return
    const ctrl = event.ctrlKey || event.metaKey
    if (!ctrl && isTyping(event.target)) return
    const pressed = `${ctrl ? 'ctrl+' : ''}${event.key.toLowerCase()}`
    const command = commands.value.find(({ key }) => key === pressed)
    if (!command) return
    event.preventDefault()
    command.run()
  })
}

/** Letters in an open list look for an entry of it. */
const LISTS = '[role="listbox"], [role="menu"]'
const isTyping = (target: EventTarget | null): boolean =>
  target instanceof HTMLElement &&
  (target.closest(LISTS) !== null ||
    ((target.isContentEditable || /^(INPUT|TEXTAREA|SELECT)$/.test(target.tagName)) &&
      (target as HTMLInputElement).type !== 'checkbox'))
