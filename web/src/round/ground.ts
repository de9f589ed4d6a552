import { type Box3, BufferAttribute, CircleGeometry, Mesh, MeshBasicMaterial, Vector3 } from 'three'

/** Dark in the middle, nothing at its rim. */
const DARKEST = 0.3
/** It reaches beyond what stands on it by this share of its size. */
const BEYOND = 1.25
/** Rings of the disc, so that it fades evenly. */
const RINGS = 12

/** The shade a thing casts on what it stands on: a soft disc that lies under it. */
export function groundShade(): Mesh {
  const positions: number[] = []
  const colours: number[] = []
  const around = 48
  const dark = (ring: number): number => DARKEST * (1 - ring / RINGS) ** 2
  const put = (ring: number, k: number): void => {
    const angle = (2 * Math.PI * k) / around
    positions.push((ring / RINGS) * Math.cos(angle), 0, (ring / RINGS) * Math.sin(angle))
    colours.push(0, 0, 0, dark(ring))
  }
  for (let ring = 0; ring < RINGS; ring += 1)
    for (let k = 0; k < around; k += 1) {
      for (const [r, a] of [
        [0, 0],
        [1, 1],
        [1, 0],
        [0, 0],
        [0, 1],
        [1, 1],
      ] as const)
        put(ring + r, k + a)
    }
  const geometry = new CircleGeometry(1, 3)
  geometry.index = null
  geometry.setAttribute('position', new BufferAttribute(new Float32Array(positions), 3))
  geometry.setAttribute('color', new BufferAttribute(new Float32Array(colours), 4))
  const material = new MeshBasicMaterial({ vertexColors: true, transparent: true, depthWrite: false })
  return new Mesh(geometry, material)
}

/** Lays the shade under a box, as large as its foot. */
export function laidUnder(shade: Mesh, box: Box3): void {
  shade.visible = !box.isEmpty()
  if (!shade.visible) return
  const [middle, size] = [box.getCenter(new Vector3()), box.getSize(new Vector3())]
  shade.position.set(middle.x, box.min.y - 0.5, middle.z)
  shade.scale.set((BEYOND * size.x) / 2 + 4, 1, (BEYOND * size.z) / 2 + 4)
}
