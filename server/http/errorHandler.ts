import { send, setResponseHeader, setResponseStatus, type H3Error, type H3Event } from 'h3'
import { MOST_ISSUES, type ErrorBody, type ErrorCode } from '#shared/errorCodes'

/**
 * Writes every failure in the one form; what is not ours becomes a bare 500 that says nothing of the inside.
 */
export default function errorHandler(error: H3Error<ErrorBody>, event: H3Event): Promise<void> {
  const { status, body } = answerFor(error)
  if (status === 500) console.error(error)
  setResponseStatus(event, status)
  setResponseHeader(event, 'content-type', 'application/json; charset=utf-8')
  return send(event, JSON.stringify(body))
}

function answerFor(error: H3Error<ErrorBody>): { readonly status: number; readonly body: ErrorBody } {
  const ours = error.data?.error
  if (ours)
    return {
      status: error.statusCode,
      body: { ...error.data, error: { code: ours.code, issues: ours.issues.slice(0, MOST_ISSUES) } },
    }
  if (error.statusCode === 404)
    return { status: 404, body: bodyOf('not-found', 'There is nothing at this address.') }
  if (isConnectionError(error.cause))
    return {
      status: 503,
      body: bodyOf(
        'database-down',
        'The database does not answer; what you typed is kept. Try again in a moment.',
      ),
    }
  return {
    status: 500,
    body: bodyOf('unexpected', 'Something went wrong on the server; what you sent is not lost. Try again.'),
  }
}

const bodyOf = (code: ErrorCode, message: string): ErrorBody => ({
  error: { code, issues: [{ path: '', message }] },
})

/** The database is away, or went away in the middle of the work (its transaction with it). */
function isConnectionError(cause: unknown): boolean {
  if (!(cause instanceof Error)) return false
  const { original } = cause as { original?: { code?: string; message?: string } }
  return (
    /^Sequelize(Connection|HostNotFound|AccessDenied|InvalidConnection|ConnectionAcquireTimeout)/.test(
      cause.name,
    ) ||
    /57P0|ECONNRE/.test(original?.code ?? '') ||
    /Connection terminated/.test(original?.message ?? cause.message)
  )
}
