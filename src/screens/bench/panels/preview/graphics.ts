import { NOISE_AT_BASE } from '@/core/preview/develop';
import { gearMask, MASK_REACH } from '@/core/preview/gear';
import { CameraPath, MOST_RAYS } from '@/core/preview/path';
import { HAZE_M } from '@/core/preview/render';
import { sceneOf } from '@/core/preview/scene';
import { surfacesOf } from '@/core/preview/surfaces';
import { evAt, flickerGain, meter, uncovered } from '@/core/preview/take';
import type { CapturedFrame, PreviewTake } from '@/core/preview/take';
import { textureOf } from '@/core/preview/textures';
import type { TextureId } from '@/core/preview/textures';
import { pctWidthPerDegree, project, PROJECTION_SHAPES, PROJECTIONS } from '@/core/optics/projection';
import { FRAGMENT, MOST_SURFACES, VERTEX } from './takeShader';

/** Drawing on the processor, however it is called: no card worth asking. */
const SOFTWARE = /swiftshader|llvmpipe|software|basic render/i;

export type GraphicsKind = 'card' | 'software' | 'none';

/** Whether there is a graphics card, only something that plays one, or neither. */
export function graphicsKind(): GraphicsKind {
  const context = document.createElement('canvas').getContext('webgl2');
  if (!context) return 'none';
  const told = context.getExtension('WEBGL_debug_renderer_info');
  const name: unknown = told ? context.getParameter(told.UNMASKED_RENDERER_WEBGL) : '';
  context.getExtension('WEBGL_lose_context')?.loseContext();
  return typeof name === 'string' && name !== '' && !SOFTWARE.test(name) ? 'card' : 'software';
}

/** Draws a take live on a graphics card, each frame when it is wanted. `null` where the browser gives none. */
export class LiveDrawing {
  private readonly uniforms = new Map<string, WebGLUniformLocation | null>();
  private readonly path: CameraPath;

  static of(take: PreviewTake): LiveDrawing | null {
    const canvas = document.createElement('canvas');
    const gl = canvas.getContext('webgl2', { antialias: false, preserveDrawingBuffer: true });
    const program = gl && linked(gl);
    return program ? new LiveDrawing(take, canvas, gl, program) : null;
  }

  private constructor(
    private readonly take: PreviewTake,
    private readonly canvas: HTMLCanvasElement,
    private readonly gl: WebGL2RenderingContext,
    private readonly program: WebGLProgram,
  ) {
    this.path = new CameraPath(take);
    gl.useProgram(program);
    const corners = gl.createBuffer();
    gl.bindBuffer(gl.ARRAY_BUFFER, corners);
    gl.bufferData(gl.ARRAY_BUFFER, new Float32Array([-1, -1, 3, -1, -1, 3]), gl.STATIC_DRAW);
    const at = gl.getAttribLocation(program, 'at');
    gl.enableVertexAttribArray(at);
    gl.vertexAttribPointer(at, 2, gl.FLOAT, false, 0, 0);
    this.layLens();
    this.laySurfaces();
    this.layGear();
  }

