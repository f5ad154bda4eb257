import pg from 'pg'
import { Sequelize } from 'sequelize'
import { defineModels, type Models } from './models'

export interface Database {
  readonly sequelize: Sequelize
  readonly models: Models
}

/** A pool on one database. Nothing connects before the first query. */
export function openDatabase(url: string): Database {
  const sequelize = new Sequelize(url, {
    dialect: 'postgres',
    dialectModule: pg,
    logging: false,
    pool: { max: 10, acquire: 5000 },
  })
  return { sequelize, models: defineModels(sequelize) }
}
