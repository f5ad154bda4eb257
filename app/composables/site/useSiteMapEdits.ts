import type { AreaDocument } from '#core/ground/areaShape'
import type { Area, SaveSiteMap } from '#shared/schemas/ground'

type Changed = Pick<Area, 'id' | 'name'> & { readonly document: AreaDocument }

/** Changes of several areas of a site, each saved as one and undone as one. */
export function useSiteMapEdits(siteId: string) {
  const areas = shallowRef<readonly Area[]>([])
  const notice = useNotice()
  const undos = shallowRef<readonly (() => Promise<void>)[]>([])
  const saving = ref(false)
  const load = async () => {
    areas.value = await ask(questions.areas(siteId))
  }
  const versionOf = (id: string) => areas.value.find((area) => area.id === id)?.version ?? 0

  async function send(changed: readonly Changed[], removed: readonly string[]): Promise<boolean> {
    saving.value = true
    try {
      const body: SaveSiteMap = {
        areas: changed.map(({ id, name, document }) => ({
          id,
          siteId,
          name,
          document,
          version: versionOf(id),
          position: areas.value.find((area) => area.id === id)?.position ?? areas.value.length,
        })),
        removed: removed.map((id) => ({ id, version: versionOf(id) })),
      }
      await tell('POST', `/sites/${siteId}/map`, body)
      return true
    } catch (error) {
      notice.say('Not done.', errorText(error))
      return false
    } finally {
      await load().catch(() => undefined)
      saving.value = false
    }
  }

  /** Saves; what was there before can be had back. */
  async function apply(changed: readonly Changed[], removed: readonly string[] = []): Promise<boolean> {
    const before = areas.value.filter(({ id }) => changed.some((one) => one.id === id))
    const made = changed.map(({ id }) => id).filter((id) => !areas.value.some((area) => area.id === id))
    if (!(await send(changed, removed))) return false
    undos.value = [
      ...undos.value,
      async () => {
        for (const id of removed) await tell('POST', `/library/areas/${id}/restore`)
        await send(before, made)
      },
    ]
    return true
  }
  async function undo() {
    const last = undos.value.at(-1)
    undos.value = undos.value.slice(0, -1)
    await last?.().catch((error: unknown) => notice.say('Not undone.', errorText(error)))
  }
  return {
    areas,
    load,
    apply,
    undo,
    canUndo: computed(() => undos.value.length > 0 && !saving.value),
    saving,
  }
}
