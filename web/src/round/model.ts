import {
  AmbientLight,
  AnimationMixer,
  Box3,
  BoxGeometry,
  CircleGeometry,
  Color,
  DirectionalLight,
  LoopOnce,
  Mesh,
  MeshStandardMaterial,
  PerspectiveCamera,
  Plane,
  Raycaster,
  Scene,
  Vector2,
  Vector3,
  WebGLRenderer,
  type AnimationAction,
  type Material,
  type Object3D,
} from 'three';
import { OrbitControls } from 'three/examples/jsm/controls/OrbitControls.js';
import { GLTFLoader } from 'three/examples/jsm/loaders/GLTFLoader.js';

import { axesOf, type Stand } from '../scene/projection';

/** A place of the vehicle's frame, mm, in that of the model: X to the left, Y up, Z to the front, m. */
export const inModel = (x: number, y: number, z: number) => new Vector3(-y / 1000, z / 1000, -x / 1000);

const directions: Record<Stand, Vector3> = {
  left: new Vector3(1, 0.08, 0),
  right: new Vector3(-1, 0.08, 0),
  behind: new Vector3(0, 0.08, -1),
  ahead: new Vector3(0, 0.08, 1),
  above: new Vector3(0.0001, 1, 0),
};

/** From where one looks when the view opens: over the rear left corner. */
const corner = new Vector3(0.72, 0.42, -0.72);

/** A frame that takes longer than this is slow; nothing asked for in this time is rest, ms. */
const SLOW_MS = 70;
const REST_MS = 600;

const CHOSEN = new Color('#e9b44c');

/** The model on a canvas: drawn when something has changed, and only then. */
export class Round {
  readonly camera = new PerspectiveCamera(38, 1, 0.05, 80);
  readonly controls: OrbitControls;
  private readonly renderer: WebGLRenderer;
  private readonly scene = new Scene();
  private readonly loader = new GLTFLoader();
  private readonly ground: Mesh;
  private readonly pads: Mesh[] = [];
  private model: Object3D | undefined;
  private mixer: AnimationMixer | undefined;
  private actions = new Map<string, AnimationAction>();
  private readonly nodes = new Map<string, Object3D>();
  /** How far each leaf is open, 0 to 1: kept from one model to the next. */
  private readonly shares = new Map<string, number>();
  private targets = new Set<string>();
  private asked = 0;
  private frameAt = 0;
  /** Pixels a px at rest. */
  private readonly fine: number;
  private rest: ReturnType<typeof setTimeout> | undefined;
  private last = 0;
  private readonly whole = new Box3();
  private onFrame: (() => void) | undefined;

  constructor(private readonly canvas: HTMLCanvasElement) {
    this.renderer = new WebGLRenderer({ canvas, antialias: true, preserveDrawingBuffer: true });
    this.fine = Math.min(2, window.devicePixelRatio);
    this.renderer.setPixelRatio(this.fine);
    this.renderer.localClippingEnabled = true;
    this.scene.add(new AmbientLight(0xffffff, 1.7));
    for (const [x, y, z, light] of [
      [4, 8, -3, 1.6],
      [-5, 4, 5, 0.7],
    ] as const) {
      const sun = new DirectionalLight(0xffffff, light);
      sun.position.set(x, y, z);
      this.scene.add(sun);
    }
    this.ground = new Mesh(new CircleGeometry(70, 48), new MeshStandardMaterial({ color: 0xd8d3c6, roughness: 1 }));
    this.ground.rotation.x = -Math.PI / 2;
    this.ground.position.y = -0.004;
    this.scene.add(this.ground);
    this.controls = new OrbitControls(this.camera, canvas);
    this.controls.maxPolarAngle = Math.PI / 2 - 0.01;
    this.controls.minDistance = 0.4;
    this.controls.maxDistance = 22;
    this.controls.addEventListener('change', () => this.draw());
    this.camera.position.copy(corner).multiplyScalar(7);
  }

  /** Calls after each frame. */
  watch(onFrame: () => void): void {
    this.onFrame = onFrame;
  }

  dispose(): void {
    cancelAnimationFrame(this.asked);
    clearTimeout(this.rest);
    this.controls.dispose();
    this.renderer.dispose();
  }

  size(width: number, height: number, paper: string): void {
    this.renderer.setSize(width, height, false);
    this.camera.aspect = width / Math.max(1, height);
    this.camera.updateProjectionMatrix();
    this.scene.background = new Color(paper);
    this.draw();
  }

  /** The eye stays where it is while a part is in the hand. */
  hold(held: boolean): void {
    this.controls.enabled = !held;
  }

