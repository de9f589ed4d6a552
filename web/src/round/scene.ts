import type { Picture } from '@drumlin/core/space'
import {
  AmbientLight,
  BufferAttribute,
  BufferGeometry,
  Color,
  DirectionalLight,
  DoubleSide,
  Group,
  LineBasicMaterial,
  LineSegments,
  Mesh,
  MeshBasicMaterial,
  MeshLambertMaterial,
  PerspectiveCamera,
  Scene,
  Box3,
  BoxGeometry,
  CylinderGeometry,
  Matrix4,
  TorusGeometry,
  Sphere,
  Vector3,
  WebGLRenderer,
} from 'three'
import { OrbitControls } from 'three/examples/jsm/controls/OrbitControls.js'
import { groundShade, laidUnder } from './ground.js'
import { sharpnessOf } from './sharpness.js'

/** How the picture is coloured, from the page’s own tokens. */
export interface Look {
  readonly ground: string
  readonly ink: string
  readonly thread: string
  readonly stop: string
  readonly metal: string
  readonly thing: string
}

/** Two places that should meet and don’t. */
export type ApartPair = readonly [
  { readonly x: number; readonly y: number; readonly z: number },
  { readonly x: number; readonly y: number; readonly z: number },
]

export interface RoundScene {
  /** Puts a picture in place of the one before; looks at it from the front where asked. */
  readonly show: (picture: Picture, apart: readonly ApartPair[], look: Look, straps: boolean) => void
  readonly frame: () => void
  /** Turns by so much, radians, and comes nearer by a factor. */
  readonly turn: (across: number, up: number) => void
  readonly near: (factor: number) => void
  readonly resize: (wide: number, high: number) => void
  /** The picture as a PNG. */
  readonly png: () => Promise<Blob>
  readonly dispose: () => void
}

/** What belongs to straps and is left out with them. */
const HELD: ReadonlySet<string> = new Set(['ring', 'buckle', 'hook', 'loop'])

/** Light from all round, and two lamps: from where, and how strong. */
const AROUND = 1.7
const LAMPS = [
  { from: new Vector3(1, 1.6, 2), strength: 1.5 },
  { from: new Vector3(-2, 0.6, -1), strength: 0.7 },
] as const

/**
 * The colour of every corner as the lamps light it. They stand still while one walks round the work, so it is reckoned
 * once and not for every dot of every picture: a machine without a graphics card draws it in two thirds of the time.
 */
function litColours(mesh: Picture['sheets'][number]['mesh'], swatch: string): Float32Array {
  const colours = new Float32Array(mesh.positions.length)
  const { r, g, b } = new Color(swatch)
  const normal = new Vector3()
  const lamps = LAMPS.map(({ from, strength }) => ({ way: from.clone().normalize(), strength }))
  for (let i = 0; i < colours.length; i += 3) {
    normal.fromArray(mesh.normals, i)
    const light =
      (lamps.reduce((sum, l) => sum + l.strength * Math.max(0, normal.dot(l.way)), AROUND) / Math.PI) *
      (mesh.shades[i / 3] ?? 1)
    colours.set([r * light, g * light, b * light], i)
  }
  return colours
}

/** How much of what lies behind it leather hides where one looks through it. */
const THROUGH = 0.3

/** Faces of one colour with their outline, solid or seen through. */
function solid(mesh: Picture['sheets'][number]['mesh'], swatch: string, look: Look, through: boolean): Group {
  const group = new Group()
  const geometry = new BufferGeometry()
  geometry.setAttribute('position', new BufferAttribute(mesh.positions, 3))
  geometry.setAttribute('color', new BufferAttribute(litColours(mesh, swatch), 3))
  const material = new MeshBasicMaterial({
    vertexColors: true,
    side: DoubleSide,
    polygonOffset: true,
    polygonOffsetFactor: 1,
    polygonOffsetUnits: 1,
    ...(through ? { transparent: true, opacity: THROUGH, depthWrite: false } : {}),
  })
  group.add(new Mesh(geometry, material), lines(mesh.outline, look.ink, through ? 0.45 : 0.75))
  return group
}

/** Plain shapes at true size: rings and buckles as wire, caps as discs, locks as plates. */
function hardware(one: Picture['hardware'][number], metal: string): Mesh {
  const { sort, across, high, bar } = one
  const wire = Math.max(1.5, bar)
  const open = HELD.has(sort)
  const geometry = open
    ? new TorusGeometry((across + wire) / 2, wire / 2, 10, 28)
    : high > 0
      ? new BoxGeometry(across, high, 3)
      : new CylinderGeometry(across / 2, across / 2, 2, 24).rotateX(Math.PI / 2)
  const mesh = new Mesh(geometry, new MeshLambertMaterial({ color: metal }))
  const [out, up] = [new Vector3(one.out.x, one.out.y, one.out.z), new Vector3(one.up.x, one.up.y, one.up.z)]
  const right = new Vector3().crossVectors(up, out)
  // A ring stands out of the leather that holds it, its lower half in the loop.
  const lift = open ? wire / 2 : 1
  mesh.applyMatrix4(new Matrix4().makeBasis(right, up, out))
  mesh.position.set(one.at.x, one.at.y, one.at.z).addScaledVector(out, lift)
  return mesh
}

