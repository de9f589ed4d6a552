import { type ComputedRef, computed } from 'vue'
import { type Finding, type Screen, isAbout } from '@drumlin/core/check'
import { useJob } from './job.js'

/** Findings that nobody set aside; of one screen, or all. */
export function useOpenFindings(screen?: Screen): ComputedRef<readonly Finding[]> {
  const job = useJob()
  return computed(() => job.openFindings.filter((f) => screen === undefined || isAbout(f, screen)))
}
