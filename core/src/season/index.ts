export * from './book.ts';
export * from './climate.ts';
export * from './day-length.ts';
export * from './degree-days.ts';
export * from './markers.ts';
export * from './weather.ts';
