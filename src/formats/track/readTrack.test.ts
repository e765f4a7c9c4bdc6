import { describe, expect, it } from 'vitest';
import { readTrack } from './readTrack';

const GPX = `<?xml version="1.0"?>
<gpx version="1.1" xmlns="http://www.topografix.com/GPX/1/1">
 <trk><name>Upper gorge</name><trkseg>
  <trkpt lat="46.62" lon="12.30"><ele>812</ele><time>2026-10-03T10:00:00Z</time></trkpt>
  <trkpt lat="46.621" lon="12.301"><time>not known</time></trkpt>
 </trkseg></trk>
</gpx>`;

const KML = `<kml xmlns="http://www.opengis.net/kml/2.2" xmlns:gx="http://www.google.com/kml/ext/2.2"><Document>
 <Placemark><name>Run</name><gx:Track>
  <when>2026-10-03T10:00:00Z</when><when>2026-10-03T10:00:10Z</when>
  <gx:coord>12.30 46.62 812</gx:coord><gx:coord>12.301 46.621 811</gx:coord>
 </gx:Track></Placemark>
 <Placemark><LineString><coordinates>12.31,46.63,800 12.32,46.64</coordinates></LineString></Placemark>
</Document></kml>`;

const TCX = `<TrainingCenterDatabase><Activities><Activity><Id>Morning</Id><Lap><Track>
 <Trackpoint><Time>2026-10-03T10:00:00Z</Time><Position><LatitudeDegrees>46.62</LatitudeDegrees>
  <LongitudeDegrees>12.30</LongitudeDegrees></Position><AltitudeMeters>812</AltitudeMeters></Trackpoint>
 <Trackpoint><Time>2026-10-03T10:00:05Z</Time></Trackpoint>
</Track></Lap></Activity></Activities></TrainingCenterDatabase>`;

const TEN = Date.parse('2026-10-03T10:00:00Z');

describe('tracks', () => {
  it('GPX, KML and TCX come out alike', () => {
    const first = { lat: 46.62, lon: 12.3, atMs: TEN, elevationM: 812 };
    const gpx = readTrack(GPX);
    expect(gpx).toMatchObject({ ok: true, leftOut: 0, track: { name: 'Upper gorge' } });
    expect(gpx.ok && gpx.track.points).toEqual([
      first,
      { lat: 46.621, lon: 12.301, atMs: null, elevationM: null },
    ]);
    const kml = readTrack(KML);
    expect(kml.ok && kml.track.points).toEqual([
      first,
      { lat: 46.621, lon: 12.301, atMs: TEN + 10_000, elevationM: 811 },
      { lat: 46.63, lon: 12.31, atMs: null, elevationM: 800 },
      { lat: 46.64, lon: 12.32, atMs: null, elevationM: null },
    ]);
    expect(readTrack(TCX)).toEqual({ ok: true, leftOut: 1, track: { name: 'Morning', points: [first] } });
  });

  it('a damaged one says where', () => {
    const cut = readTrack(GPX.slice(0, GPX.indexOf('</trkseg>')));
    expect(cut).toMatchObject({ ok: false, line: 6 });
    expect(cut.ok ? '' : cut.why).toMatch(/stops being XML here/);
    expect(readTrack(GPX.replace('lat="46.621"', 'lat="146.621"'))).toMatchObject({
      ok: false,
      line: 5,
      why: expect.stringContaining('point 2 lies at 146.621') as string,
    });
    expect(readTrack(GPX.replace('lon="12.301"', ''))).toMatchObject({ ok: false, line: 5 });
  });

  it('says what it expected of something else, and of an empty one', () => {
    expect(readTrack('<html></html>')).toMatchObject({
      ok: false,
      why: 'expected a GPX, KML or TCX track, got <html>',
    });
    expect(readTrack('{"kind":"lynxeye/shot"}')).toMatchObject({ ok: false, line: 1 });
    expect(readTrack('')).toMatchObject({ ok: false });
    expect(readTrack('<gpx></gpx>')).toMatchObject({ ok: false, why: 'no track points in it', line: null });
  });

  it('reads 20,000 points whole', () => {
    const points = Array.from(
      { length: 20_000 },
      (_, at) =>
        `<trkpt lat="${46.6 + at * 1e-5}" lon="12.3"><time>${new Date(TEN + at * 1000).toISOString()}</time></trkpt>`,
    );
    const read = readTrack(`<gpx><trk><trkseg>${points.join('\n')}</trkseg></trk></gpx>`);
    expect(read.ok && read.track.points).toHaveLength(20_000);
  });
});
