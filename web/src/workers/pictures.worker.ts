import type { Design } from '@drumlin/core/design'
import { fieldsOf, kindOf } from '@drumlin/core/kinds'
import { choicePictures } from '@drumlin/core/overview'
import { answering } from './answer.js'

/** What every choice of a setting would look like in a design. */
export interface PicturesAsked {
  readonly design: Design
  readonly field: string
}

answering(({ design, field: id }: PicturesAsked) => {
  const field = fieldsOf(kindOf(design.kind)).find((f) => f.id === id)
  return field?.type === 'choice' ? choicePictures(design, field) : {}
})
