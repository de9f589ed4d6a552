export { hatch, stipple } from './fill.js'
export { pathData } from './pathData.js'
export { drawnMoved, pieceDrawing, pieceOutline } from './piece.js'
export { type Drawn, LAYERS, type LayerName, stroke, text } from './primitives.js'
