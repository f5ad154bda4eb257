import { openApiDocument } from '../http/openApiDocument'

export default defineEventHandler(() => openApiDocument(useRuntimeConfig().version))
