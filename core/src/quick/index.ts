export * from './check.ts';
export * from './connector.ts';
export * from './places.ts';
export * from './quick.ts';
export * from './types.ts';
export * from './stretch.ts';
