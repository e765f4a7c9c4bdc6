type Row = Record<string, string>;

/** Five hundred made-up modes: twenty-five sizes and rates times views and holds. */
export function bigSheet(): Row[] {
  const rows: Row[] = [];
  const sizes = [3840, 3200, 2688, 1920, 1280].map((width) => [width, (width * 9) / 16] as const);
  for (const [width, height] of sizes)
    for (const fps of [24, 25, 30, 50, 60])
      for (const [view, degrees, projection] of [
        ['wide', 110, 'curved'],
        ['flat', 84, 'straight'],
      ] as const)
        for (const [hold, crop] of [
          ['off', 0],
          ['standard', 0.05],
          ['strong', 0.1],
          ['levelHold', 0.13],
          ['rollHold', 0.17],
        ] as const)
          for (const codec of ['avc', 'hevc'])
            rows.push({
              recording: 'video',
              resolution: `${width} wide`,
              widthPx: String(width),
              heightPx: String(height),
              frameRateFps: String(fps),
              view,
              horizontalDeg: String(degrees),
              projection,
              stabilization: hold,
              cropPerSide: String(crop),
              swingDeg: '',
              colours: 'standard',
              codec,
              bitDepth: '8',
              bitRatesMbps: '40 80',
            });
  return rows;
}
