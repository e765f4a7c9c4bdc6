/** How long pictures take on one processor: a first look, and the two-second loop of each kind of place. */
import { SCENERIES } from '@/core/vocabulary/activities';
import { makeDemo } from '../demo/makeDemo';
import { Renderer } from '@/core/preview/render';
import { sceneOf } from '@/core/preview/scene';
import { reelOf } from '@/core/preview/take';
import { takeOf } from '@/core/preview/takeOf';
import { TEXTURES, textureOf } from '@/core/preview/textures';
import { briefOf } from '@/core/brief/brief';
import { solve } from '@/core/answer/solve';

const timed = (work: () => void): number => {
  const start = performance.now();
  work();
  return performance.now() - start;
};

const outcome = solve(briefOf(makeDemo().shots[4]!.shot).brief);
if (!outcome.solved) throw new Error('the demo shot has no answer');
const { space, candidate } = outcome.solution;
const surfaces = timed(() => TEXTURES.forEach((id) => textureOf(id)));
console.log(`all ${TEXTURES.length} surfaces            ${surfaces.toFixed(0)} ms, once`);
for (const scene of SCENERIES) {
  const take = takeOf(space, candidate, { slowdown: 1, moment: 'run', filmSeconds: 2, scene });
  const place = sceneOf(scene, take.movement.sideDistanceM, take.heightM);
  const [frame] = reelOf(take).captured;
  const first = timed(() => new Renderer(take, place, 160).picture(frame!, 1));
  const renderer = new Renderer(take, place, 320);
  const loop = timed(() => reelOf(take).captured.forEach((one) => renderer.picture(one)));
  const frames = reelOf(take).captured.length;
  console.log(
    `${scene.padEnd(6)} first look ${first.toFixed(0)} ms, loop of ${frames} frames ${loop.toFixed(0)} ms (${(loop / frames).toFixed(1)} ms a frame, ${(2000 / loop).toFixed(1)}× real time)`,
  );
}
