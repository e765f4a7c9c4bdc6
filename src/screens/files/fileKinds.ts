/** What a person is offered when they are asked for a file of one kind. */
export const PHOTO_FILES = '.jpg,.jpeg,.heic,.heif,.png,.tif,.tiff,.webp,image/*';
export const TRACK_FILES = '.gpx,.kml,.tcx,application/gpx+xml,application/vnd.google-earth.kml+xml';

export function isTrackName(name: string): boolean {
  return /\.(gpx|kml|tcx)$/i.test(name);
}