function lines(places: Float32Array, colour: string, opacity = 1): LineSegments {
  const geometry = new BufferGeometry()
  geometry.setAttribute('position', new BufferAttribute(places, 3))
  return new LineSegments(
    geometry,
    new LineBasicMaterial({ color: colour, transparent: opacity < 1, opacity }),
  )
}

/** Where one looks from at first: a little from the right and from above. */
const FROM = new Vector3(0.55, 0.38, 1)
const VIEW = 32
/** Room left round it: the bar with the buttons lies over the foot of the picture. */
const ROOM = 1.12

/** A scene drawn on a canvas; needs WebGL. Throws where the browser has none. */
export function roundScene(canvas: HTMLCanvasElement): RoundScene {
  const renderer = new WebGLRenderer({ canvas, antialias: true, preserveDrawingBuffer: true })
  const scene = new Scene()
  const camera = new PerspectiveCamera(VIEW, 1, 5, 20000)
  const controls = new OrbitControls(camera, canvas)
  const work = new Group()
  scene.add(work, new AmbientLight('#ffffff', AROUND))
  for (const { from, strength } of LAMPS) {
    const light = new DirectionalLight('#ffffff', strength)
    light.position.copy(from)
    scene.add(light)
  }
  const shade = groundShade()
  scene.add(shade)
  const draw = (): void => renderer.render(scene, camera)
  controls.addEventListener('change', draw)
  const sharpness = sharpnessOf(renderer, (turned) => {
    work.rotation.y = turned
    draw()
  })
  controls.addEventListener('start', sharpness.move)
  controls.addEventListener('end', sharpness.rest)
  // Keys are the view’s own: they say what they do, and work in steps.
  controls.enablePan = true

  const clear = (): void => {
    work.traverse((one) => {
      if (one instanceof Mesh || one instanceof LineSegments) {
        one.geometry.dispose()
        for (const material of [one.material].flat()) material.dispose()
      }
    })
    work.clear()
  }
  const frame = (): void => {
    const box = new Box3().setFromObject(work)
    const ball = box.getBoundingSphere(new Sphere())
    laidUnder(shade, box)
    const wide = Math.min(1, camera.aspect)
    const away = (ball.radius / Math.sin(((VIEW / 2) * Math.PI) / 180) / wide) * ROOM
    controls.target.copy(ball.center)
    camera.position.copy(ball.center).addScaledVector(FROM.clone().normalize(), away)
    camera.near = Math.max(1, away / 100)
    camera.far = away * 10
    camera.updateProjectionMatrix()
    controls.update()
    draw()
  }
  return {
    show: (picture, apart, look, straps) => {
      clear()
      renderer.setClearColor(look.ground)
      const through = picture.things.length > 0
      for (const sheet of picture.sheets)
        if (straps || sheet.group !== 'straps') work.add(solid(sheet.mesh, sheet.swatch, look, through))
      for (const thing of picture.things) work.add(solid(thing.mesh, look.thing, look, false))
      for (const one of picture.hardware)
        if (straps || !HELD.has(one.sort)) work.add(hardware(one, look.metal))
      work.add(lines(picture.stitches, look.thread))
      if (straps) work.add(lines(picture.strapStitches, look.thread))
      const pairs = apart.flatMap(([a, b]) => [a.x, a.y, a.z, b.x, b.y, b.z])
      if (pairs.length > 0) work.add(lines(new Float32Array(pairs), look.stop))
      laidUnder(shade, new Box3().setFromObject(work))
      draw()
      sharpness.gaugeSoon()
    },
    frame,
    turn: (across, up) => {
      sharpness.move()
      const from = camera.position.clone().sub(controls.target)
      const [r, az, pol] = [
        from.length(),
        Math.atan2(from.x, from.z) + across,
        Math.acos(from.y / from.length()) - up,
      ]
      const polar = Math.min(Math.PI - 0.05, Math.max(0.05, pol))
      camera.position.set(
        controls.target.x + r * Math.sin(polar) * Math.sin(az),
        controls.target.y + r * Math.cos(polar),
        controls.target.z + r * Math.sin(polar) * Math.cos(az),
      )
      controls.update()
      draw()
      sharpness.rest()
    },
    near: (factor) => {
      camera.position
        .sub(controls.target)
        .multiplyScalar(1 / factor)
        .add(controls.target)
      controls.update()
      draw()
    },
    resize: (wide, high) => {
      sharpness.resize(wide, high)
      camera.aspect = wide / Math.max(1, high)
      camera.updateProjectionMatrix()
      draw()
    },
    png: () =>
      new Promise((resolve, reject) => {
        draw()
        canvas.toBlob((blob) => (blob ? resolve(blob) : reject(new Error('the browser gave no picture'))))
      }),
    dispose: () => {
      sharpness.dispose()
      clear()
      controls.dispose()
      renderer.dispose()
    },
  }
}
