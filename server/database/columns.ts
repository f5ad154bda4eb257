import { DataTypes } from 'sequelize'

// Functions: Sequelize writes into the object of each column, so no two may share one.
export const key = () => ({ type: DataTypes.UUID, primaryKey: true, allowNull: false })
export const text = () => ({ type: DataTypes.TEXT, allowNull: false })
export const figure = (field: string) => ({ type: DataTypes.DOUBLE, field })
