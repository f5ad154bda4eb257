import { counted } from '../../quantity/counting'
import { formatMinutes } from '../../quantity/format'
import type { LaneCost, LawnLanes } from './workOutLanes'

/** Why a lawn has no lanes, and what would be right. */
export function laneProblemWords(problem: NonNullable<LawnLanes['problem']>, name: string): string {
  switch (problem) {
    case 'noShape':
      return `Only the size of ${name} is known: measure it by its sides or draw it, and it gets lanes.`
    case 'noGround':
      return `Nothing of ${name} is left to walk on: check what is taken away and the buffer.`
    case 'tooMany':
      return `${name} would need more than 5,000 lanes: check its outline and how far lanes lie apart.`
    case 'notCombined':
      return `The outlines of ${name} can’t be cut: move a corner a little, or remove doubled corners.`
    default:
      return problem satisfies never
  }
}

/** What a choice costs, m and s, in words. @param toldMetres a distance in the units of the screen */
export function costWords({ metres, seconds, turns }: LaneCost, toldMetres: (m: number) => string): string {
  const more = (value: number) => (value < 0 ? 'less' : 'more')
  const parts = [
    ...(Math.abs(metres) >= 1 ? [`${toldMetres(Math.abs(metres))} ${more(metres)} to walk`] : []),
    ...(turns === 0 ? [] : [`${counted(Math.abs(turns), 'turn')} ${more(turns)}`]),
    ...(Math.abs(seconds) >= 3 ? [`${formatMinutes(Math.abs(seconds))} min ${more(seconds)}`] : []),
  ]
  if (parts.length === 0) return 'as long as the tool’s own choice'
  return `${parts.join(', ')} than the tool’s own`
}
