import { counted, sumOf } from '../quantity/counting'
import { isOver } from '../quantity/tolerance'
import { sixDigits } from '../working/figureText'

/** Something that wants doing within a week, on some lawns of one site. */
export interface WeekTask {
  readonly id: string
  readonly siteId: string
  /** Its days, YYYY-MM-DD; undefined: not known. */
  readonly from: string | undefined
  readonly to: string | undefined
  /** It can't wait. */
  readonly presses: boolean
  /** Walking or driving over the lawns, s; undefined: not known before a machine is calibrated. */
  readonly seconds: number | undefined
  /** The machine it takes; blank where none is settled. */
  readonly machineId: string
}

/** What a day has room for. */
export interface DayRoom {
  readonly sites: number
  /** Hours one person works. */
  readonly hours: number
  /** Persons out at the same time, each on a site of their own. */
  readonly people: number
}

/** Getting to a site, unloading, weighing and mixing take about so long (house default). s */
const SITE_SECONDS = 30 * 60
/** What nobody can tell yet is given so much room. s */
const UNKNOWN_SECONDS = 45 * 60

/** How full a day is. */
export interface DayLoad {
  readonly seconds: number
  /** Of the machine that is out longest: it is on one site at a time. */
  readonly longestMachine: number
  /** Works whose time is not known; they are given three quarters of an hour. */
  readonly unknown: number
}

/** What a day's work takes, the way to its sites counted in. */
export function dayLoad(tasks: readonly Pick<WeekTask, 'siteId' | 'seconds' | 'machineId'>[]): DayLoad {
  const time = ({ seconds = UNKNOWN_SECONDS }: Pick<WeekTask, 'seconds'>) => seconds
  const machines = [...new Set(tasks.map(({ machineId }) => machineId))].filter((id) => id !== '')
  const ofMachine = machines.map((id) => {
    const own = tasks.filter(({ machineId }) => machineId === id)
    return sumOf(own, time) + new Set(own.map(({ siteId }) => siteId)).size * SITE_SECONDS
  })
  return {
    seconds: sumOf(tasks, time) + new Set(tasks.map(({ siteId }) => siteId)).size * SITE_SECONDS,
    longestMachine: Math.max(0, ...ofMachine),
    unknown: tasks.filter(({ seconds }) => seconds === undefined).length,
  }
}

/** How the hours of a day come about, a line each. */
export function dayWorking(
  works: readonly (Pick<WeekTask, 'siteId' | 'seconds' | 'machineId'> & { readonly what: string })[],
): readonly string[] {
  const sites = new Set(works.map(({ siteId }) => siteId)).size
  const minutes = (seconds: number) => `${sixDigits(seconds / MINUTE)} min`
  return [
    ...works.map(({ what, seconds }) =>
      seconds === undefined
        ? `${what}: not known before a machine is calibrated, given ${minutes(UNKNOWN_SECONDS)}`
        : `${what}: ${minutes(seconds)} over its lawns, turns and fills not counted`,
    ),
    `${counted(sites, 'site')} x ${minutes(SITE_SECONDS)} for the way, weighing and mixing`,
    `Together ${sixDigits(dayLoad(works).seconds / HOUR)} h`,
  ]
}
const MINUTE = 60

/** Whether a day holds it all: hands together, and each machine by itself. */
export function fits({ seconds, longestMachine }: DayLoad, { hours, people }: DayRoom): boolean {
  return !isOver(seconds, hours * people * HOUR) && !isOver(longestMachine, hours * HOUR)
}
const HOUR = 3600

/** A site on a day with what is done there. */
interface WeekVisit {
  readonly on: string
  readonly siteId: string
  /** Whose round it is in, from 0. */
  readonly hand: number
  readonly tasks: readonly string[]
}
export interface WeekPlan {
  /** By day and hand, in driving order. */
  readonly visits: readonly WeekVisit[]
  /** Tasks that no day has room for, or whose score is nought on every day. */
  readonly left: readonly string[]
}

/** Going to a site that is visited anyway is worth so much of a score. */
const SAME_SITE = 0.15
/** The last day of a window is not left to the day after. */
const LATE = 0.5

/**
 * Puts what wants doing on the days of a week: what presses first, each on its best day, sites together, no
 * more on a day than its sites, hands and machines have room for; the sites of a day in a short round. What
 * is longer than a day by itself has a day of its own.
 * @param days YYYY-MM-DD, in order @param score of a task on a day, 0 to 1
 * @param distance between two sites, m; from the first site of the day the nearest follows
 */