  /** Asks for a frame; many askings make one. */
  draw(): void {
    if (this.asked !== 0) return;
    this.asked = requestAnimationFrame((now) => {
      this.asked = 0;
      this.coarsen(now);
      if (this.step(now)) this.draw();
      this.renderer.render(this.scene, this.camera);
      this.canvas.dataset.frames = String(Number(this.canvas.dataset.frames ?? 0) + 1);
      this.onFrame?.();
    });
  }

  /** Where frames come slowly, as without a graphics card, what moves is drawn coarser, and finely again at rest. */
  private coarsen(now: number): void {
    const took = now - this.frameAt;
    this.frameAt = now;
    if (took > SLOW_MS && took < REST_MS && this.renderer.getPixelRatio() === this.fine)
      this.renderer.setPixelRatio(this.fine / 2);
    if (this.renderer.getPixelRatio() === this.fine) return;
    clearTimeout(this.rest);
    this.rest = setTimeout(() => {
      this.renderer.setPixelRatio(this.fine);
      this.frameAt = 0;
      this.draw();
    }, REST_MS);
  }

  /** Moves what opens a little further; true while something still moves. */
  private step(now: number): boolean {
    const passed = this.last === 0 ? 0.016 : Math.min(0.1, (now - this.last) / 1000);
    const still = window.matchMedia('(prefers-reduced-motion: reduce)').matches;
    let moving = false;
    for (const [name, action] of this.actions) {
      const share = this.shares.get(name) ?? 0;
      const target = this.targets.has(name) ? 1 : 0;
      if (share === target) continue;
      const next = still ? target : target > share ? Math.min(1, share + passed) : Math.max(0, share - passed);
      this.shares.set(name, next);
      action.time = next;
      moving = moving || next !== target;
    }
    this.mixer?.update(0);
    this.last = moving ? now : 0;
    return moving;
  }

  /** Takes a new model in; the eye stays where it is, unless it is the first. */
  async take(glb: ArrayBuffer): Promise<void> {
    const { scene, animations } = await this.loader.parseAsync(glb, '');
    const first = this.model === undefined;
    if (this.model) this.scene.remove(this.model);
    this.model = scene;
    this.scene.add(scene);
    this.nodes.clear();
    scene.traverse((o) => {
      const id: unknown = o.userData.id;
      if (typeof id === 'string') this.nodes.set(id, o);
    });
    const mixer = new AnimationMixer(scene);
    this.mixer = mixer;
    this.actions = new Map(
      animations.map((clip) => {
        const action = mixer.clipAction(clip);
        action.setLoop(LoopOnce, 1);
        action.clampWhenFinished = true;
        action.play();
        action.paused = true;
        action.time = this.shares.get(clip.name) ?? 0;
        return [clip.name, action];
      }),
    );
    mixer.update(0);
    this.whole.setFromObject(scene);
    if (first) this.lookFrom(corner);
    this.draw();
  }

  /** Opens these leaves and shuts all others; names are of parts and their compartments. */
  open(names: Iterable<string>): void {
    this.targets = new Set(names);
    this.draw();
  }

  /** Marks what is chosen, hides what is out of focus, lets one look through the body. */
  show(state: { selected: readonly string[]; hidden: (id: string) => boolean; through: boolean }): void {
    for (const [id, node] of this.nodes) {
      node.visible = !state.hidden(id) && node.userData.absent !== true;
      const chosen = state.selected.includes(id);
      const body = id.startsWith('~') && id !== '~person';
      node.traverse((o) => {
        if (!(o instanceof Mesh) || nearest(o) !== id) return;
        const base = (o.userData.base ??= o.material as Material) as MeshStandardMaterial;
        if (!chosen && !(body && state.through)) {
          o.material = base;
          return;
        }
        const own = base.clone();
        if (chosen) own.color.copy(CHOSEN);
        if (body && state.through) {
          own.transparent = true;
          own.opacity = base.name === 'rubber' ? 0.6 : 0.24;
          own.depthWrite = false;
        }
        o.material = own;
      });
    }
    this.draw();
  }

  /** Pads under the wheels, m from the front axle. */
  standOn(places: { x: number; half: number }[]): void {
    for (const pad of this.pads) this.scene.remove(pad);
    this.pads.length = 0;
    for (const { x, half } of places) {
      const pad = new Mesh(
        new BoxGeometry(2 * half + 0.45, 0.02, 0.5),
        new MeshStandardMaterial({ color: 0x8d979b, roughness: 0.9 }),
      );
      pad.position.copy(inModel(x, 0, 0));
      this.pads.push(pad);
      this.scene.add(pad);
    }
    this.draw();
  }

