import { sharpnessOf } from '@/core/preview/judge';
import { Renderer } from '@/core/preview/render';
import { sceneOf } from '@/core/preview/scene';
import type { DrawOrder, DrawReply } from './preview';
import { whyText } from '@/words/whyText';

/** The films at hand: two in step at each of two sizes. */
const KEPT = 4;
const renderers = new Map<number, Renderer>();

addEventListener('message', ({ data }: MessageEvent<DrawOrder>) => {
  const { film, frame } = data;
  try {
    const picture = rendererFor(data).picture(frame, data.rays);
    const reply: DrawReply = { film, number: frame.number, picture, sharpness: sharpnessOf(picture) };
    postMessage(reply, { transfer: [picture.rgba.buffer] });
  } catch (error) {
    const failed = whyText(error);
    postMessage({ film, number: frame.number, failed } satisfies DrawReply);
  }
});

function rendererFor({ film, take, width }: DrawOrder): Renderer {
  const known = renderers.get(film);
  if (known) return known;
  const { movement, heightM, scene } = take;
  const made = new Renderer(take, sceneOf(scene, movement.sideDistanceM, heightM), width);
  renderers.set(film, made);
  for (const oldest of renderers.keys()) {
    if (renderers.size <= KEPT) break;
    renderers.delete(oldest);
  }
  return made;
}
