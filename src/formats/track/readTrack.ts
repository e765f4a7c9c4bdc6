import * as messages from '@/language/formats/track';
import { SaxesParser } from 'saxes';
import type { SaxesTagPlain } from 'saxes';
import type { Track, TrackPoint } from '@/core/track/track';

/**
 * Tracks in GPX, KML (LineString and gx:Track) and TCX. Read as a stream of tags, so that a long track never stands in
 * memory as a document, and a fault is known by its line.
 */
type TrackRead =
  | { ok: true; track: Track; leftOut: number }
  | { ok: false; why: string; line: number | null };

interface Reader {
  open: (name: string, attributes: Record<string, string>) => void;
  close: (name: string, text: string) => void;
}

/** More points than this are no day on foot or wheels: two days at one a second. */
const MOST_POINTS = 200_000;

class TrackFault extends Error {}

export function readTrack(text: string): TrackRead {
  const points: TrackPoint[] = [];
  let name: string | null = null;
  let leftOut = 0;
  let reader: Reader | null = null;
  let gathered = '';
  const parser = new SaxesParser({ xmlns: false, position: true });
  const take = (lat: number, lon: number, atMs: number | null, elevationM: number | null): void => {
    if (!(Math.abs(lat) <= 90 && Math.abs(lon) <= 180)) {
      throw new TrackFault(messages.pointLiesAtWhichIs({ count: points.length + leftOut + 1, lat, lon }));
    }
    if (points.length >= MOST_POINTS)
      throw new TrackFault(messages.moreThanPointsSplitThe({ mostPoints: MOST_POINTS }));
    points.push({ lat, lon, atMs, elevationM });
  };
  const sink: Sink = {
    take,
    leave: () => {
      leftOut += 1;
    },
    call: (found) => {
      name ??= found.trim() === '' ? null : found.trim();
    },
  };
  parser.on('error', (error) => {
    throw error;
  });
  parser.on('opentag', ({ name: full, attributes }: SaxesTagPlain) => {
    const tag = local(full);
    if (reader === null) {
      const root = tag.toLowerCase();
      const make = Object.hasOwn(READERS, root) ? READERS[root] : undefined;
      if (!make) throw new TrackFault(messages.expectedAGPXKMLOr({ full: full.slice(0, 60) }));
      reader = make(sink);
    }
    gathered = '';
    reader.open(tag, attributes);
  });
  parser.on('text', (piece) => {
    gathered += piece;
  });
  parser.on('cdata', (piece) => {
    gathered += piece;
  });
  parser.on('closetag', ({ name: full }: SaxesTagPlain) => {
    reader?.close(local(full), gathered);
    gathered = '';
  });
  try {
    parser.write(text).close();
  } catch (error) {
    const why = error instanceof TrackFault ? error.message : messages.itStopsBeingXMLHere;
    return { ok: false, why, line: parser.line };
  }
  if (points.length === 0) return { ok: false, why: messages.noTrackPointsInIt, line: null };
  return { ok: true, track: { name, points }, leftOut };
}

interface Sink {
  take: (lat: number, lon: number, atMs: number | null, elevationM: number | null) => void;
  /** A point that cannot be placed, such as a lap of a watch without a fix. */
  leave: () => void;
  call: (name: string) => void;
}

const READERS: Record<string, (sink: Sink) => Reader> = {
  gpx: (sink) => {
    let at: { lat: number; lon: number } | null = null;
    let time: number | null = null;
    let height: number | null = null;
    let inside = '';
    return {
      open: (tag, attributes) => {
        if (tag === 'trk' || tag === 'rte') inside = tag;
        if (tag === 'trkpt' || tag === 'rtept') {
          at = { lat: numberOr(attributes.lat), lon: numberOr(attributes.lon) };
          time = height = null;
        }
      },
      close: (tag, text) => {
        if (tag === 'time' && at) time = instant(text);
        if (tag === 'ele' && at) height = heightOf(text);
        if (tag === 'name' && inside !== '' && !at) sink.call(text);
        if ((tag === 'trkpt' || tag === 'rtept') && at) {
          sink.take(at.lat, at.lon, time, height);
          at = null;
        }
      },
    };
  },
  kml: (sink) => {
    const whens: (number | null)[] = [];
    let coords: string[] = [];
    let geometry = '';
    return {
      open: (tag) => {
        if (tag === 'LineString' || tag === 'Track') geometry = tag;
        if (tag === 'Track') {
          whens.length = 0;
          coords = [];
        }
      },
      close: (tag, text) => {
        if (tag === 'name') sink.call(text);
        if (geometry === 'Track' && tag === 'when') whens.push(instant(text));
        if (geometry === 'Track' && tag === 'coord') coords.push(text);
        if (tag === 'Track')
          coords.forEach((coord, at) => placed(sink, coord.trim().split(/\s+/), whens[at] ?? null));
        if (geometry === 'LineString' && tag === 'coordinates')
          for (const tuple of text.trim().split(/\s+/)) placed(sink, tuple.split(','), null);
        if (tag === geometry) geometry = '';
      },
    };
  },
  trainingcenterdatabase: (sink) => {
    let point: { lat?: number; lon?: number; time: number | null; height: number | null } | null = null;
    return {
      open: (tag) => {
        if (tag === 'Trackpoint') point = { time: null, height: null };
      },
      close: (tag, text) => {
        if (tag === 'Id' || tag === 'Notes') sink.call(text);
        if (!point) return;
        if (tag === 'Time') point.time = instant(text);
        if (tag === 'AltitudeMeters') point.height = heightOf(text);
        if (tag === 'LatitudeDegrees') point.lat = numberOr(text);
        if (tag === 'LongitudeDegrees') point.lon = numberOr(text);
        if (tag !== 'Trackpoint') return;
        if (point.lat === undefined || point.lon === undefined) sink.leave();
        else sink.take(point.lat, point.lon, point.time, point.height);
        point = null;
      },
    };
  },
};

function placed(sink: Sink, [lon, lat, height]: string[], atMs: number | null): void {
  if (lat === undefined || lon === undefined) sink.leave();
  else sink.take(numberOr(lat), numberOr(lon), atMs, height === undefined ? null : heightOf(height));
}

/** A tag without its namespace's prefix. */
function local(name: string): string {
  return name.slice(name.indexOf(':') + 1);
}

/** NaN for what is no number, which then is no place on earth. */
function numberOr(text: string | undefined): number {
  return text === undefined || text.trim() === '' ? NaN : Number(text);
}

function heightOf(text: string): number | null {
  const height = numberOr(text);
  return Number.isFinite(height) ? height : null;
}

/** A clock time of the file; one that cannot be read counts as not told. */
function instant(text: string): number | null {
  const ms = Date.parse(text.trim());
  return Number.isNaN(ms) ? null : ms;
}
