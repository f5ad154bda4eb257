import { CHAIN, type LinkName } from '#core/job/chain'

interface SheetCommandOptions {
  readonly jobId: string
  readonly index: () => number
  readonly locked: () => boolean
  readonly main: () => { readonly label: string; readonly act: () => unknown }
  readonly goFirst: () => unknown
  readonly openLink: (name: LinkName) => void
  readonly repeat: () => unknown
  readonly add: () => void
}

/** What the sheet adds to the keys and to what can be found by name. */
export function useSheetCommands({
  jobId,
  index,
  locked,
  main,
  goFirst,
  openLink,
  repeat,
  add,
}: SheetCommandOptions) {
  const openLoadSheet = () => navigateTo(`/jobs/${jobId}/load-sheet`)
  useScreenCommands(() => [
    { id: 'main', label: main().label, key: 'ctrl+enter', run: main().act },
    { id: 'load-sheet', label: 'Load sheet, to print', key: 'l', run: openLoadSheet },
    { id: 'missing', label: 'Go to what is missing', key: 'm', run: goFirst },
    {
      id: 'what-if',
      label: 'What if: two variants side by side',
      key: 'v',
      run: () => navigateTo(`/jobs/${jobId}/what-if?a=${index() + 1}`),
    },
    { id: 'repeat', label: 'Repeat this job', run: repeat },
    {
      id: 'export',
      label: 'This job as a JSON file',
      run: () => navigateTo(crewUrl(`/jobs/${jobId}/file`), { external: true }),
    },
    ...(locked() ? [] : [{ id: 'add-application', label: 'Add an application', key: 'a', run: add }]),
    ...CHAIN.map((name, i) => ({
      id: `link-${name}`,
      label: `Open ${LINK_NAMES[name]}`,
      key: String(i + 1),
      run: () => openLink(name),
    })),
  ])
  return { openLoadSheet }
}
