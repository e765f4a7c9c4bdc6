import * as messages from '@/language/words/labels';
import type { Preferred } from '@/core/records/preferences';
import type { Filter } from '@/core/filters/kit';
import type { Term } from '@/core/loss/table';
import type { Activity, Role, Scenery } from '@/core/vocabulary/activities';
import type { SceneChange, TimeLapseLookId } from '@/core/vocabulary/timeLapses';
import type { Codec, Colour, Grade, RecordingMode, Stabilization } from '@/core/vocabulary/modes';
import type { Ground, MountKind, MountPlace } from '@/core/vocabulary/mounts';
import type { CameraHand, PairKind, TurnWay } from '@/core/vocabulary/pairs';
import type { SchoolId } from '@/core/vocabulary/schools';
import type { Screen } from '@/core/vocabulary/screens';
import type { LightMoment } from '@/core/preview/take';
import type { Surroundings } from '@/core/vocabulary/surroundings';
import type { Water } from '@/core/vocabulary/waters';
import type { SceneName } from '@/core/vocabulary/scenes';
import type { CutReason, Verdict } from '@/core/vocabulary/verdicts';
import type { SettingKey, Settings } from '@/core/records/settings';

/** The words shown for the words of the plan file. Lower case, so that they can stand in a sentence. */
export const SCHOOL_LABEL: Record<SchoolId, string> = messages.schoolLabel;

export const SCHOOL_MEANS: Record<SchoolId, string> = messages.schoolMeans;

export const SCENE_LABEL: Record<SceneName, string> = messages.sceneLabel;

/** A water one films under. */
export const WATER_LABEL: Record<Water, string> = messages.waterLabel;

/** What fills most of a frame. */
export const SURROUNDINGS_LABEL: Record<Surroundings, string> = messages.surroundingsLabel;

export const FILTER_KIND_LABEL: Record<Filter['kind'], string> = messages.filterKindLabel;

/** A term of the loss, as a viewer would name what is seen. */
export const TERM_LABEL: Record<Term, string> = messages.termLabel;

/** How the strength of a filter is written. */
export const NOTATION_LABEL: Record<Preferred<'filterNotation'>, string> = messages.notationLabel;

export const SHUTTER_MODE_LABEL: Record<Settings['shutterMode'], string> = messages.shutterModeLabel;

/** How strongly the camera sharpens or smooths. */
export const STRENGTH_LABEL: Record<Settings['sharpening'], string> = messages.strengthLabel;

export const SCREEN_LABEL: Record<Screen, string> = messages.screenLabel;

export const GRADE_LABEL: Record<Grade, string> = messages.gradeLabel;

export const MOUNT_LABEL: Record<MountKind, string> = messages.mountLabel;

export const PLACE_LABEL: Record<MountPlace, string> = messages.placeLabel;

export const GROUND_LABEL: Record<Ground, string> = messages.groundLabel;

export const ACTIVITY_LABEL: Record<Activity, string> = messages.activityLabel;

export const STABILIZATION_LABEL: Record<Stabilization, string> = messages.stabilizationLabel;

export const COLOUR_LABEL: Record<Colour, string> = messages.colourLabel;

export const RECORDING_LABEL: Record<RecordingMode, string> = messages.recordingLabel;

export const CODEC_LABEL: Record<Codec, string> = messages.codecLabel;

export const SETTING_LABEL: Record<SettingKey, string> = messages.settingLabel;

/** Views keep the id their profile gives them; camel case reads as words. */
export function viewLabel(id: string): string {
  return id.replace(
    /([a-z])([A-Z])/g,
    (_, before: string, after: string) => `${before} ${after.toLowerCase()}`,
  );
}

export const VERDICT_LABEL: Record<Verdict, string> = messages.verdictLabel;

export const CUT_LABEL: Record<CutReason, string> = messages.cutLabel;

export const LIGHT_MOMENT_LABEL: Record<LightMoment, string> = messages.lightMomentLabel;

export const SCENE_PICTURE_LABEL: Record<Scenery, string> = messages.scenePictureLabel;

export const PAIR_LABEL: Record<PairKind, string> = messages.pairLabel;

export const PAIR_MEANS: Record<PairKind, string> = messages.pairMeans;

export const TURN_LABEL: Record<TurnWay, string> = messages.turnLabel;
export const HAND_LABEL: Record<CameraHand, string> = messages.handLabel;

export const CHANGE_LABEL: Record<SceneChange, string> = messages.changeLabel;

export const TIME_LAPSE_LOOK_LABEL: Record<TimeLapseLookId, string> = messages.timeLapseLookLabel;

export const ROLE_LABEL: Record<Role, string> = messages.roleLabel;
