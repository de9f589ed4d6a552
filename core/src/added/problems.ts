import { problemWords } from '../stores/index.js'
import { sortOf } from './sorts.js'
import type { Added } from './schema.js'

interface Problem {
  readonly path: readonly (string | number)[]
  readonly message: string
}

/** What the form of single parts can't say: that their own settings hold, and that leathers and hardware are there. */
export function addedProblems(
  added: Readonly<Record<string, Added>>,
  leathers: Readonly<Record<string, unknown>>,
  hardware: Readonly<Record<string, unknown>>,
): Problem[] {
  return Object.entries(added).flatMap(([id, part]): Problem[] => {
    const sort = sortOf(part.sort)
    const params = sort.settings.schema.safeParse(part.params)
    const missing = sort.leathers.filter((own) => !Object.hasOwn(leathers, `${id}${own.suffix}`))
    return [
      ...(params.error?.issues ?? []).map((issue) => ({
        path: [id, 'params', ...issue.path.map(String)],
        message: problemWords(issue),
      })),
      ...missing.map((own) => ({
        path: [id, 'sort'],
        message: `a leather for the ${own.label} (role “${id}${own.suffix}”) is needed`,
      })),
      ...(sort.hardware ?? [])
        .filter((own) => !Object.hasOwn(hardware, `${id}${own.suffix}`))
        .map((own) => ({
          path: [id, 'sort'],
          message: `hardware for the ${sort.name} (role “${id}${own.suffix}”) is needed`,
        })),
    ]
  })
}
