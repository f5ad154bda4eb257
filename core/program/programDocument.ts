import { STEP_FIELDS, WHEN_FIELDS } from './programFields'
import { countIn } from '../label/productDocument'
import type { FieldReader } from '../quantity/fieldReader'
import type { ProgramDocument, ProgramStep, StepWhen } from './programShape'
import { celsius } from '../quantity/temperature'

/** A whole count of days, below zero for before; undefined where it is none. */
export function daysTyped(text: string): number | undefined {
  const value = Number(text.trim())
  return text.trim() !== '' && Number.isInteger(value) && Math.abs(value) <= 400 ? value : undefined
}
const figureTyped = (text: string): number | undefined => {
  const value = Number(text.trim())
  return text.trim() !== '' && Number.isFinite(value) ? value : undefined
}
/** Base °C and degree-days C of a step by heat units. */
export function heatOf({ base, units }: StepWhen): { base: number; units: number } | undefined {
  const [from, sum] = [figureTyped(base), figureTyped(units)]
  return from === undefined || sum === undefined || !(sum > 0) ? undefined : { base: from, units: sum }
}

/** Reads every step; what is wrong lands in the reader's problems, at its field. */
export function readProgram({ steps }: ProgramDocument, fields: FieldReader): void {
  for (const [i, step] of steps.entries()) {
    const path = `document.steps.${i}`
    if (step.title.trim() === '') fields.wrong(`${path}.title`, 'A step needs a name, such as “First half”.')
    fields.of(STEP_FIELDS, path).optional('nitrogen', step.nitrogen)
    if (step.times.trim() && countIn(step.times) === undefined)
      fields.wrong(`${path}.times`, 'How often is a whole number: 3.')
    if (step.times.trim() && countIn(step.times) !== 1 && countIn(step.every) === undefined)
      fields.wrong(`${path}.every`, 'More than once needs the days between them: 21.')
    readWhen(step.when, `${path}.when`, steps, step.id, fields)
  }
}

function readWhen(
  when: StepWhen,
  path: string,
  steps: readonly ProgramStep[],
  own: string,
  fields: FieldReader,
): void {
  const at = fields.of(WHEN_FIELDS, path)
  if (when.by === 'window' && when.window === '')
    fields.wrong(`${path}.window`, 'Choose the window of the season it belongs to.')
  if (when.by === 'soil') {
    const from = at.optional('soilFrom', when.soilFrom)
    const to = at.optional('soilTo', when.soilTo)
    if (!from) fields.wrong(`${path}.soilFrom`, 'The soil temperature at which it begins.')
    const turned =
      from && to && (when.half === 'warming' ? celsius(to) < celsius(from) : celsius(to) > celsius(from))
    if (turned)
      fields.wrong(
        `${path}.soilTo`,
        when.half === 'warming'
          ? 'While soil warms it ends warmer than it begins.'
          : 'While soil cools it ends colder than it begins.',
      )
  }
  if (when.by === 'dates' && (when.from === '' || when.to === ''))
    fields.wrong(`${path}.from`, 'Give its first and its last day, such as 1 June.')
  if (when.by === 'heat units' && (heatOf(when) === undefined || when.since === ''))
    fields.wrong(`${path}.units`, 'Give base, units and the day they are counted from: 10 °C, 200, 1 March.')
  if (when.by === 'cue' && !when.cue) fields.wrong(`${path}.cue`, 'Choose what is seen on the site.')
  if (when.by !== 'after' && when.by !== 'seed' && when.by !== 'cue') return
  const [from, to] = [daysTyped(when.daysFrom), daysTyped(when.daysTo)]
  if (from === undefined || to === undefined || to < from)
    fields.wrong(`${path}.daysFrom`, 'Give the days from and to, such as 30 and 45; before it below zero.')
  if (when.by === 'after' && !isBefore(steps, when.step, own))
    fields.wrong(`${path}.step`, 'Choose a step that does not itself wait for this one.')
}

/** Whether a step is there and does not come back to the one that waits for it. */
function isBefore(steps: readonly ProgramStep[], id: string, own: string): boolean {
  const seen = new Set([own])
  let at = steps.find((one) => one.id === id)
  if (!at) return false
  while (at.when.by === 'after') {
    if (seen.has(at.id)) return false
    seen.add(at.id)
    const { step: next }: StepWhen = at.when
    at = steps.find((one) => one.id === next)
    if (!at) return true
  }
  return !seen.has(at.id)
}
