import type { LatLon } from '@/core/light/sun/position';
import { askFiles } from '@/workers/files';
import type { TrackJob } from '@/workers/files';
import { isTrackName, PHOTO_FILES, TRACK_FILES } from '../files/fileKinds';

/** Files that may tell a place: tracks, and photographs with a position. */
export const POSITION_FILES = `${TRACK_FILES},${PHOTO_FILES}`;

/** Where a track begins or a photograph was taken; `null` where the file does not say. */
export async function placeInFile(file: File): Promise<LatLon | null> {
  if (!isTrackName(file.name)) {
    const { read } = await askFiles((worker) => worker.readPhoto(file));
    return read.ok ? read.facts.place : null;
  }
  const track = await askFiles<TrackJob>((worker) => worker.readTrack(file));
  const first = track.ok ? track.drawn[0] : undefined;
  return first ? { lat: first.lat, lon: first.lon } : null;
}
