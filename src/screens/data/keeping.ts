import { create } from 'zustand';
import type { CameraProfile } from '@/core/camera/profile';
import type { Settings } from '@/core/records/settings';

/** Settings on their way into a slot of a camera of the kit. */
export interface Keepable {
  settings: Settings;
  intervalSeconds: number | null;
  /** The camera they were worked out for. */
  profile: CameraProfile;
  /** What they may be called. */
  name: string;
}

/** What the person is asked to name and place. */
export const useKeeping = create<{ kept: Keepable | null }>(() => ({ kept: null }));

export function keepAsSetup(kept: Keepable): void {
  useKeeping.setState({ kept });
}
