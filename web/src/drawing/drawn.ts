import { computed } from 'vue'
import { type Edit, changeDrawn } from '@drumlin/core/design'
import type { DrawnPanel } from '@drumlin/core/drawn'
import { useJob } from '../job/job.js'

/** The drawing of a piece, where it is drawn by hand, and how it is changed. */
export function useDrawn(pieceId: () => string | undefined) {
  const job = useJob()
  /** As it stands, and as it would be under a fix that is only being looked at. */
  const panel = computed(() => job.design?.drawn.find((d) => d.id === pieceId()))
  const change = (name: string, next: DrawnPanel, gesture?: string): string | undefined => {
    const refused = job.design && job.edit(changeDrawn(name, job.design, next), gesture)
    return refused ? `${refused.where}: ${refused.why}` : undefined
  }
  const take = (edit: Edit): string | undefined => {
    const refused = job.edit(edit)
    return refused ? `${refused.where}: ${refused.why}` : undefined
  }
  return { panel, change, take }
}

/** An id nobody in the list has yet. */
export function freshId(stem: string, taken: readonly { readonly id: string }[]): string {
  let number = 1
  const id = (): string => (number === 1 ? stem : `${stem}-${number}`)
  while (taken.some((t) => t.id === id())) number += 1
  return id()
}

/** A name as an id: small letters, digits and hyphens. */
export const idOf = (name: string): string =>
  name
    .normalize('NFKD')
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-+|-+$/g, '')
    .slice(0, 40) || 'panel'
