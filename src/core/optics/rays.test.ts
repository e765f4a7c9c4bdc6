import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { ARCHETYPES } from '../camera/archetypes';
import { lensFocusing, viewMagnification } from '../camera/lenses';
import { blurDiscDeg, hyperfocalM, sharpRangeM } from './focus';
import { farthestShowsM, framingOf, nearestFitsM, standsAt, toCamera, toWorld } from './framing';
import {
  diagonalDeg,
  magnification,
  PROJECTIONS,
  project,
  unproject,
  verticalDeg,
  viewAfterCropDeg,
} from './projection';
import type { Direction, Lens, Projection } from './projection';
import { sampling } from '../../../testing/samples';

const DEG = 180 / Math.PI;

/**
 * A camera traced by brute force: the angle of every column is found by walking a ray outwards in tiny steps until its
 * radius, summed from the local scale dr/dθ, reaches the column. Knows each lens only by that local scale.
 */
const LOCAL_SCALE: Record<Projection, (theta: number) => number> = {
  straight: (theta) => 1 / Math.cos(theta) ** 2,
  curved: () => 1,
  equisolid: (theta) => Math.cos(theta / 2),
  stretched: () => 1,
};

function traced(lens: Lens): { degAtShare: (share: number) => number } {
  const scale = LOCAL_SCALE[lens.projection];
  const half = lens.horizontalDeg / 2 / DEG;
  const steps = 20_000;
  const radii = [0];
  for (let step = 1; step <= steps; step++)
    radii.push(radii[step - 1]! + (scale(((step - 0.5) * half) / steps) * half) / steps);
  const edge = radii[steps]!;
  return {
    degAtShare: (share) => {
      const at = radii.findIndex((radius) => radius >= share * edge - 1e-12);
      return ((at < 0 ? steps : at) * half * DEG) / steps;
    },
  };
}

const anyLens: fc.Arbitrary<Lens> = fc
  .record({
    projection: fc.constantFrom(...PROJECTIONS),
    share: fc.double({ min: 0.1, max: 1, noNaN: true }),
  })
  .map(({ projection, share }) => ({
    projection,
    horizontalDeg: share * (projection === 'straight' ? 140 : 170),
  }));

const angleBetween = (a: Direction, b: Direction): number =>
  DEG *
  Math.acos(
    Math.min(1, (a.x * b.x + a.y * b.y + a.z * b.z) / Math.hypot(a.x, a.y, a.z) / Math.hypot(b.x, b.y, b.z)),
  );

describe('projections against rays traced step by step', () => {
  it('see every column at the angle a traced ray finds, to 0.1°', () => {
    fc.assert(
      fc.property(anyLens, fc.double({ min: 0.05, max: 1, noNaN: true }), (lens, share) => {
        const seen = unproject(lens, { x: share, y: 0 })!;
        expect(Math.atan2(seen.x, seen.z) * DEG).toBeCloseTo(traced(lens).degAtShare(share), 1);
        expect(viewAfterCropDeg(lens.horizontalDeg, share, lens.projection)).toBeCloseTo(
          2 * traced(lens).degAtShare(share),
          1,
        );
      }),
      sampling(200),
    );
  });

  it('take any ray to a place and back', () => {
    const part = fc.double({ min: -1, max: 1, noNaN: true });
    fc.assert(
      fc.property(anyLens, part, part, (lens, x, y) => {
        const ray = unproject(lens, { x, y });
        if (!ray) return;
        const place = project(lens, { x: 3 * ray.x, y: 3 * ray.y, z: 3 * ray.z })!;
        expect(Math.hypot(place.x - x, place.y - y)).toBeLessThan(1e-9);
      }),
    );
  });

  it('span their view from edge to edge, whatever the lens', () => {
    fc.assert(
      fc.property(anyLens, (lens) => {
        const [left, right] = [unproject(lens, { x: -1, y: 0 })!, unproject(lens, { x: 1, y: 0 })!];
        expect(angleBetween(left, right)).toBeCloseTo(lens.horizontalDeg, 4);
      }),
    );
  });

  // 24 mm equivalent in 16:9: 76.31 by 47.67, corner to corner 84.1 (2·atan(21.64/24)).
  it('give the worked angles of a straight lens', () => {
    const lens: Lens = { horizontalDeg: 76.312, projection: 'straight' };
    expect(verticalDeg(lens, 16, 9)).toBeCloseTo(47.67, 1);
    expect(diagonalDeg(lens, 16, 9)).toBeCloseTo(84.06, 1);
    // Half of the width of a 90° straight view is 2·atan(0.5) = 53.13°.
    expect(viewAfterCropDeg(90, 0.5, 'straight')).toBeCloseTo(53.13, 2);
  });

  it('give the worked angles of curved, equisolid and stretched lenses', () => {
    expect(verticalDeg({ horizontalDeg: 120, projection: 'curved' }, 4, 3)).toBeCloseTo(90, 9);
    // Equisolid, 120° across: half the radius is 2·asin(sin(30°)/2) = 28.955° to the side.
    expect(viewAfterCropDeg(120, 0.5, 'equisolid')).toBeCloseTo(57.91, 2);
    // A 4:3 frame of 146° by 109.5° pulled to 16:9 keeps both.
    expect(verticalDeg({ horizontalDeg: 146, projection: 'stretched' }, 16, 9)).toBeCloseTo(109.5, 6);
  });
});

