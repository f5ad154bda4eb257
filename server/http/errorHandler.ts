import { randomUUID } from 'node:crypto'
import { databaseCode } from '../database/databaseCode'
import { send, setResponseHeader, setResponseStatus, type H3Error, type H3Event } from 'h3'
import { MOST_ISSUES, type ErrorBody, type ErrorCode } from '#shared/errorCodes'

/**
 * Writes every failure in the one form; what is not ours becomes a bare 500 that says nothing of the inside.
 */
export default function errorHandler(error: H3Error<ErrorBody>, event: H3Event): Promise<void> {
  const { status, body, log } = answerFor(error)
  if (log) console.error(log)
  if (event.node.res.headersSent) {
    event.node.res.destroy()
    return Promise.resolve()
  }
  setResponseStatus(event, status)
  setResponseHeader(event, 'content-type', 'application/json; charset=utf-8')
  if (status === 503) setResponseHeader(event, 'retry-after', RETRY_AFTER_S)
  return send(event, JSON.stringify(body))
}

/** What is away is tried again by machines too. */
const RETRY_AFTER_S = 2

interface Answer {
  readonly status: number
  readonly body: ErrorBody
  /** What is worth a line for whoever runs the server: codes and places, never what people typed. */
  readonly log?: string
}

function answerFor(error: H3Error<ErrorBody>): Answer {
  const ours = error.data?.error
  if (ours)
    return {
      status: error.statusCode,
      body: { ...error.data, error: { code: ours.code, issues: ours.issues.slice(0, MOST_ISSUES) } },
    }
  if (error.statusCode === 404)
    return { status: 404, body: bodyOf('not-found', 'There is nothing at this address.') }
  const code = databaseCode(error.cause) ?? ''
  if (isConnectionError(error.cause, code))
    return {
      status: 503,
      body: bodyOf(
        'database-down',
        'The database does not answer; what you typed is kept. Try again in a moment.',
      ),
    }
  if (code === UNIQUE_VIOLATION)
    return { status: 409, body: bodyOf('taken', 'Something else has this id already: take a new one.') }
  if (code === DISK_FULL)
    return {
      status: 503,
      body: bodyOf('database-down', 'The disk of the server is full: nothing is saved until there is room.'),
      log: 'The disk is full: PostgreSQL refuses to write.',
    }
  const id = randomUUID().slice(0, 8)
  return {
    status: 500,
    body: bodyOf(
      'unexpected',
      `Something went wrong on the server (${id}); what you sent is not lost. Try again.`,
    ),
    log: [`Failure ${id}: ${nameOf(error.cause ?? error)} ${code}`, ...framesOf(error.cause ?? error)].join(
      '\n',
    ),
  }
}

const UNIQUE_VIOLATION = '23505'
const DISK_FULL = '53100'

const bodyOf = (code: ErrorCode, message: string): ErrorBody => ({
  error: { code, issues: [{ path: '', message }] },
})

const nameOf = (error: unknown): string => (error instanceof Error ? error.name : typeof error)
/** Where it happened; messages of a database quote what was sent to it. */
const framesOf = (error: unknown): readonly string[] =>
  error instanceof Error ? (error.stack ?? '').split('\n').filter((line) => /^\s+at /.test(line)) : []

/** The database is away, or went away in the middle of the work (its transaction with it). */
function isConnectionError(cause: unknown, code: string): boolean {
  if (!(cause instanceof Error)) return false
  return (
    /^Sequelize(Connection|HostNotFound|AccessDenied|InvalidConnection|ConnectionAcquireTimeout)/.test(
      cause.name,
    ) ||
    /^(?:57P0|08|ECONN|EPIPE|ETIMEDOUT)/.test(code) ||
    /Connection terminated|not queryable|connection manager was closed/i.test(cause.message)
  )
}
