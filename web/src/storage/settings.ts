import { database } from './db.js'

export const readSetting = async <T>(key: string): Promise<T | undefined> =>
  (await (await database()).get('settings', key)) as T | undefined

export const writeSetting = async (key: string, value: unknown): Promise<void> => {
  await (await database()).put('settings', value, key)
}
