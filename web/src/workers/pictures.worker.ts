import type { Design } from '@drumlin/core/design'
import { fieldsOf, kindOf } from '@drumlin/core/kinds'
import { addedFields } from '@drumlin/core/added'
import { addedPictures, choicePictures, partPictures } from '@drumlin/core/overview'
import type { Hardware } from '@drumlin/core/stores'
import { answering } from './answer.js'

/** What every choice of a setting would look like in a design, or of one of a part put on it, or everything that can be put on one of its panels. */
export type PicturesAsked =
  | { readonly design: Design; readonly field: string }
  | { readonly design: Design; readonly part: string; readonly field: string }
  | {
      readonly design: Design
      readonly panel: string
      readonly hardware: readonly Hardware[]
      readonly edge?: string
    }

answering((asked: PicturesAsked) => {
  if ('panel' in asked) return addedPictures(asked.design, asked.panel, asked.hardware, asked.edge)
  if ('part' in asked) {
    const part = asked.design.added[asked.part]
    const own = part && addedFields(asked.part, part, undefined).find((f) => f.id === asked.field)
    return own ? partPictures(asked.design, asked.part, own) : {}
  }
  const field = fieldsOf(kindOf(asked.design.kind)).find((f) => f.id === asked.field)
  return field?.type === 'choice' ? choicePictures(asked.design, field) : {}
})
