import { dirname, join } from 'node:path'
import { availableParallelism } from 'node:os'
import { Piscina } from 'piscina'
import type { ApplicationDraft } from '#core/draft/applicationShape'
import type { FieldNotes } from '#core/ground/areaShape'
import { isWorkedOut, largeGround, type LargeGround, type WorkedGround } from '#core/ground/largeGround'
import { rememberGround } from '#core/ground/workOutGround'
import { failure } from '../http/failure'
import type * as tasks from '../threads/ground'

/** Large ground gets this long and this much memory, whoever asks for it. */
const MOST_MS = 10_000
const MOST_MEGABYTES = 256
/** More than this waiting is a server that can't keep up: what comes is told to come again. */
const MOST_WAITING = 40

let pool: Piscina | undefined

/** Threads begin with the first task and end when there is none for a while. */
function threads(): Piscina {
  pool ??= new Piscina({
    filename: join(dirname(process.argv[1] ?? ''), 'threads', 'ground.mjs'),
    minThreads: 0,
    maxThreads: Math.max(1, availableParallelism() - 1),
    idleTimeout: 30_000,
    maxQueue: MOST_WAITING,
    resourceLimits: { maxOldGenerationSizeMb: MOST_MEGABYTES },
  })
  return pool
}

type Tasks = typeof tasks
type TaskName = keyof Tasks

/**
 * Runs a task on a thread of its own; it ends with its request.
 * @throws failure `too-complex` when time or memory does not do, `starting` when too many wait already
 */
export async function onThread<N extends TaskName>(
  name: N,
  task: Parameters<Tasks[N]>[0],
  request?: AbortSignal,
): Promise<ReturnType<Tasks[N]>> {
  const signals = [AbortSignal.timeout(MOST_MS), ...(request ? [request] : [])]
  try {
    return (await threads().run(task, { name, signal: AbortSignal.any(signals) })) as ReturnType<Tasks[N]>
  } catch (error) {
    if (error instanceof Error && /queue/i.test(error.message))
      throw failure('starting', 'The server is working on other large ground; try again in a moment.')
    throw failure(
      'too-complex',
      'This takes too long to be worked out: send simpler outlines or larger cells, or several areas.',
    )
  }
}

/** The areas of applications, with their field notes. */
export const lawnsOf = (
  applications: readonly { readonly document: Pick<ApplicationDraft, 'lawns'> }[],
): readonly FieldNotes[] => applications.flatMap(({ document }) => document.lawns)

/**
 * Has large ground worked out on a thread before it is read here: the core then finds it done. Small ground
 * is left to the core.
 * @param day YYYY-MM-DD
 */
export async function groundAhead(
  notes: readonly FieldNotes[],
  day: string,
  request?: AbortSignal,
): Promise<void> {
  for (const one of notes) {
    const ground: LargeGround | undefined = largeGround(one, day)
    if (!ground || isWorkedOut(ground)) continue
    const worked: WorkedGround = await onThread('combine', ground, request)
    rememberGround(ground, worked)
  }
}