  /** Cuts away what is nearer to a stand than a plane, mm along its axis; nothing without. */
  cut(stand: Stand | undefined, at: number): void {
    if (stand === undefined) this.renderer.clippingPlanes = [];
    else {
      const { away, farther } = axesOf[stand];
      const normal = inModel(away === 'x' ? 1 : 0, away === 'y' ? 1 : 0, away === 'z' ? 1 : 0)
        .multiplyScalar(farther)
        .normalize();
      const place = inModel(away === 'x' ? at : 0, away === 'y' ? at : 0, away === 'z' ? at : 0);
      this.renderer.clippingPlanes = [new Plane().setFromNormalAndCoplanarPoint(normal, place)];
    }
    this.draw();
  }

  stand(stand: Stand | undefined): void {
    this.lookFrom(stand === undefined ? corner : directions[stand]);
  }

  private lookFrom(direction: Vector3): void {
    const middle = this.whole.getCenter(new Vector3());
    middle.y = Math.min(middle.y, 0.95);
    const size = this.whole.getSize(new Vector3()).length();
    const far = (size / 2 / Math.tan((this.camera.fov * Math.PI) / 360)) * Math.max(0.72, 0.9 / this.camera.aspect);
    this.controls.target.copy(middle);
    this.camera.position.copy(middle).addScaledVector(direction.clone().normalize(), far);
    this.controls.update();
    this.draw();
  }

  /** Turns, pushes or comes nearer by keys: in steps of a twelfth of a half turn, or 10 cm. */
  turn(around: number, up: number): void {
    const arm = this.camera.position.clone().sub(this.controls.target);
    const long = arm.length();
    const angle = Math.atan2(arm.x, arm.z) + around;
    const rise = Math.min(1.55, Math.max(0.02, Math.asin(arm.y / long) + up));
    arm.set(Math.sin(angle) * Math.cos(rise), Math.sin(rise), Math.cos(angle) * Math.cos(rise)).multiplyScalar(long);
    this.camera.position.copy(this.controls.target).add(arm);
    this.controls.update();
    this.draw();
  }

  push(right: number, up: number): void {
    const side = new Vector3().setFromMatrixColumn(this.camera.matrix, 0).multiplyScalar(right);
    side.y += up;
    this.camera.position.add(side);
    this.controls.target.add(side);
    this.controls.update();
    this.draw();
  }

  nearer(by: number): void {
    const arm = this.camera.position.clone().sub(this.controls.target).multiplyScalar(by);
    this.camera.position.copy(this.controls.target).add(arm);
    this.controls.update();
    this.draw();
  }

  private ray(x: number, y: number): Raycaster {
    const ray = new Raycaster();
    ray.setFromCamera(new Vector2(x, y), this.camera);
    return ray;
  }

  /** The thing that is seen at a place of the canvas (−1 to 1), and where it is touched. */
  at(x: number, y: number): { id: string; point: Vector3 } | undefined {
    if (!this.model) return undefined;
    const planes = this.renderer.clippingPlanes;
    for (const hit of this.ray(x, y).intersectObject(this.model, true)) {
      const id = nearest(hit.object);
      if (id === undefined || id.startsWith('~')) continue;
      if (!visible(hit.object) || planes.some((p: Plane) => p.distanceToPoint(hit.point) < 0)) continue;
      return { id, point: hit.point };
    }
    return undefined;
  }

  /** Where a place of the canvas lies on a level plane, mm of the vehicle; undefined for the sky. */
  onLevel(x: number, y: number, height: number): { x: number; y: number } | undefined {
    const level = new Plane(new Vector3(0, 1, 0), -height);
    const at = this.ray(x, y).ray.intersectPlane(level, new Vector3());
    return at ? { x: -at.z * 1000, y: -at.x * 1000 } : undefined;
  }

  /** Moves a thing by mm while it is in the hand. */
  shift(id: string, dx: number, dy: number): void {
    const node = this.nodes.get(id);
    if (!node) return;
    node.position.copy(inModel(dx, dy, 0));
    this.draw();
  }

  /** A place of the vehicle on the canvas, as shares of its width and height; undefined behind the eye. */
  onCanvas(x: number, y: number, z: number): { left: number; top: number } | undefined {
    const at = inModel(x, y, z).project(this.camera);
    if (at.z > 1) return undefined;
    return { left: (at.x + 1) / 2, top: (1 - at.y) / 2 };
  }

  picture(): string {
    this.renderer.render(this.scene, this.camera);
    return this.canvas.toDataURL('image/png');
  }
}

/** The id of the thing that an object belongs to. */
function nearest(object: Object3D): string | undefined {
  for (let o: Object3D | null = object; o; o = o.parent) {
    const id: unknown = o.userData.id;
    if (typeof id === 'string') return id;
  }
  return undefined;
}

function visible(object: Object3D): boolean {
  for (let o: Object3D | null = object; o; o = o.parent) if (!o.visible) return false;
  return true;
}
