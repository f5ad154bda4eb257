import type { Picture, PictureType } from '#shared/schemas/picture'
import type { Scope } from './scope'

export interface KeptPicture extends Picture {
  readonly digest: string
}

export interface AttachmentsRepository {
  /** What is known of a picture, without its bytes. */
  readonly find: (id: string) => Promise<KeptPicture | undefined>
  readonly bytes: (
    id: string,
  ) => Promise<{ readonly type: PictureType; readonly digest: string; readonly bytes: Buffer } | undefined>
  readonly insert: (picture: KeptPicture, bytes: Buffer) => Promise<void>
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
        attributes: ['id', 'mediaType', 'width', 'height', 'digest'],
        ...options,
      })
      return row
        ? { id: row.id, type: row.mediaType, width: row.width, height: row.height, digest: row.digest }
        : undefined
    },
    bytes: async (id) => {
      const row = await attachments.findOne({
        where: { organizationId, id },
        attributes: ['mediaType', 'digest', 'bytes'],
        ...options,
      })
      return row ? { type: row.mediaType, digest: row.digest, bytes: row.bytes } : undefined
    },
    insert: async ({ type, ...picture }, bytes) => {
      await attachments.create({ organizationId, ...picture, mediaType: type, bytes }, options)
    },
  }
}
