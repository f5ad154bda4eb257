import { counted } from '../quantity/counting'
import { daysBetween } from '../calendar/daysBetween'
import { formatGive, formatMinutes } from '../quantity/format'
import type { JobLanes } from '../lanes/lawns/workOutLanes'
import type { WorkedApplication } from './workOutJob'
import type { FieldProblem } from '../quantity/fieldReader'

export const CHAIN = ['measure', 'calibrate', 'rate', 'load', 'walk', 'log'] as const
export type LinkName = (typeof CHAIN)[number]

/**
 * Job states, each with what it locks: a planned job keeps its sheet, a running one its frozen plan, a done
 * one everything.
 */
export const JOB_STATES = ['draft', 'planned', 'running', 'done', 'cancelled'] as const
export type JobState = (typeof JOB_STATES)[number]

export interface ChainLink {
  readonly name: LinkName
  readonly state: 'done' | 'here' | 'to-come'
  /** What stands there, or what is missing. */
  readonly detail: string
  /** The first field that is missing or wrong on this link. */
  readonly path: string | undefined
}

/**
 * Where the job stands on its one chain, and what each link holds or lacks.
 * @param lanes where they are known the walk takes as long as they do
 */
export function chainOf(
  sheet: WorkedApplication,
  state: JobState,
  today: string,
  lanes?: Pick<JobLanes, 'seconds'>,
): readonly ChainLink[] {
  const links = CHAIN.map((name) => ({ name, ...linkOf(name, sheet, state, today, lanes) }))
  const here = links.findIndex(({ whole }) => !whole)
  return links.map(({ name, whole, detail, path }, index) => ({
    name,
    detail,
    path,
    state: whole ? 'done' : index === here ? 'here' : 'to-come',
  }))
}

/** Where a sheet opens: at the first link that lacks something, else at its answer, the loads. */
export function opensOn(links: readonly ChainLink[]): LinkName {
  return links.find(({ path }) => path !== undefined)?.name ?? 'load'
}

/** The link on which a field of the sheet stands, by its path; undefined for what is no field of a link. */
export function linkAt(path: string): LinkName | undefined {
  return PLACES_OF_FIELDS.find(([, pattern]) => pattern.test(path))?.[0]
}

const PLACES_OF_FIELDS: readonly (readonly [LinkName, RegExp])[] = [
  ['measure', /^lawns/],
  ['rate', /^products/],
  ['load', /^(spray\.(tank|dead|agitate|loads|shared)|spread\.reserve)/],
  ['walk', /^(day|fate|lanes)\b|^spread\.(passes|dial)/],
  ['calibrate', /^(spray|spread)\b/],
]

interface LinkReading {
  readonly whole: boolean
  readonly detail: string
  readonly path: string | undefined
}

function linkOf(
  name: LinkName,
  sheet: WorkedApplication,
  state: JobState,
  today: string,
  lanes: Pick<JobLanes, 'seconds'> | undefined,
): LinkReading {
  const { plan, calibration, size, sd, lawns, products, problems } = sheet
  const linkReading = (prefix: RegExp, whole: boolean, done: string): LinkReading => {
    const problem = problems.find(({ path }) => prefix.test(path))
    return {
      whole: whole && problem === undefined,
      detail: problem ? missingText(problem) : done,
      path: problem?.path,
    }
  }
  switch (name) {
    case 'measure': {
      const treated = lawns.filter((lawn) => lawn.treated === 'yes').length
      return linkReading(
        /^lawns/,
        size > 0,
        `${counted(treated, 'lawn')}, ± ${formatGive((200 * sd) / (size || 1))} %`,
      )
    }
    case 'calibrate':
      return linkReading(
        /^(spread|spray)\.(calibration|speedToday)/,
        calibration !== undefined,
        calibration ? ageText(calibration.on, today) : '',
      )
    case 'rate':
      return linkReading(
        /^products/,
        products.every((product) => product !== undefined),
        counted(products.length, 'product'),
      )
    case 'load':
      return linkReading(
        /^(spread\.reserve|spray\.(tank|dead|agitate))/,
        plan !== undefined,
        plan ? loadText(sheet) : 'after the rate',
      )
    case 'walk':
      return {
        whole: state === 'done',
        detail:
          state === 'running'
            ? 'under way'
            : sheet.walk
              ? `${formatMinutes(lanes?.seconds ?? sheet.walk.seconds)} min`
              : 'time a speed',
        path: undefined,
      }
    case 'log':
      return {
        whole: state === 'done',
        detail: state === 'done' ? 'on record' : 'after the run',
        path: undefined,
      }
    default:
      return name satisfies never
  }
}

const missingText = ({ kind, message, lacks }: FieldProblem): string =>
  kind === 'wrong' ? 'to put right' : lacks ? `${lacks} missing` : message

function ageText(on: string, today: string): string {
  if (on === '') return 'no date'
  const days = daysBetween(on, today)
  return days === 0 ? 'today' : `${counted(days, 'day')} ago`
}

function loadText({ plan }: WorkedApplication): string {
  if (!plan) return ''
  const count = plan.loads.length
  return count > 0 ? counted(count, 'load') : 'one charge'
}
