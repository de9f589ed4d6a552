import { database } from './db.js'
import { PATIENCE, within } from './state.js'

export const readSetting = async <T>(key: string): Promise<T | undefined> =>
  (await within(PATIENCE, (await database()).get('settings', key))) as T | undefined

export const writeSetting = async (key: string, value: unknown): Promise<void> => {
  await within(PATIENCE, (await database()).put('settings', value, key))
}