describe('a subject in the frame', () => {
  const shape = (lens: Lens, pitchDeg = 0) => ({
    lens,
    widthPx: 1920,
    heightPx: 1080,
    pitchDeg,
    rollDeg: 0,
  });
  const straight: Lens = { horizontalDeg: 90, projection: 'straight' };

  it('takes the height that similar triangles give', () => {
    // 90° across: the frame is 2 m wide and 1.125 m high at 1 m.
    const framing = framingOf(shape(straight), { sizeM: 1.8, distanceM: 4, sideM: 0 });
    expect(framing.shareOfHeight).toBeCloseTo(1.8 / 4.5, 6);
    expect(framing.subjectPx).toBeCloseTo(432, 3);
    expect(framing.fits).toBe(true);
    expect(nearestFitsM(shape(straight), { sizeM: 1.8, distanceM: 4, sideM: 0 })).toBeCloseTo(1.6, 2);
    // A fortieth of the height at 1.8 / (1.125·D) = 1/40.
    expect(farthestShowsM(shape(straight), { sizeM: 1.8, distanceM: 4, sideM: 0 })).toBeCloseTo(64, 0);
  });

  it('at the edge of a straight lens is drawn wider by 1/cos θ, and in a curved one less wide', () => {
    const wider = (lens: Lens): number =>
      framingOf(shape(lens), { sizeM: 0.4, distanceM: 3, sideM: 3 * Math.tan(40 / DEG) }).drawnWider;
    // The standing plane is drawn true by a straight lens; a curved one squeezes it by the slant.
    expect(wider({ horizontalDeg: 100, projection: 'straight' })).toBeCloseTo(1, 2);
    expect(wider({ horizontalDeg: 100, projection: 'curved' })).toBeLessThan(0.9);
  });

  it('is put where the person drags it', () => {
    fc.assert(
      fc.property(
        anyLens,
        fc.double({ min: -0.9, max: 0.9, noNaN: true }),
        fc.double({ min: -25, max: 25, noNaN: true }),
        (lens, x, pitchDeg) => {
          const put = standsAt(shape(lens, pitchDeg), { x, y: 0 }, 5);
          if (!put || Math.abs(put.sideM) > 100) return;
          const seen = unproject(lens, { x, y: 0 })!;
          const world = Math.atan2(put.sideM, 5);
          expect(Math.sign(world)).toBe(Math.sign(seen.x));
        },
      ),
    );
  });

  it('is seen by a camera off level as the world turned, and turned back', () => {
    const part = fc.double({ min: -1, max: 1, noNaN: true });
    const angle = fc.double({ min: -80, max: 80, noNaN: true });
    fc.assert(
      fc.property(part, part, angle, angle, (x, y, pitchDeg, rollDeg) => {
        const crooked = { ...shape(straight, pitchDeg), rollDeg };
        const back = toWorld(crooked, toCamera(crooked, { x, y, z: 1 }));
        expect(Math.hypot(back.x - x, back.y - y, back.z - 1)).toBeLessThan(1e-9);
      }),
    );
    // A camera turned 90° clockwise sees what was on its right at its top.
    const seen = toCamera({ ...shape(straight), rollDeg: 90 }, { x: 1, y: 0, z: 1 });
    expect([seen.x, seen.y]).toEqual([expect.closeTo(0, 9), expect.closeTo(-1, 9)]);
  });

  it('is drawn to scale by a long lens: 16 mm against 4.2 mm, 15 m away', () => {
    const { long } = ARCHETYPES;
    expect(viewMagnification(long, 'long')).toBeCloseTo(16 / 4.2, 2);
    const at = (id: string) => {
      const { horizontalDeg, projection } = long.views.find((view) => view.id === id)!;
      return framingOf(shape({ horizontalDeg, projection }), { sizeM: 1.8, distanceM: 15, sideM: 0 });
    };
    expect(at('long').shareOfHeight / at('standard').shareOfHeight).toBeCloseTo(16 / 4.2, 2);
    expect(at('long').fits).toBe(true);
    expect(
      magnification({ horizontalDeg: 45, projection: 'curved' }, { horizontalDeg: 90, projection: 'curved' }),
    ).toBe(2);
  });
});

describe('focus', () => {
  it('is sharp from half the hyperfocal distance, where the blur disc is the blur circle', () => {
    const lens = lensFocusing(ARCHETYPES.main, 'wide');
    const hyper = hyperfocalM(lens.focalMm, lens.fNumber, lens.blurCircleMm);
    expect(sharpRangeM(lens, 3).fromM).toBeCloseTo(hyper / 2, 2);
    expect(sharpRangeM(lens, 3).toM).toBeGreaterThan(500);
    // The circle of 4 µm behind 4.4 mm spans 0.0521°.
    expect(blurDiscDeg(lens, hyper / 2)).toBeCloseTo(0.0521, 3);
  });

  it('spreads a face at 0.3 m over many pixels with fixed focus, and over none with automatic', () => {
    const px = (id: 'main' | 'phone', view: string): number =>
      (blurDiscDeg(lensFocusing(ARCHETYPES[id], view), 0.3) * 3840) /
      ARCHETYPES[id].views.find((one) => one.id === view)!.horizontalDeg;
    // A = 4.4/2.8 mm; A·(1/0.3 − 1/1.733) = 4.33 mrad = 0.248°, at 34.3 px a degree.
    expect(px('main', 'wide')).toBeCloseTo(8.5, 1);
    expect(px('phone', 'straight')).toBe(0);
  });
});
