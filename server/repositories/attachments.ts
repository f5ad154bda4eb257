import type { Paper, Picture } from '#shared/schemas/picture'
import type { Scope } from './scope'

type Kept = Picture | Paper

export interface AttachmentsRepository {
  /** The digest of what is kept under an id. */
  readonly find: (id: string) => Promise<{ readonly digest: string } | undefined>
  readonly bytes: (
    id: string,
  ) => Promise<{ readonly type: Kept['type']; readonly digest: string; readonly bytes: Buffer } | undefined>
  readonly insert: (kept: Kept & { readonly digest: string }, bytes: Buffer) => Promise<void>
}

export function attachmentsRepository({
  database: {
    models: { attachments },
  },
  organizationId,
  options,
}: Scope): AttachmentsRepository {
  return {
    find: async (id) => {
      const row = await attachments.findOne({
        where: { organizationId, id },
        attributes: ['digest'],
        ...options,
      })
      return row ? { digest: row.digest } : undefined
    },
    bytes: async (id) => {
      const row = await attachments.findOne({
        where: { organizationId, id },
        attributes: ['mediaType', 'digest', 'bytes'],
        ...options,
      })
      return row ? { type: row.mediaType, digest: row.digest, bytes: row.bytes } : undefined
    },
    insert: async ({ type, ...kept }, bytes) => {
      const size = 'width' in kept ? {} : { width: null, height: null }
      await attachments.create({ organizationId, ...kept, ...size, mediaType: type, bytes }, options)
    },
  }
}
