import * as messages from '@/language/bench/brief';
import { SHADES, SKIES, SUN_GROUNDS } from '@/core/vocabulary/outdoors';
import type { Shade, Sky, SunGround } from '@/core/vocabulary/outdoors';
import { clockOf } from '@/core/light/sun/clock';
import { USUAL_SUN } from '@/core/light/sun/sunLight';
import type { SunLight } from '@/core/light/sun/sunLight';
import { omit } from '@/core/units/omit';
import { placeText, SHADE_LABEL, SKY_LABEL, spanText, SUN_GROUND_LABEL } from '@/words/lightText';
import { options } from './wordControls';
import type { SentencePart, Word } from './wordControls';

/** What a run crosses, from full light to shade: the usual ones, and whatever this light says. */
function shadesOffered(light: SunLight): string[] {
  const usual = SHADES.flatMap((shade) => (shade === 'open' ? [shade] : [shade, `open+${shade}`]));
  const own = (light.shade ?? USUAL_SUN.shade).join('+');
  return usual.includes(own) ? usual : [...usual, own];
}

/** The words of a light told by the sun. */
export function sunWords(light: SunLight): SentencePart[] {
  const inSun = <K extends 'sky' | 'ground' | 'shade'>(
    key: K,
    name: string,
    all: { value: string; label: string }[],
    read: (told: SunLight) => string,
    write: (value: string) => SunLight[K],
  ): Word => ({
    id: `sun-${key}`,
    name,
    path: `light.${key}`,
    kind: 'choice',
    options: all,
    value: (b) => (b.light.kind === 'sun' ? read(b.light) : ''),
    set: (shot, value) => {
      if (shot.light?.kind !== 'sun') return shot;
      const others = omit(shot.light, key) as SunLight;
      return { ...shot, light: value === null ? others : { ...others, [key]: write(value) } };
    },
  });
  const shadeLabel = (value: string): string =>
    value
      .split('+')
      .map((shade) => SHADE_LABEL[shade as Shade])
      .join(messages.and);
  return [
    messages.at,
    {
      id: 'placeAndTime',
      name: messages.placeAndTime,
      path: 'light',
      kind: 'link',
      panel: 'light',
      text: ({ light: told }) =>
        told.kind === 'sun'
          ? `${told.place ?? placeText(told)}, ${spanText(Date.parse(told.from), Date.parse(told.to), clockOf(told))}`
          : '',
    },
    light.clouds?.length ? messages.byAForecastElse : messages.sky,
    inSun(
      'sky',
      messages.skyTitle,
      options(SKIES, SKY_LABEL),
      (told) => told.sky ?? USUAL_SUN.sky,
      (value) => value as Sky,
    ),
    messages.over,
    inSun(
      'ground',
      messages.groundUnderTheLight,
      options(SUN_GROUNDS, SUN_GROUND_LABEL),
      (told) => told.ground ?? USUAL_SUN.ground,
      (value) => value as SunGround,
    ),
    messages.through,
    inSun(
      'shade',
      messages.shade,
      shadesOffered(light).map((value) => ({ value, label: shadeLabel(value) })),
      (told) => (told.shade ?? USUAL_SUN.shade).join('+'),
      (value) => value.split('+') as Shade[],
    ),
  ];
}
