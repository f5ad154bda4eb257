import { blankLanes } from '#core/draft/blankApplication'
import type { LanesDraft, LawnLanesDraft } from '#core/draft/applicationShape'

/** What of the lanes was overruled, and how to change it; what was never touched is not written down. */
export function useLaneChoices() {
  const { document, set } = useSheet()
  const crew = useCrewStore()
  const choices = computed((): LanesDraft => document.value.lanes ?? blankLanes(crew.units))
  const change = (fields: Partial<LanesDraft>) => set('lanes', { ...choices.value, ...fields })
  const ofLawn = (id: string): LawnLanesDraft =>
    choices.value.lawns.find((one) => one.id === id) ?? { id, direction: '' }
  /** Blank again it is the tool's own. */
  function changeLawn(id: string, fields: Partial<LawnLanesDraft>) {
    const { start, ...rest } = { ...ofLawn(id), ...fields }
    const own: LawnLanesDraft = start ? { ...rest, start } : rest
    const others = choices.value.lawns.filter((one) => one.id !== id)
    change({ lawns: own.direction === '' && !own.start ? others : [...others, own] })
  }
  function park(truck: LanesDraft['truck']) {
    const { truck: _, ...rest } = choices.value
    set('lanes', truck ? { ...rest, truck } : rest)
  }
  return { choices, change, ofLawn, changeLawn, park }
}