  /** Draws one captured frame at a size and gives the canvas that holds it. */
  draw(frame: CapturedFrame, width: number, height: number): HTMLCanvasElement {
    const { gl, take, canvas, path } = this;
    if (canvas.width !== width || canvas.height !== height) {
      canvas.width = width;
      canvas.height = height;
    }
    gl.viewport(0, 0, width, height);
    gl.useProgram(this.program);
    const metered = meter(take.exposure, evAt(take, frame.atSeconds));
    const open = metered.shutterSeconds;
    // No neighbours to share instants with: each pixel takes more rays instead.
    const rays = Math.min(MOST_RAYS, 2 * path.raysFor(open, 320));
    const all = path.instantsOf(frame.atSeconds, open, rays);
    const instants = all.filter((_, index) => index % (all.length / rays) === 0);
    const turns = new Float32Array(9 * MOST_RAYS);
    const places = new Float32Array(2 * MOST_RAYS);
    instants.forEach(({ matrix, z, subjectX }, ray) => {
      // A card reads matrices column by column.
      for (let row = 0; row < 3; row++)
        for (let column = 0; column < 3; column++)
          turns[9 * ray + 3 * column + row] = matrix[3 * row + column] ?? 0;
      places[2 * ray] = z;
      places[2 * ray + 1] = subjectX;
    });
    gl.uniformMatrix3fv(this.at('turns'), false, turns);
    gl.uniform2fv(this.at('places'), places);
    gl.uniform1i(this.at('rays'), rays);
    gl.uniform2f(this.at('size'), width, height);
    gl.uniform1f(this.at('shape'), height / width);
    const shift = path.shownFrom(frame.atSeconds);
    const ahead = project(take.lens, { x: shift[2] ?? 0, y: shift[5] ?? 0, z: shift[8] ?? 1 }) ?? {
      x: 0,
      y: 0,
    };
    const roll = Math.atan2(shift[3] ?? 0, shift[0] ?? 1);
    gl.uniform4f(this.at('gearShift'), ahead.x, ahead.y, roll, take.gear.length > 0 ? 1 : 0);
    gl.uniform1f(
      this.at('gain'),
      2 ** metered.offStops * flickerGain(take, frame.atSeconds, open) * uncovered(take, frame.atSeconds),
    );
    gl.uniform1f(this.at('noise'), NOISE_AT_BASE * 2 ** (metered.isoStopsAboveBase / 2));
    gl.uniform1f(this.at('seed'), frame.number);
    gl.drawArrays(gl.TRIANGLES, 0, 3);
    return canvas;
  }

  close(): void {
    this.gl.getExtension('WEBGL_lose_context')?.loseContext();
  }

  private layLens(): void {
    const { gl, take } = this;
    const { horizontalDeg, projection } = take.lens;
    // Half widths a radian at the centre.
    const focal = (pctWidthPerDegree(horizontalDeg, projection) * 180) / Math.PI / 50;
    gl.uniform1f(this.at('focal'), focal);
    gl.uniform1i(this.at('projection'), PROJECTIONS.indexOf(projection));
    gl.uniform1f(this.at('squeeze'), PROJECTION_SHAPES[projection].squeeze);
    gl.uniform1f(this.at('most'), 2 ** Math.max(0, take.exposure.guardStops));
  }

  private laySurfaces(): void {
    const { gl, take } = this;
    const scene = sceneOf(take.scene, take.movement.sideDistanceM, take.heightM);
    const surfaces = surfacesOf(take, scene).slice(0, MOST_SURFACES);
    const ids = [...new Set(surfaces.map(({ textureId }) => textureId))];
    const far = (value: number): number => Math.min(1e6, Math.max(-1e6, value));
    const rows = {
      bounds: [] as number[],
      across: [] as number[],
      tiles: [] as number[],
      paints: [] as number[],
    };
    for (const one of surfaces) {
      rows.bounds.push(one.axis, one.at, far(one.from), far(one.to));
      rows.across.push(far(one.acrossFrom), far(one.acrossTo), one.offsetU, one.passes ? 1 : 0);
      rows.tiles.push(one.perU, one.perV, ids.indexOf(one.textureId), one.offsetV);
      rows.paints.push(one.red, one.green, one.blue, one.perTone);
    }
    for (const [name, values] of Object.entries(rows)) gl.uniform4fv(this.at(name), new Float32Array(values));
    gl.uniform1i(this.at('count'), surfaces.length);
    gl.uniform3f(this.at('above'), ...scene.sky.above);
    gl.uniform3f(this.at('horizon'), ...scene.sky.horizon);
    gl.uniform1f(this.at('haze'), scene.sky.above[2] > 0.1 ? HAZE_M : 0);
    this.layTextures(ids);
  }

