import type { Site } from '@gonimos/core/season';

/** A maritime site at 43° N with winter frost; invented normals. */
export const maritime: Site = {
  latitude: 43.2,
  longitude: -1.1,
  elevation: 310,
  timeZone: 'UTC',
  tmin: [0.6, 0.7, 2.4, 4.7, 8.1, 11.2, 13.3, 13.1, 10.6, 7.6, 3.7, 1.5],
  tmax: [7.9, 8.9, 12.1, 14.8, 18.6, 22.2, 24.8, 24.6, 21.2, 16.6, 11.5, 8.4],
  spreadWinter: 3,
  spreadSummer: 2.3,
};

const turned = (monthly: number[]) => [...monthly.slice(6), ...monthly.slice(0, 6)];

/** The same weather half a year away, south of the equator. */
export const mirrored = (s: Site): Site => ({
  ...s,
  latitude: -s.latitude,
  tmin: turned(s.tmin),
  tmax: turned(s.tmax),
});

export const warmer = (s: Site, by: number): Site => ({
  ...s,
  tmin: s.tmin.map((t) => t + by),
  tmax: s.tmax.map((t) => t + by),
});
