/** What a pair may ask of both its halves. */
export type PairAsks =
  | 'blur'
  | 'angle180'
  | 'stabilizationOff'
  | 'lowFrameRate'
  | 'filterOn'
  | 'widest'
  | 'straightView'
  | 'fixedShutter';

/** Two shots that join in one movement: what each kind asks of both. */
const ASKS = {
  whip: ['blur', 'angle180', 'lowFrameRate', 'filterOn'],
  shake: ['stabilizationOff', 'lowFrameRate'],
  cover: ['widest', 'fixedShutter'],
  falling: ['widest', 'angle180'],
  sky: ['straightView', 'fixedShutter'],
  samePlace: ['fixedShutter'],
} as const satisfies Record<string, readonly PairAsks[]>;

export type PairKind = keyof typeof ASKS;
export const PAIR_KINDS = Object.keys(ASKS) as [PairKind, ...PairKind[]];
export const PAIR_ASKS: Readonly<Record<PairKind, readonly PairAsks[]>> = ASKS;

/** How the camera is turned and held in them. */
export const TURN_WAYS = ['left', 'right', 'up', 'down'] as const;
export const CAMERA_HANDS = ['left', 'right', 'none'] as const;
export type TurnWay = (typeof TURN_WAYS)[number];
export type CameraHand = (typeof CAMERA_HANDS)[number];