  private layTextures(ids: readonly TextureId[]): void {
    const { gl } = this;
    gl.activeTexture(gl.TEXTURE0);
    gl.bindTexture(gl.TEXTURE_2D_ARRAY, gl.createTexture());
    const size = ids[0] ? textureOf(ids[0]).size : 1;
    gl.texImage3D(
      gl.TEXTURE_2D_ARRAY,
      0,
      gl.RG8,
      size,
      size,
      Math.max(1, ids.length),
      0,
      gl.RG,
      gl.UNSIGNED_BYTE,
      null,
    );
    ids.forEach((id, layer) => {
      const { tone, cover } = textureOf(id);
      const pairs = new Uint8Array(2 * size * size);
      for (let at = 0; at < size * size; at++) {
        pairs[2 * at] = tone[at] ?? 0;
        pairs[2 * at + 1] = cover ? (cover[at] ?? 0) : 255;
      }
      gl.texSubImage3D(gl.TEXTURE_2D_ARRAY, 0, 0, 0, layer, size, size, 1, gl.RG, gl.UNSIGNED_BYTE, pairs);
    });
    gl.generateMipmap(gl.TEXTURE_2D_ARRAY);
    gl.texParameteri(gl.TEXTURE_2D_ARRAY, gl.TEXTURE_MIN_FILTER, gl.LINEAR_MIPMAP_LINEAR);
    gl.texParameteri(gl.TEXTURE_2D_ARRAY, gl.TEXTURE_MAG_FILTER, gl.LINEAR);
    gl.uniform1i(this.at('surfaces'), 0);
  }

  private layGear(): void {
    const { gl, take } = this;
    const mask = gearMask(take.lens, take.gear);
    const size = mask?.size ?? 1;
    const pairs = new Uint8Array(2 * size * size);
    if (mask)
      for (let at = 0; at < size * size; at++) {
        pairs[2 * at] = mask.what[at] ?? 0;
        pairs[2 * at + 1] = mask.shade[at] ?? 0;
      }
    gl.activeTexture(gl.TEXTURE1);
    gl.bindTexture(gl.TEXTURE_2D, gl.createTexture());
    gl.texImage2D(gl.TEXTURE_2D, 0, gl.RG8, size, size, 0, gl.RG, gl.UNSIGNED_BYTE, pairs);
    gl.texParameteri(gl.TEXTURE_2D, gl.TEXTURE_MIN_FILTER, gl.NEAREST);
    gl.texParameteri(gl.TEXTURE_2D, gl.TEXTURE_MAG_FILTER, gl.NEAREST);
    gl.texParameteri(gl.TEXTURE_2D, gl.TEXTURE_WRAP_S, gl.CLAMP_TO_EDGE);
    gl.texParameteri(gl.TEXTURE_2D, gl.TEXTURE_WRAP_T, gl.CLAMP_TO_EDGE);
    gl.uniform1i(this.at('gear'), 1);
    gl.uniform1f(this.at('gearReach'), MASK_REACH);
    gl.uniform3fv(this.at('gearColours'), new Float32Array((mask?.colours ?? [[0, 0, 0]]).flat()));
  }

  private at(name: string): WebGLUniformLocation | null {
    const known = this.uniforms.get(name);
    if (known !== undefined) return known;
    const place = this.gl.getUniformLocation(this.program, name);
    this.uniforms.set(name, place);
    return place;
  }
}

function linked(gl: WebGL2RenderingContext): WebGLProgram | null {
  const program = gl.createProgram();
  for (const [kind, source] of [
    [gl.VERTEX_SHADER, VERTEX],
    [gl.FRAGMENT_SHADER, FRAGMENT],
  ] as const) {
    const shader = gl.createShader(kind);
    if (!shader) return null;
    gl.shaderSource(shader, source);
    gl.compileShader(shader);
    gl.attachShader(program, shader);
  }
  gl.linkProgram(program);
  // A card that cannot is no fault: the workers draw.
  return gl.getProgramParameter(program, gl.LINK_STATUS) ? program : null;
}
