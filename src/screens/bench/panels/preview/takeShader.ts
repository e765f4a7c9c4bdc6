import { PROJECTION_SHAPES, PROJECTIONS } from '@/core/optics/projection';
import { MOST_RAYS } from '@/core/preview/path';

/** As many surfaces as any scene has, the subject included. */
export const MOST_SURFACES = 10;

/** The angle off the axis in each projection, by its place in the list. */
const ANGLE = PROJECTIONS.reduce(
  (others, projection, at) => `projection == ${at} ? ${PROJECTION_SHAPES[projection].glsl} : ${others}`,
  'f',
);

export const VERTEX = `#version 300 es
in vec2 at;
void main() { gl_Position = vec4(at, 0.0, 1.0); }`;

/**
 * The rays of `core/preview/render.ts` on a graphics card, one pixel at a time: the same lens laws, surfaces, instants,
 * exposure, noise and tone. A browser test holds its pixels against those of the workers.
 */
export const FRAGMENT = `#version 300 es
precision highp float;
precision highp sampler2DArray;
out vec4 colour;
uniform vec2 size;
uniform float shape;
uniform int projection;
uniform float focal;
uniform float squeeze;
uniform int rays;
uniform mat3 turns[${MOST_RAYS}];
uniform vec2 places[${MOST_RAYS}];
uniform int count;
uniform vec4 bounds[${MOST_SURFACES}];
uniform vec4 across[${MOST_SURFACES}];
uniform vec4 tiles[${MOST_SURFACES}];
uniform vec4 paints[${MOST_SURFACES}];
uniform sampler2DArray surfaces;
uniform vec3 above;
uniform vec3 horizon;
uniform float haze;
uniform sampler2D gear;
uniform vec4 gearShift;
uniform float gearReach;
uniform vec3 gearColours[8];
uniform float gain;
uniform float noise;
uniform float most;
uniform float seed;

vec3 look(vec2 place) {
  vec2 p = vec2(place.x, place.y * squeeze);
  float r = length(p);
  if (r < 1e-6) return vec3(0.0, 0.0, 1.0);
  float f = r / focal;
  float theta = ${ANGLE};
  return vec3(p * (sin(theta) / r), cos(theta));
}

vec3 gathered(vec3 w, vec2 place) {
  float nearest = 1e9;
  vec3 seen = mix(horizon, above, max(0.0, -w.y));
  for (int i = 0; i < ${MOST_SURFACES}; i++) {
    if (i >= count) break;
    vec4 b = bounds[i];
    vec4 a = across[i];
    vec4 s = tiles[i];
    int axis = int(b.x);
    float along = axis == 0 ? w.x : axis == 1 ? w.y : w.z;
    float t = abs(along) < 1e-4 ? -1.0 : b.y / along;
    vec3 hit = w * t;
    float bounded = axis == 1 ? hit.x : hit.y;
    float side = hit.x - (a.w > 0.5 ? place.y : 0.0);
    vec2 uv = axis == 0 ? vec2((hit.z + place.x) * s.x, (hit.y - s.w) * s.y)
            : axis == 1 ? vec2((hit.x - s.w) * s.x, (hit.z + place.x) * s.y)
            : vec2((side - a.z) * s.x, (hit.y - s.w) * s.y);
    // Asked for outside any branch, so that the card can tell how large a pixel is on the surface.
    vec2 texel = textureGrad(surfaces, vec3(uv, s.z), dFdx(uv), dFdy(uv)).rg;
    bool there = t > 0.0 && t < nearest && bounded >= b.z && bounded <= b.w
      && (axis != 2 || (side >= a.x && side <= a.y)) && texel.g > 0.5;
    if (there) {
      nearest = t;
      seen = paints[i].rgb * texel.r * 255.0 * paints[i].a;
      if (haze > 0.0) seen = mix(seen, horizon, t / (t + haze));
    }
  }
  return seen;
}

uint scramble(uint h) {
  h ^= h >> 16; h *= 0x7feb352du; h ^= h >> 15; h *= 0x846ca68bu; return h ^ (h >> 16);
}

float bent(float linear) {
  if (most <= 1.0 || linear <= 0.5) return min(linear, 1.0);
  float power = 2.0 * (most - 0.5);
  return linear >= most ? 1.0 : 1.0 - 0.5 * pow(1.0 - (linear - 0.5) / (most - 0.5), power);
}

float srgb(float linear) {
  return linear <= 0.0031308 ? 12.92 * max(linear, 0.0) : 1.055 * pow(linear, 1.0 / 2.4) - 0.055;
}

void main() {
  vec2 pixel = vec2(gl_FragCoord.x, size.y - gl_FragCoord.y);
  vec2 place = vec2(2.0 * pixel.x / size.x - 1.0, (2.0 * pixel.y / size.y - 1.0) * shape);
  vec3 d = look(place);
  vec3 light = vec3(0.0);
  for (int ray = 0; ray < ${MOST_RAYS}; ray++) {
    if (ray >= rays) break;
    light += gathered(turns[ray] * d, places[ray]);
  }
  light /= float(rays);
  float c = cos(gearShift.z);
  float s = sin(gearShift.z);
  vec2 g = vec2(place.x * c - place.y * s + gearShift.x, place.x * s + place.y * c + gearShift.y);
  vec2 cell = texture(gear, (g / gearReach + 1.0) / 2.0).rg;
  int what = int(cell.r * 255.0 + 0.5);
  if (gearShift.w > 0.5 && what > 0) light = gearColours[what - 1] * cell.g * 1.6;
  uint h = scramble(uint(pixel.x) * 1973u + uint(pixel.y) * 9277u + uint(seed) * 26699u);
  float even = float(h & 1023u) + float((h >> 10) & 1023u) + float((h >> 20) & 1023u);
  float grain = (even / 1023.0 - 1.5) * 2.0 * noise;
  vec3 lit = gain * light;
  lit += grain * (sqrt(max(lit, 0.0)) + 0.02);
  colour = vec4(srgb(bent(lit.r)), srgb(bent(lit.g)), srgb(bent(lit.b)), 1.0);
}`;