export function weekPlan(
  tasks: readonly WeekTask[],
  days: readonly string[],
  score: (task: WeekTask, on: string) => number,
  room: DayRoom,
  distance: (from: string, to: string) => number,
): WeekPlan {
  const placed = new Map<string, Map<string, string[]>>(days.map((on) => [on, new Map()]))
  const left: string[] = []
  const byId = new Map(tasks.map((task) => [task.id, task]))
  const order = tasks.toSorted(
    (a, b) =>
      Number(b.presses) - Number(a.presses) ||
      ((a.to ?? '9999') < (b.to ?? '9999') ? -1 : (a.to ?? '9999') > (b.to ?? '9999') ? 1 : 0),
  )
  for (const task of order) {
    const worth = (on: string): number => {
      const sites = placed.get(on)
      const there = sites?.has(task.siteId) ?? false
      if (!there && (sites?.size ?? 0) >= room.sites) return 0
      const others = [...(sites?.values() ?? [])].flat().flatMap((id) => byId.get(id) ?? [])
      if (others.length > 0 && !fits(dayLoad([...others, task]), room)) return 0
      if (task.from !== undefined && on < task.from) return 0
      const value = score(task, on) * (task.to !== undefined && on > task.to ? LATE : 1)
      return value === 0 ? 0 : value + (there ? SAME_SITE : 0)
    }
    const best = days
      .map((on) => ({ on, value: worth(on) }))
      .reduce((a, b) => (b.value > a.value ? b : a), { on: '', value: 0 })
    const sites = placed.get(best.on)
    if (best.value === 0 || !sites) left.push(task.id)
    else sites.set(task.siteId, [...(sites.get(task.siteId) ?? []), task.id])
  }
  return {
    visits: [...placed].flatMap(([on, sites]) =>
      dealt(tasksOf(sites), room.people).flatMap((own, hand) =>
        inShortRound(own, distance).map((siteId) => ({
          on,
          siteId,
          hand,
          tasks: sites.get(siteId) ?? [],
        })),
      ),
    ),
    left,
  }

  function tasksOf(sites: ReadonlyMap<string, readonly string[]>): readonly WeekTask[] {
    return [...sites.values()].flat().flatMap((id) => byId.get(id) ?? [])
  }
}

/**
 * Deals the sites of a day to hands: the longest first to whom has least; sites that take the same machine go
 * to one hand.
 * @returns site ids, hand by hand
 */
function dealt(tasks: readonly WeekTask[], people: number): readonly (readonly string[])[] {
  const groups: { readonly sites: readonly string[]; readonly machines: readonly string[] }[] = []
  for (const siteId of new Set(tasks.map((task) => task.siteId))) {
    const machines = tasks
      .filter((task) => task.siteId === siteId && task.machineId !== '')
      .map(({ machineId }) => machineId)
    const joined = groups.filter((group) => group.machines.some((id) => machines.includes(id)))
    for (const group of joined) groups.splice(groups.indexOf(group), 1)
    groups.push({
      sites: [...joined.flatMap(({ sites }) => sites), siteId],
      machines: [...joined.flatMap((group) => group.machines), ...machines],
    })
  }
  const timed = groups
    .map(({ sites }) => ({ sites, load: dayLoad(tasks.filter(({ siteId }) => sites.includes(siteId))) }))
    .toSorted((a, b) => b.load.seconds - a.load.seconds)
  const hands = Array.from({ length: people }, () => ({ sites: [] as string[], seconds: 0 }))
  for (const { sites, load } of timed) {
    const least = hands.reduce((a, b) => (b.seconds < a.seconds ? b : a))
    least.sites.push(...sites)
    least.seconds += load.seconds
  }
  return hands.map(({ sites }) => sites)
}

/** From the first site always on to the nearest that is left. */
function inShortRound(
  sites: readonly string[],
  distance: (from: string, to: string) => number,
): readonly string[] {
  const [first, ...others] = sites
  if (first === undefined) return []
  const round = [first]
  const left = new Set(others)
  while (left.size > 0) {
    const last = round.at(-1) ?? first
    const next = [...left].reduce((a, b) => (distance(last, b) < distance(last, a) ? b : a))
    round.push(next)
    left.delete(next)
  }
  return round
}
