/** Waters, by how fast light fades in them: diffuse attenuation, per metre (start); each as clear as one hopes for. */
export const WATERS_PER_M = { sea: 0.06, coast: 0.2, lake: 0.5, river: 1 } as const;

export type Water = keyof typeof WATERS_PER_M;
export const WATERS = Object.keys(WATERS_PER_M) as [Water, ...Water[]];
