import type { Remedy } from '#core/rules/check'

/** Follows the way out of a check: a figure set, a place gone to, a jar test kept. */
export function useRemedies() {
  const { set, go } = useSheet()
  const crew = useCrewStore()
  const notice = useNotice()

  /** Kept among the crew's jar tests, so that the pair is asked for no more; a slip is put right there. */
  async function noteJar(found: NonNullable<Remedy['jar']>) {
    try {
      await crew.noteMixes(found)
      notice.say('Kept in Settings, among the jar tests.')
    } catch (error) {
      notice.say(`Not kept: ${errorText(error)}`)
    }
  }

  function follow({ path, value, jar }: Remedy) {
    if (jar) return noteJar(jar)
    if (value === undefined) return go(path)
    set(path, value)
  }
  return { go, follow }
}
