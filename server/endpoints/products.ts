import * as v from 'valibot'
import { NewMovementSchema } from '#shared/schemas/product'
import { ImportProductsSchema } from '#shared/schemas/productFile'
import { asFile, defineCrewRoute, found, type Route } from '../http/defineRoute'
import { houseOf } from '../services/houseOf'
import { plannedUse } from '../services/jobContext'
import { importProducts, productFile } from '../services/productFiles'
import { moveStock, readStock } from '../services/stock'
import { TABLE_TYPES } from './equipment'
import { choiceOf } from './queries'

/** Products beside their rows in the library: as a file, on hand, and what is going to be used. */
export const PRODUCT_ROUTES: readonly Route[] = [
  defineCrewRoute({
    path: 'GET /products/file',
    summary: 'Every product as CSV or JSON',
    query: v.object({ format: choiceOf(['csv', 'json']) }),
    answer: ['text/csv', 'application/json'],
    handle: async ({ repositories, query: { format }, event }) => {
      asFile(event, TABLE_TYPES[format], `products.${format}`)
      return productFile(await repositories.products.list(), format)
    },
  }),
  defineCrewRoute({
    path: 'POST /products/file',
    summary: 'Take products in, all or none; those already stored stay',
    body: ImportProductsSchema,
    handle: ({ repositories, body }) => importProducts(repositories, body),
  }),
  defineCrewRoute({
    path: 'GET /products/:id/stock',
    summary: 'Stock on hand and its movements',
    handle: async ({ repositories, id }) => {
      found(await repositories.products.find(id), 'product')
      return readStock(repositories, id)
    },
  }),
  defineCrewRoute({
    path: 'POST /products/:id/stock',
    summary: 'Book a delivery, a count or a disposal',
    body: NewMovementSchema,
    handle: ({ repositories, id, body }) => moveStock(repositories, id, body),
  }),
  defineCrewRoute({
    path: 'GET /products/:id/planned',
    summary: 'What planned jobs are going to use of it, mass and volume apart',
    handle: async ({ repositories, organization, id, today }) => {
      found(await repositories.products.find(id), 'product')
      return plannedUse(repositories, id, today, houseOf(organization))
    },
  }),
]
